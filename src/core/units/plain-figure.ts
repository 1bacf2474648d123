const PLAIN = /^[+−-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)$/;

/**
 * A figure as a person types it: digits with at most one decimal sign, a point or a comma, perhaps a sign before them.
 * Undefined for anything else: two points, powers of ten, other bases, a figure with a unit, nothing at all.
 * The one parser of typed figures, whoever asks.
 * @example plainFigure('0,5') // 0.5
 * @example plainFigure('1e3') // undefined
 */
export function plainFigure(text: string): number | undefined {
  const trimmed = text.trim();
  if (!PLAIN.test(trimmed)) return undefined;
  const magnitude = Number(trimmed.replace(/^[+−-]/, '').replace(',', '.'));
  return /^[−-]/.test(trimmed) ? -magnitude : magnitude;
}

const THOUSANDS = /^\d{1,3}(,\d{3})+$/;

/**
 * A figure of which thousands may be set off, as an odometer's are: `45,210`. Three digits behind a comma are thousands
 * here; any other comma is a decimal one.
 */
export const figureWithThousands = (text: string): number | undefined =>
  plainFigure(THOUSANDS.test(text.trim()) ? text.replaceAll(',', '') : text);
