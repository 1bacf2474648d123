/**
 * A size brought to 20 °C, part and gauge each at its own temperature: L20 = L·(1 + αg·(Tg − 20))/(1 + αp·(Tp − 20)).
 */
export const sizeAt20C = (
  size_mm: number,
  part: { expansion: number; at_C: number },
  gauge: { expansion: number; at_C: number },
): number =>
  (size_mm * (1 + gauge.expansion * 1e-6 * (gauge.at_C - 20))) / (1 + part.expansion * 1e-6 * (part.at_C - 20));
