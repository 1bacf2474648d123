import type { Guard } from '@/core/joint';
import type { Position } from '@/core/tightening';
import type { Problem } from '@/model/result';
import { todayFacts } from './joint-ladder';
import type { Joint } from './joint';
import type { KeptSlope } from './joint-detail';
import type { JointInputs } from './joint-inputs';
import { areSameKinds, kindAmong } from './kind-places';
import { positionsOf } from './joint-shape';
import { filmsName, type JointResult, type KindResult } from './joint-result';
import type { KindPlan, PlannedFigure } from './tightening-plan';

/** One thing on a joint's sheet that is no longer as it was when the nuts were pulled. */
export interface SheetChange {
  readonly what: string;
  readonly pulled: string;
  readonly sheet: string;
}

// What a graduation may move by, and no person would call another figure.
const SAME_TORQUE = 0.005;

const isSame = (a: number, b: number) => Math.abs(a / b - 1) <= SAME_TORQUE;

const Nm = (value: number) => `${Number(value.toPrecision(3))} N·m`;

/** What fasteners were pulled with, as far as a sheet can contradict it. */
export type PulledFigure = Pick<PlannedFigure, 'filmName' | 'thread'> & {
  readonly leaf: Pick<PlannedFigure['leaf'], 'printedText'>;
  readonly ladder: Pick<PlannedFigure['ladder'], 'target_Nm'>;
};

/** What a going-round was pulled with: the joint's own fasteners, and those of its kinds. */
export type PulledWith = PulledFigure & {
  /** Where they lay. */
  readonly positions: readonly Position[];
  readonly kinds?: readonly (PulledFigure & Pick<KindPlan, 'name' | 'places'>)[];
};

/** Where the sheet says something else of fasteners today than what they were pulled with. */
export function sheetChanges(
  plan: PulledFigure,
  setting: JointInputs,
  { ladder }: Pick<JointResult, 'ladder'>,
): readonly SheetChange[] {
  const pairs: readonly SheetChange[] = [
    { what: 'The lubricant', pulled: plan.filmName, sheet: filmsName(setting) },
    { what: 'The thread', pulled: plan.thread, sheet: todayFacts(setting).thread },
    { what: 'The printed figure', pulled: plan.leaf.printedText, sheet: setting.leaf.printedText },
  ];
  const [pulled, now] = [plan.ladder.target_Nm, ladder.target_Nm];
  const figure = !isSame(now, pulled)
    ? [{ what: 'What the fastener should get', pulled: Nm(pulled), sheet: Nm(now) }]
    : [];
  return [...pairs.filter((pair) => pair.pulled !== pair.sheet), ...figure];
}

/** What a change of a sheet was said to mean, for the figure that it came to. */
export interface ChangeMeaning {
  /** For the next going-round, or a correction of what was written when it was pulled. */
  readonly means: 'next-round' | 'correction';
  readonly target_Nm: number;
  /** What the sheet said when it was answered; left out in lines of before. */
  readonly of?: Deciding;
}

/** What of a sheet decides a figure, as far as its rows alone tell. */
export interface Deciding {
  readonly thread: string;
  readonly threadFilm: string;
  readonly headFilm: string;
  readonly printedText: string;
}

/** What decides a joint's figure on its sheet as it stands. */
export const decidingOf = (
  { thread, todayFilm, detail }: Pick<Joint, 'thread' | 'todayFilm' | 'detail'>,
  printedText: string,
): Deciding => ({
  thread: detail.today?.thread ?? thread,
  threadFilm: todayFilm,
  headFilm: detail.headFilm ?? todayFilm,
  printedText,
});

/** The same, with the entry that it is made from. */
export const sheetNow = ({ joint, leaf }: Pick<JointInputs, 'joint' | 'leaf'>): Deciding =>
  decidingOf(joint, leaf.printedText);

/** What a slope is read of: thread and lubricants. */
export const slopedOf = (joint: Pick<Joint, 'thread' | 'todayFilm' | 'detail'>): KeptSlope['of'] => {
  const { thread, threadFilm, headFilm } = decidingOf(joint, '');
  return { thread, threadFilm, headFilm };
};

/** Its own slope, where it was read of what is in the joint today. */
export function slopeToday(joint: Pick<Joint, 'thread' | 'todayFilm' | 'detail'>): KeptSlope | null {
  const { slope } = joint.detail;
  const { thread, threadFilm, headFilm } = slopedOf(joint);
  return slope?.of.thread === thread && slope.of.threadFilm === threadFilm && slope.of.headFilm === headFilm
    ? slope
    : null;
}

const sameDeciding = (a: Deciding, b: Deciding) =>
  a.thread === b.thread &&
  a.threadFilm === b.threadFilm &&
  a.headFilm === b.headFilm &&
  a.printedText === b.printedText;

/** Whether it was said of the sheet as it stands: what was said of one change says nothing of the next. */
const isAnswered = ({ of }: ChangeMeaning, now: Deciding): boolean => of === undefined || sameDeciding(of, now);

/** Whether the sheet, as it stands, was said to correct what was written when the nuts were pulled. */
export const isCorrection = (meaning: ChangeMeaning | null, now: Deciding): boolean =>
  meaning?.means === 'correction' && isAnswered(meaning, now);

/** Whether what was said of a change leaves nothing to be done about nuts that were pulled to a figure. */
export const isSettled = (meaning: ChangeMeaning | null, pulled_Nm: number, now: Deciding): boolean =>
  meaning !== null &&
  isAnswered(meaning, now) &&
  (meaning.means === 'next-round' || isSame(meaning.target_Nm, pulled_Nm));

/**
 * What stands against a joint whose sheet was changed after its first pull: the question what it means; and where it
 * corrects what was written, whether the nuts were pulled too far or not far enough.
 */
export function changeGuards(
  changes: readonly SheetChange[],
  plan: PulledFigure,
  target_Nm: number,
  meaning: ChangeMeaning | null,
  now: Deciding,
): readonly Guard[] {
  if (changes.length === 0) return [];
  const answered = meaning !== null && isAnswered(meaning, now) && isSame(meaning.target_Nm, target_Nm);
  const severity = 'ask';
  if (!answered)
    return [
      {
        code: 'changed-since-pulled',
        severity,
        message: `${saidChanges(changes)} Does it correct what was written, or is it for the next round?`,
      },
    ];
  if (meaning.means === 'next-round')
    return [{ code: 'changed-for-next', severity, message: `${saidChanges(changes)} It is meant for the next round.` }];
  const pulled = plan.ladder.target_Nm;
  if (isSame(target_Nm, pulled))
    return [{ code: 'corrected', severity, message: `${saidChanges(changes)} Corrected; the figure is the same.` }];
  const off = Math.abs((pulled / target_Nm - 1) * 100).toFixed(0);
  return pulled < target_Nm
    ? [
        {
          code: 'not-far-enough',
          severity: 'stop',
          message: `It was pulled to ${Nm(pulled)} and ${Nm(target_Nm)} was meant: ${off} % short. Go round again to the figure of this sheet.`,
        },
      ]
    : [
        {
          code: 'too-far',
          severity: 'stop',
          message: `It was pulled to ${Nm(pulled)} and ${Nm(target_Nm)} was meant: ${off} % too far. Slacken one at a time and pull to the figure of this sheet; look at bolt and thread first, and take new ones where it was near its yield.`,
        },
      ];
}

type Placed = Pick<KindPlan, 'name' | 'places'>;

const placedWords = (kinds: readonly Placed[]): string =>
  kinds.length === 0
    ? 'all alike'
    : kinds.map(({ name, places }) => `${name} at ${places.map((place) => place + 1).join(', ')}`).join('; ');

const byPlace = (kinds: readonly Placed[]) =>
  kinds.map(({ name, places }) => ({ name, places: [...places].sort((a, b) => a - b) }));

/** Where fasteners are of other kinds on the sheet than in a round; as the places count, from 1. */
export function kindChanges(
  pulled: readonly Placed[] | undefined,
  { kinds }: Pick<Joint['detail'], 'kinds'>,
): readonly SheetChange[] {
  const [was, is] = [byPlace(pulled ?? []), byPlace(kinds)];
  return areSameKinds(was, is)
    ? []
    : [{ what: 'Which fasteners are of which kind', pulled: placedWords(was), sheet: placedWords(is) }];
}

// Places are drawn to a hundredth; nobody moved one by less.
const SAME_PLACE = 0.05;

const isSamePlace = (one: Position, other: Position | undefined): boolean =>
  other !== undefined && Math.hypot(one[0] - other[0], one[1] - other[1]) < SAME_PLACE;

/** Where fasteners lie elsewhere on the sheet, or are more or fewer, than in a round. */
export function shapeChanges(pulled: readonly Position[], joint: Joint): readonly SheetChange[] {
  const now = positionsOf(joint);
  return now.length === pulled.length && now.every((place, i) => isSamePlace(place, pulled[i]))
    ? []
    : [
        {
          what: 'Its fasteners',
          pulled: `${pulled.length} where they lay then`,
          sheet: `${now.length} elsewhere`,
        },
      ];
}

/** What stands against a joint whose fasteners lay elsewhere, or were of other kinds, when they were pulled. */
export function placesChanged(pulled: Pick<PulledWith, 'positions' | 'kinds'>, joint: Joint): readonly Guard[] {
  const sayOf = (code: string, moved: readonly SheetChange[]): readonly Guard[] =>
    moved.length === 0
      ? []
      : [
          {
            code,
            severity: 'ask',
            message: `${saidChanges(moved)} What was pulled stays as it was pulled; it is another joint from the next round on.`,
          },
        ];
  return [
    ...sayOf('places-changed', shapeChanges(pulled.positions, joint)),
    ...sayOf('kinds-changed', kindChanges(pulled.kinds, joint.detail)),
  ];
}

/**
 * Every change of a sheet since a round, of the joint's own fasteners and of its kinds, with what stands against the
 * joint for it.
 */
export function wholeChanges(
  plan: PulledWith,
  setting: JointInputs,
  worked: Pick<JointResult, 'ladder'>,
  kinds: readonly KindResult[],
): { readonly changes: readonly SheetChange[]; readonly guards: readonly Guard[] } {
  const { joint } = setting;
  const moved = [...shapeChanges(plan.positions, joint), ...kindChanges(plan.kinds, joint.detail)];
  const own = sheetChanges(plan, setting, worked);
  const others = kinds.flatMap((one) => {
    const pulled = kindAmong(plan.kinds, one.kind);
    const changes = pulled ? sheetChanges(pulled, one.inputs, one.worked) : [];
    return pulled && changes.length > 0 ? [{ ...one, pulled, changes }] : [];
  });
  return {
    changes: [
      ...moved,
      ...own,
      ...others.flatMap(({ kind, changes }) => changes.map((one) => ({ ...one, what: `${kind.name}: ${one.what}` }))),
    ],
    guards: [
      ...placesChanged(plan, joint),
      ...changeGuards(own, plan, worked.ladder.target_Nm, joint.detail.changeMeans, sheetNow(setting)),
      ...others.flatMap(({ kind, inputs, worked: of, pulled, changes }) =>
        changeGuards(changes, pulled, of.ladder.target_Nm, kind.detail.changeMeans, sheetNow(inputs)).map((guard) => ({
          ...guard,
          message: `${kind.name}: ${guard.message}`,
        })),
      ),
    ],
  };
}

/** In one sentence, for a person who has to say what it means. */
export const saidChanges = (changes: readonly SheetChange[]): string =>
  changes.map(({ what, pulled, sheet }) => `${what}: pulled with ${pulled}, the sheet says ${sheet} now.`).join(' ');

export const changedProblem = (changes: readonly SheetChange[]): Problem => ({
  code: 'sheet-changed',
  message: `${saidChanges(changes)} Was it taken apart and coated afresh? Then it is tightened afresh from its sheet. If the thread is as it was pulled, it is gone over at the figure it was pulled to.`,
});
