import { figuresOf, workedWith, type BuildFile, type FileFigure } from './build-file';
import { readBack, type BackAgain, type BuildRead } from './read-back';
import type { Coming } from './adoption';
import type { Shop } from '@/db/shop';
import type { HousePractice } from '@/model/practice/house-practice';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';

/** A joint that would be set to something else here than in the shop that wrote the file. */
export interface FigureChange {
  readonly joint: string;
  readonly there?: ToldFigure;
  readonly here: ToldFigure;
}

export interface ToldFigure {
  readonly figure: string;
  readonly wrench: string;
}

export interface PracticeKept {
  readonly question: string;
  readonly answer: string;
}

/** What a build file holds and what would become of it, before anything is written. */
export interface BuildPreview {
  readonly engine: string;
  readonly writtenAt: string;
  /** True where the engine stands here already: a copy is put beside it. */
  readonly copied: boolean;
  readonly holds: readonly { readonly what: string; readonly count: number }[];
  readonly coming: readonly Coming[];
  readonly practice: readonly PracticeKept[];
  readonly figures: readonly FigureChange[];
  /** How many joints come to the same figure as there. */
  readonly same: number;
  /** What was set aside there and is worked with here, with the reason. */
  readonly backAgain: readonly BackAgain[];
  /** Parts of the file that this program does not know: they are left out. */
  readonly unread: readonly string[];
}

const sum = (counts: readonly number[]) => counts.reduce((whole, one) => whole + one, 0);

const holdsOf = (file: BuildFile): BuildPreview['holds'] =>
  [
    { what: 'sources', count: file.sources.length },
    { what: 'leaves', count: file.leaves.length },
    { what: 'joints', count: file.joints.length },
    { what: 'going-rounds', count: file.tightenings.length },
    { what: 'lines at the bench', count: sum(file.tightenings.map(({ events }) => events.length)) },
    { what: 'sets of bolts', count: file.boltSets.length },
    { what: 'fits', count: file.fits.length },
    { what: 'readings and notes of fits', count: sum(file.fits.map(({ lines }) => lines.length)) },
    { what: 'measures of the whole engine', count: file.measures.length },
    { what: 'steps of the order', count: file.order.steps.length },
    { what: 'kinds of part on the tray', count: file.order.parts.length },
    { what: 'lines of the order', count: file.order.buildLines.length },
    { what: 'runs', count: file.heat.cycles.length },
    { what: 'readings of odometer and hours', count: file.heat.meters.length },
    { what: 'things set aside', count: file.asides.length },
  ].filter(({ count }) => count > 0);

const told = ({ setting, unit, wrench }: FileFigure): ToldFigure => ({
  figure: `${Number(setting.toPrecision(6))} ${unit}`,
  wrench,
});

const isSame = (a: FileFigure, b: FileFigure) =>
  a.unit === b.unit && a.setting === b.setting && Math.abs(a.torque_Nm - b.torque_Nm) < 1e-6 * Math.abs(a.torque_Nm);

/** Where a joint of the file comes to something else than was written with it. */
function changes(file: BuildFile, here: readonly FileFigure[]): Pick<BuildPreview, 'figures' | 'same'> {
  const there = new Map(file.figures.map((one) => [one.jointId, one]));
  const names = new Map(file.joints.map(({ id, name }) => [id, name]));
  const differing = here.filter((one) => {
    const before = there.get(one.jointId);
    return before === undefined || !isSame(before, one);
  });
  return {
    same: here.length - differing.length,
    figures: differing.map((one) => {
      const before = there.get(one.jointId);
      return { joint: names.get(one.jointId) ?? '', here: told(one), ...(before && { there: told(before) }) };
    }),
  };
}

const practiceTold = (kept: Partial<HousePractice>): readonly PracticeKept[] =>
  PRACTICE_QUESTIONS.flatMap(({ row, question, schools }) => {
    const school = (schools as readonly { readonly value: string; readonly name: string }[]).find(
      ({ value }) => value === kept[row],
    );
    return school ? [{ question, answer: school.name }] : [];
  });

class Undone extends Error {}

/** Reads the file in, looks at what became of it, and takes all of it back. @throws DomainError as reading it in would */
function tried<T>(shop: Shop, file: BuildFile, now: number, newId: () => string, look: (read: BuildRead) => T): T {
  let seen: { readonly value: T } | undefined;
  try {
    shop.transaction(() => {
      seen = { value: look(readBack(shop, file, now, newId)) };
      throw new Undone();
    });
  } catch (error) {
    if (!(error instanceof Undone)) throw error;
  }
  if (!seen) throw new Error('previewBuild: nothing was looked at');
  return seen.value;
}

/** What reading a file in would do here. Nothing is written. @throws DomainError as reading it in would */
export const previewBuild = (
  shop: Shop,
  { file, unread }: { readonly file: BuildFile; readonly unread: readonly string[] },
  now: number,
  newId: () => string,
): BuildPreview =>
  tried(shop, file, now, newId, ({ file: adopted, copied, coming, practice, backAgain }) => ({
    engine: adopted.engine.name,
    writtenAt: file.writtenAt,
    copied,
    holds: holdsOf(adopted),
    coming,
    practice: practiceTold(practice),
    ...changes(adopted, figuresOf(shop, workedWith(adopted.joints, adopted.asides), now)),
    backAgain,
    unread,
  }));
