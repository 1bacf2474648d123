import { cancelledOf } from '@/model/cancelled-lines';
import { REMEDIES, cellKey, type Part } from '@/core/fits';
import type { FitLine, ReadingLine } from './fit';

/** Ids of the lines of a fit that were cancelled and stand no more. */
export const cancelledIn = (lines: readonly FitLine[]): ReadonlySet<string> =>
  cancelledOf(lines.map((line) => ({ id: line.id, strikes: line.kind === 'strike' ? line.strikes : null })));

/** Lines that stand, without those that cancelled others. */
export const withoutStruck = (lines: readonly FitLine[]): readonly FitLine[] => {
  const struck = cancelledIn(lines);
  return lines.filter((line) => line.kind !== 'strike' && !struck.has(line.id));
};

/** What the lines of one place come to. */
export interface Folded {
  readonly current: Map<string, ReadingLine>;
  readonly beneath: ReadingLine[];
  remedy?: string;
  accepted?: string;
  order?: string;
  felt?: string;
  stripIn: boolean;
}

/**
 * Lines of one place in their order: later readings lie over earlier ones, a remedy reopens its parts, a reading ends
 * what was accepted.
 */
export function fold(lines: readonly FitLine[]): Folded {
  const folded: Folded = { current: new Map(), beneath: [], stripIn: false };
  const { current, beneath } = folded;
  const lay = (key: string) => {
    const under = current.get(key);
    if (under) beneath.push(under);
    current.delete(key);
  };
  for (const line of lines)
    switch (line.kind) {
      case 'reading':
        lay(cellKey(line));
        current.set(cellKey(line), line);
        folded.accepted = undefined;
        folded.felt = undefined;
        break;
      case 'remedy': {
        const reopens: readonly Part[] = REMEDIES[line.body.remedy].reopens;
        for (const [key, reading] of [...current]) if (reopens.includes(reading.part)) lay(key);
        folded.remedy = line.body.words
          ? `${REMEDIES[line.body.remedy].name}: ${line.body.words}`
          : REMEDIES[line.body.remedy].name;
        folded.accepted = undefined;
        folded.order = undefined;
        break;
      }
      case 'accept':
        folded.accepted = line.body.reason;
        break;
      case 'order':
        folded.order = line.body.words;
        break;
      case 'felt':
        folded.felt = line.body.words;
        break;
      case 'strip-in':
      case 'strip-out':
        folded.stripIn = line.kind === 'strip-in';
        break;
    }
  return folded;
}

/** What was said of a reading’s conditions when it was taken; what was left unsaid then may be said since. */
export const answersOf = (reading: ReadingLine, lines: readonly FitLine[]) =>
  lines
    .slice(lines.indexOf(reading) + 1)
    .reduce((said, line) => (line.kind === 'affirm' ? { ...line.body.answers, ...said } : said), reading.body.answers);
