import type { Leaf } from '@/model/book/leaf';
import { figureDiffers } from '@/model/book/leaf-figure';
import { guards, type Guard, type Ladder } from '@/core/joint';
import { checkOverdue } from '@/model/practice/house-practice';
import { threadNamed } from '@/core/thread';
import { windowFloor } from '@/core/wrench';
import { ladderFastener, originalFacts, scaleOf, todayFacts } from './joint-ladder';
import type { JointInputs } from './joint-inputs';
import { askedOf } from '@/model/book/leaf-of-text';
import type { Wrench } from '@/model/shelf/wrench';
import { filmOn, gradeOn, hangsHere, metalOn } from '@/model/shelf/shelves';

const known = <T>(value: T | null): T | undefined => value ?? undefined;

export const isOverdue = (wrench: Wrench, { shelves, now }: Pick<JointInputs, 'shelves' | 'now'>): boolean =>
  checkOverdue(wrench.checkedAt === null ? undefined : Date.parse(wrench.checkedAt), shelves.practice.check, now);

/** A text that no longer gives the figure that was kept of it: the figure is used only with a written reason. */
function printGuards(leaf: Leaf): readonly Guard[] {
  const message = figureDiffers(leaf);
  return message === undefined ? [] : [{ code: 'figure-differs', severity: 'stop', message }];
}

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

/** Everything that stands against this joint's figure, from what is known of it. */
export function guardsOfJoint(setting: JointInputs, ladder: Ladder, wrench: Wrench): readonly Guard[] {
  const { joint, leaf, source, shelves } = setting;
  const { parent, today: substitute, maker, overrides } = joint.detail;
  const [original, today] = [originalFacts(setting), todayFacts(setting)];
  const withGrade = (facts: typeof today) => ({
    ...ladderFastener(facts, shelves),
    ...(facts.grade !== null && { gradeRow: gradeOn(shelves, facts.grade) }),
  });
  const scale = scaleOf(wrench);
  const inParent = today.form === 'stud' ? today.metalThread : today.thread;
  return [
    ...printGuards(leaf),
    ...elsewhereGuards(wrench),
    ...guards({
      ladder,
      original: withGrade(original),
      today: withGrade(today),
      substituted: substitute !== null,
      ...(inParent !== null && {
        parent: {
          thread: threadNamed(inParent),
          metal: parent.metal === null ? undefined : metalOn(shelves, parent.metal),
          engagement_mm: known(parent.engagement_mm),
        },
      }),
      underHead: parent.underHead === null ? undefined : metalOn(shelves, parent.underHead),
      pressed: { outer_mm: Math.max(today.washer_mm ?? 0, today.outer_mm), inner_mm: today.inner_mm },
      reach: {
        length_mm: known(today.length_mm),
        threadLength_mm: known(today.threadLength_mm),
        grip_mm: known(parent.grip_mm),
        holeDepth_mm: known(parent.holeDepth_mm),
      },
      locking: today.locking,
      nearHeat: parent.nearHeat,
      seating_Nm: known(today.seating_Nm),
      socket: substitute?.socket,
      boreMoves: parent.boreMoves,
      todayFilmId: joint.todayFilm,
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
    }),
  ];
}
