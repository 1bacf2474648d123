import type { HeadMetal } from '@/core/heat';
import type { Locking } from '@/core/joint';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { Joint } from '@/model/joint/joint';
import type { FastenerFacts } from '@/model/joint/fastener-facts';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { HousePractice } from '@/model/practice/house-practice';
import type { Shelves } from '@/model/shelf/shelves';
import { LOCKING_CHOICES } from './joint-words';

/** An answer to something not known, given with one key: what the key says, and what it puts on the sheet. */
export interface Answer {
  readonly code: string;
  readonly words: string;
  readonly detail: Partial<JointDetail>;
}

const CASTING: Readonly<Record<HeadMetal, string | undefined>> = {
  unsaid: undefined,
  iron: 'grey-iron',
  aluminium: 'aluminium-cast',
};

/** What house practice may mean by its way of locking; where two stand together, which they are is not said by it. */
const HOUSE_LOCKS: Readonly<Record<HousePractice['locking'], readonly Locking[]>> = {
  tab: ['tab'],
  compound: ['compound'],
  'self-locking': ['polymer-nut', 'metal-nut'],
  wire: ['wire'],
  'two-together': [],
};

const lockName = (locking: Locking) => LOCKING_CHOICES.find(({ value }) => value === locking)?.label ?? locking;

/** On the fastener of today: the substitute where there is one, else the original. */
const onFastener = ({ detail }: Joint, part: Partial<FastenerFacts>): Partial<JointDetail> =>
  detail.today
    ? { today: { ...detail.today, ...part } }
    : { original: { ...detail.original, ...(part as Partial<JointDetail['original']>) } };

const gradeOf = ({ detail }: Joint) => (detail.today ?? detail.original).grade;

/** What answers are drawn from: the engine's metals, its other joints, and the shelves. */
export interface AnswerSource {
  readonly headMetal: HeadMetal;
  readonly blockMetal: HeadMetal;
  readonly others: readonly Joint[];
  readonly shelves: Pick<Shelves, 'metals' | 'grades'>;
  /** How the house locks what is not said to be locked otherwise. */
  readonly houseLocking: HousePractice['locking'];
}

export const answerSource = (
  { engine, joints }: EngineRows,
  joint: Joint,
  { metals, grades, practice }: Shelves,
): AnswerSource => ({
  headMetal: engine.headMetal,
  blockMetal: engine.blockMetal,
  others: joints.filter(({ id }) => id !== joint.id),
  shelves: { metals, grades },
  houseLocking: practice.locking,
});

/** What the house usually locks with, what is on it today for what was on it, and that nothing does. */
function lockAnswers({ houseLocking }: AnswerSource, joint: Joint): readonly Answer[] {
  const { original, today } = joint.detail;
  const house = HOUSE_LOCKS[houseLocking].map((locking) => ({
    code: 'locking',
    words: `${lockName(locking)}, as in house practice`,
    detail: onFastener(joint, { locking }),
  }));
  const asToday = today?.locking ?? 'unsaid';
  return [
    ...house,
    { code: 'locking', words: 'By nothing', detail: onFastener(joint, { locking: 'none' }) },
    ...(asToday === 'unsaid' || asToday === 'none'
      ? []
      : [
          {
            code: 'original-locking',
            words: `${lockName(asToday)}, as today`,
            detail: { original: { ...original, locking: asToday } },
          },
        ]),
    { code: 'original-locking', words: 'By nothing', detail: { original: { ...original, locking: 'none' } } },
  ];
}

/**
 * What the engine and its other joints say of what may not be known here, and what one word settles. Offered, never
 * taken by itself.
 */
export function answersFor(source: AnswerSource, joint: Joint): readonly Answer[] {
  const { headMetal, blockMetal, others } = source;
  const { metals, grades } = source.shelves;
  const { parent } = joint.detail;
  const metal = (id: string) => metals.find((one) => one.id === id)?.name ?? id;
  const metalAnswers = (code: string, key: 'metal' | 'underHead'): readonly Answer[] => {
    const told = others.flatMap(({ detail }) => detail.parent[key] ?? []);
    const casting = CASTING[key === 'metal' ? blockMetal : headMetal];
    const ids = new Set([...told, ...(casting === undefined ? [] : [casting])]);
    return [...ids]
      .filter((id) => metals.some((one) => one.id === id))
      .slice(0, 3)
      .map((id) => ({ code, words: metal(id), detail: { parent: { ...parent, [key]: id } } }));
  };
  const alike = others.filter(({ thread }) => thread === joint.thread).flatMap((other) => gradeOf(other) ?? []);
  return [
    ...[...new Set(['unmarked', ...alike])].slice(0, 3).map((id) => ({
      code: 'grade',
      words: grades.find((one) => one.id === id)?.name ?? id,
      detail: onFastener(joint, { grade: id }),
    })),
    ...metalAnswers('metal', 'metal'),
    ...metalAnswers('under-head', 'underHead'),
    { code: 'hole-depth', words: 'It goes through', detail: { parent: { ...parent, holeThrough: true } } },
    { code: 'insert', words: 'None', detail: { parent: { ...parent, insert: false } } },
    { code: 'insert', words: 'One is wound in', detail: { parent: { ...parent, insert: true } } },
    { code: 'near-heat', words: 'It does', detail: { parent: { ...parent, nearHeat: true } } },
    { code: 'near-heat', words: 'It does not', detail: { parent: { ...parent, nearHeat: false } } },
    { code: 'bore-moves', words: 'They can', detail: { parent: { ...parent, boreMoves: true } } },
    { code: 'bore-moves', words: 'They cannot', detail: { parent: { ...parent, boreMoves: false } } },
    {
      code: 'insert-torque',
      words: 'It runs freely',
      detail: { parent: { ...parent, insertLow_Nm: 0, insertHigh_Nm: 0 } },
    },
    { code: 'form', words: 'A bolt', detail: onFastener(joint, { form: 'bolt' }) },
    { code: 'form', words: 'A stud with a nut', detail: onFastener(joint, { form: 'stud' }) },
    ...lockAnswers(source, joint),
    { code: 'plated', words: 'It was', detail: onFastener(joint, { platedUnbaked: false }) },
    { code: 'plated', words: 'It was not', detail: onFastener(joint, { platedUnbaked: true }) },
    { code: 'history', words: 'Never', detail: onFastener(joint, { takenBeyondYield: false }) },
    { code: 'history', words: 'It was', detail: onFastener(joint, { takenBeyondYield: true }) },
    ...((joint.detail.today ?? joint.detail.original).form !== 'bolt'
      ? [
          {
            code: 'metal-thread',
            words: `${joint.detail.today?.thread ?? joint.thread}, as at the nut`,
            detail: onFastener(joint, { metalThread: joint.detail.today?.thread ?? joint.thread }),
          },
        ]
      : []),
  ];
}
