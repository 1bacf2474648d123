import type { Leaf } from '@/model/book/leaf';
import { turnsWords } from './turns-words';
import { figureDiffers, turnsOfLeaf } from '@/model/book/leaf-figure';
import { guards, unknowns, type Guard, type GuardInput, type Ladder, type Unknown } from '@/core/joint';
import { checkOverdue, type HousePractice } from '@/model/practice/house-practice';
import { threadNamed } from '@/core/thread';
import { windowFloor } from '@/core/wrench';
import { inItsThread, insertTorque, ladderFastener, originalFacts, scaleOf, todayFacts } from './joint-ladder';
import type { JointInputs } from './joint-inputs';
import {
  formUnknown,
  headGuards,
  headUnknown,
  lockingUnknown,
  othersGuards,
  seatingUnknown,
  substituteGuards,
} from './own-guards';
import { isEveryHoleSeen, shallowest } from './hole';
import { judgedHoles } from './holes-judged';
import { askedOf } from '@/model/book/leaf-of-text';
import type { Wrench } from '@/model/shelf/wrench';
import { filmOn, gradeOn, hangsHere, metalOn } from '@/model/shelf/shelves';

/** The less of two that are known; the one that is; undefined where neither is. */
const leastOf = (one: number | undefined, other: number | undefined): number | undefined =>
  one === undefined || other === undefined ? (one ?? other) : Math.min(one, other);

const known = <T>(value: T | null): T | undefined => value ?? undefined;

export const isOverdue = (wrench: Wrench, { shelves, now }: Pick<JointInputs, 'shelves' | 'now'>): boolean =>
  checkOverdue(wrench.checkedAt === null ? undefined : Date.parse(wrench.checkedAt), shelves.practice.check, now);

/** A text that no longer gives the figure that was kept of it: the figure is used only with a written reason. */
function printGuards(leaf: Leaf): readonly Guard[] {
  const message = figureDiffers(leaf);
  return message === undefined ? [] : [{ code: 'figure-differs', severity: 'stop', message }];
}

/** What is turned after the torque is as printed; the ladder ends at the torque. */
function turnGuards(leaf: Leaf): readonly Guard[] {
  const turns = turnsOfLeaf(leaf);
  if (turns.length === 0) return [];
  return [
    {
      code: 'turn-after-torque',
      severity: 'ask',
      message: `The page goes on with ${turnsWords(turns)} after the torque. Today’s lubricant changes that torque and nothing in the angle, which is turned as printed. The clamp load that it ends at, and whether the bolt yields there, are not judged here; no figure goes over it again. Take new bolts where the manual says so.`,
    },
  ];
}

/** A wrench that was broken, sold or lent is not pulled with. */
const asideGuards = ({ name, aside }: Wrench): readonly Guard[] =>
  aside === undefined
    ? []
    : [{ code: 'wrench-aside', severity: 'stop', message: `${name} was set aside: ${aside}. Choose another wrench.` }];

/** A wrench that is known from somebody's build alone may be no wrench of this shop. */
const elsewhereGuards = (wrench: Wrench): readonly Guard[] =>
  hangsHere(wrench)
    ? []
    : [
        {
          code: 'wrench-elsewhere',
          severity: 'ask',
          message: `${wrench.name} came with the build and does not hang here: choose a wrench of this shop, or enter it on the shelf.`,
        },
      ];

/** A check at other figures says nothing of the one that is set, where the house checks at that. */
const CHECKED_NEAR = 0.1;

/** Where a wrench is checked against a second one at the figure used, it was: not at another. */
function secondWrenchGuards(
  { name, unit, calibration }: Wrench,
  { setting }: Pick<Ladder, 'setting'>,
  { check }: Pick<HousePractice, 'check'>,
): readonly Guard[] {
  const { rounded } = setting;
  if (check !== 'second-wrench' || calibration.some(({ set }) => Math.abs(set / rounded - 1) <= CHECKED_NEAR))
    return [];
  return [
    {
      code: 'not-checked-here',
      severity: 'ask',
      message: `${name} was not checked near ${rounded} ${unit}, and house practice checks it against a second wrench at the figure used. Enter what the second one read there, with the wrench.`,
    },
  ];
}

/** What the core judges a joint by: what is not known is left out, never assumed. */
function guardInput(setting: JointInputs, ladder: Ladder, wrench: Wrench): GuardInput {
  const { joint, leaf, source, shelves } = setting;
  const { parent, today: substitute, maker, overrides } = joint.detail;
  const [original, today] = [originalFacts(setting), todayFacts(setting)];
  const scale = scaleOf(wrench);
  const inParent = today.form === 'bolt' ? today.thread : today.metalThread;
  return {
    ladder,
    original: {
      ...ladderFastener(original, shelves),
      ...(original.grade !== null && { gradeRow: gradeOn(shelves, original.grade) }),
    },
    today: {
      ...inItsThread(today, setting),
      ...(today.grade !== null && { gradeRow: gradeOn(shelves, today.grade) }),
    },
    // Where nobody said what it is, that is asked; it is judged as a stud until then.
    form: today.form === 'bolt' ? 'bolt' : 'stud',
    faceMeasured: today.faceMeasured,
    substituted: substitute !== null,
    takenBeyondYield: known(today.takenBeyondYield),
    platedUnbaked: known(today.platedUnbaked),
    ...(inParent !== null && {
      parent: {
        thread: threadNamed(inParent),
        metal: parent.metal === null ? undefined : metalOn(shelves, parent.metal),
        engagement_mm: known(parent.engagement_mm),
        ...(parent.insert && {
          insert: { length_mm: known(parent.insertLength_mm), torque_Nm: insertTorque(parent)?.high_Nm },
        }),
        insertUnsaid: parent.insert === null && !isEveryHoleSeen(joint.detail.holes, joint.fasteners),
        hottest_C: known(parent.hottest_C),
      },
    }),
    underHead: parent.underHead === null ? undefined : metalOn(shelves, parent.underHead),
    ...(today.washer_mm !== null && {
      washer: {
        outer_mm: today.washer_mm,
        thickness_mm: known(today.washerThickness_mm),
        inner_mm: known(today.washerBore_mm),
      },
    }),
    // A bolt in a tapped hole has no nut; one that goes right through, and a stud, do.
    ...((today.form !== 'bolt' || today.nutHeight_mm !== null || today.nutGrade !== null) && {
      nut: {
        height_mm: known(today.nutHeight_mm),
        ...(today.nutGrade !== null && { grade: gradeOn(shelves, today.nutGrade) }),
      },
    }),
    ...(parent.gasketArea_mm2 !== null && {
      gasket: { area_mm2: parent.gasketArea_mm2, limit_MPa: known(parent.gasketLimit_MPa) },
    }),
    hottest_C: known(parent.hottest_C),
    reach: {
      length_mm: known(today.length_mm),
      threadLength_mm: known(today.threadLength_mm),
      grip_mm: known(parent.grip_mm),
      holeDepth_mm: leastOf(known(parent.holeDepth_mm), shallowest(joint.detail.holes)),
      // One that was found blind is what a bolt may bottom in, whatever is said of the rest.
      isThrough: parent.holeThrough && !joint.detail.holes.some(({ end }) => end === 'blind'),
      ...(inParent !== null && { pitch_mm: threadNamed(inParent).pitch_mm }),
    },
    locking: today.locking,
    nearHeat: known(parent.nearHeat),
    seating_Nm: known(today.seating_Nm),
    socket: substitute?.socket,
    boreMoves: known(parent.boreMoves),
    todayFilmId: joint.todayFilm,
    headFilmId: joint.detail.headFilm ?? joint.todayFilm,
    ...(maker && !overrides.maker && { makerFilm: filmOn(shelves, maker.film) }),
    hearsay: source.kind === 'hearsay',
    agreed: askedOf({ kind: 'torque', printedText: leaf.printedText }),
    bookSays: leaf.conditionText,
    bookFilmId: joint.originalFilm,
    wrench: {
      ...scale,
      overdue: isOverdue(wrench, setting),
      windowFloor: windowFloor(scale, shelves.practice.window),
    },
  };
}

/** Everything that stands against this joint's figure, from what is known of it, and what is not known of it. */
export function judgedJoint(
  setting: JointInputs,
  ladder: Ladder,
  wrench: Wrench,
): { readonly guards: readonly Guard[]; readonly unknown: readonly Unknown[] } {
  const input = guardInput(setting, ladder, wrench);
  const holes = judgedHoles(setting.joint);
  return {
    guards: [
      ...printGuards(setting.leaf),
      ...turnGuards(setting.leaf),
      ...elsewhereGuards(wrench),
      ...asideGuards(wrench),
      ...othersGuards(setting.joint.name, setting.leaf),
      ...substituteGuards(setting),
      ...headGuards(setting),
      ...secondWrenchGuards(wrench, ladder, setting.shelves.practice),
      ...guards(input),
      ...holes.guards,
    ],
    unknown: [
      ...formUnknown(setting),
      ...unknowns(input),
      ...headUnknown(setting),
      ...seatingUnknown(setting),
      ...lockingUnknown(setting),
      ...holes.unknown,
    ],
  };
}
