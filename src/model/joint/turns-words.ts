import type { StageTurn } from '@/core/tightening';

const plain = (degrees: number) => `${Number(degrees.toPrecision(4))}`;

/** `90°`, `85 to 95°` */
export const turnWords = ({ min_deg, max_deg }: StageTurn): string =>
  plain(min_deg) === plain(max_deg) ? `${plain(min_deg)}°` : `${plain(min_deg)} to ${plain(max_deg)}°`;

/** `90°, then 45°` */
export const turnsWords = (turns: readonly StageTurn[]): string => turns.map(turnWords).join(', then ');

/** Of a hexagon. */
export const FLAT_DEG = 60;
const QUARTERS = ['', '¼', '½', '¾'];

/** `1½ flats of a hexagon`; undefined where it is no number of quarters of a flat. */
export function flatsWords({ min_deg, max_deg }: StageTurn): string | undefined {
  const quarters = (4 * max_deg) / FLAT_DEG;
  if (min_deg !== max_deg || Math.abs(quarters - Math.round(quarters)) > 1e-9) return undefined;
  const whole = Math.floor(Math.round(quarters) / 4);
  const part = QUARTERS[Math.round(quarters) % 4] ?? '';
  return `${whole > 0 ? whole : ''}${part} ${whole === 1 && part === '' ? 'flat' : whole === 0 ? 'of a flat' : 'flats'} of a hexagon`;
}
