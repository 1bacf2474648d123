import type { StageTurn } from '@/core/tightening';

const plain = (degrees: number) => `${Number(degrees.toPrecision(4))}`;

/** `90°`, `85 to 95°` */
export const turnWords = ({ min_deg, max_deg }: StageTurn): string =>
  plain(min_deg) === plain(max_deg) ? `${plain(min_deg)}°` : `${plain(min_deg)} to ${plain(max_deg)}°`;

/** `90°, then 45°` */
export const turnsWords = (turns: readonly StageTurn[]): string => turns.map(turnWords).join(', then ');
