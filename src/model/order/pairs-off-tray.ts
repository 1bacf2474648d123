import { isSameMark, type EngineMeasure, type EngineMeasures } from '@/model/engine/engine-measure';
import type { Part } from './part';

type Pair = EngineMeasures['marks']['pairs'][number];

/** Pairs of the last sheet of match marks that no part of the tray is. */
export function pairsOffTray(measures: readonly EngineMeasure[], parts: readonly Part[]): readonly Pair[] {
  const sheet = measures.findLast((one): one is EngineMeasure<'marks'> => one.kind === 'marks');
  const isThere = ({ place, one }: Pair) =>
    parts.some(({ name, mark }) => isSameMark(name, place) && isSameMark(mark, one));
  return (sheet?.body.pairs ?? []).filter((pair) => !isThere(pair));
}
