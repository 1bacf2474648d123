/**
 * A share in per cent with its sign: a true minus, and no sign where it rounds to nothing.
 * @example signedPercent(-15.83) // '−15.8 %'
 */
export function signedPercent(value_pct: number, decimals = 1): string {
  const text = Math.abs(value_pct).toFixed(decimals);
  return `${value_pct < 0 && Number(text) !== 0 ? '−' : ''}${text} %`;
}
