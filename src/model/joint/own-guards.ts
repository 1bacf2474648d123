import type { Guard, Unknown } from '@/core/joint';
import type { Leaf } from '@/model/book/leaf';
import { gradeOn } from '@/model/shelf/shelves';
import { locksItself, type FastenerFacts } from './fastener-facts';
import type { JointInputs } from './joint-inputs';
import { originalFacts, todayFacts } from './joint-ladder';

// What stands against a joint, or is not known of it, beside what the core judges.

/** What is not this tool’s to reckon: a slip there takes the road with it. */
const OTHERS = new RegExp(
  '\\b(?:road wheels?|brakes?|braking|steering|suspension|fuel (?:lines?|pipes?|unions?|taps?|hoses?)|aircraft|' +
    'lifting (?:eyes?|gear|hooks?)|hoist)\\b',
  'i',
);

export function othersGuards(name: string, { subject }: Leaf): readonly Guard[] {
  if (!OTHERS.test(name) && !OTHERS.test(subject)) return [];
  return [
    {
      code: 'not-ours',
      severity: 'stop',
      message:
        'Road wheels, brakes, steering, fuel lines, aircraft and lifting gear are other people’s figures: go by their ' +
        'maker’s, as printed, and by who is licensed for them. This tool is for what an engine is held together by.',
    },
  ];
}

const STAINLESS = /stainless|inox|\bA[1-5]-\d\d/i;

/** What is put in the place of a fastener has to be known; stainless is soft besides, and galls. */
export function substituteGuards({ joint, shelves }: JointInputs): readonly Guard[] {
  const { today, headFilm } = joint.detail;
  if (!today) return [];
  const grade = today.grade === null ? '' : gradeOn(shelves, today.grade).name;
  const isStainless = [joint.todayFilm, headFilm].includes('stainless-dry') || STAINLESS.test(grade);
  if (!isStainless && today.grade !== 'unmarked') return [];
  const [what, why] = isStainless
    ? ['A stainless', 'most are weaker, and they gall']
    : ['An unmarked', 'nobody knows what it bears'];
  return [
    {
      code: 'no-substitute',
      severity: 'stop',
      message:
        `${what} fastener is no substitute for what the maker fitted: ${why}. ` +
        'Take one that is marked, of the grade of the one it stands for.',
    },
  ];
}

/** Half a millimetre of head is as much as anybody measures by a rule. */
const SAME_HEAD_MM = 0.5;

/** A head that is taller than before may touch what goes over it; of a lower one the socket has less to grip. */
export function headGuards(setting: JointInputs): readonly Guard[] {
  const { today } = setting.joint.detail;
  const [before, now] = [originalFacts(setting).headHeight_mm, today?.headHeight_mm ?? null];
  if (before === null || now === null || Math.abs(now - before) < SAME_HEAD_MM) return [];
  const [by, rest] =
    now > before
      ? ['taller', 'Lay what goes over it in place, and turn what moves past it, before it is pulled.']
      : ['lower', 'See that the socket still takes hold of all of it.'];
  return [
    {
      code: 'head-height',
      severity: 'ask',
      message: `Its head is ${Number(Math.abs(now - before).toFixed(2))} mm ${by} than the original’s. ${rest}`,
    },
  ];
}

/** Of a head that was measured, it is known whether it fits only where that of the original was. */
export function headUnknown(setting: JointInputs): readonly Unknown[] {
  const { today } = setting.joint.detail;
  if (today?.headHeight_mm == null || originalFacts(setting).headHeight_mm !== null) return [];
  return [
    {
      code: 'original-head',
      what: 'the height of the original’s head',
      unjudged: 'whether the head fits under what goes over it is not judged',
    },
  ];
}

/** Where the house seats studs with a figure, it is known, or nobody can tell whether the nut turns the stud. */
export function seatingUnknown(setting: JointInputs): readonly Unknown[] {
  const { form, seating_Nm } = todayFacts(setting);
  if (setting.shelves.practice.seating !== 'small-figure' || form !== 'stud' || seating_Nm !== null) return [];
  return [
    {
      code: 'seating-figure',
      what: 'the figure that its stud was seated with',
      unjudged: 'whether the stud turns with the nut is not judged',
    },
  ];
}

/** Of a bolt other things are asked than of a stud with its nut. */
export function formUnknown(setting: JointInputs): readonly Unknown[] {
  if (todayFacts(setting).form !== 'unsaid') return [];
  return [
    {
      code: 'form',
      what: 'whether it is a bolt or a stud',
      unjudged: 'it is judged as a stud: whether it bottoms in its hole is not judged',
    },
  ];
}

const OF_UNSAID = 'a torque of its own is not counted, and no lock is asked for in the end';
const OF_OWN = 'what it takes of the figure is not counted: less clamp load is left than the ladder says';
const OF_ORIGINAL = 'whether a nut’s own torque is in the printed figure is not judged';

/** A nut that locks itself, of which it was not measured what it turns with. */
const isUnmeasured = ({ locking, prevailingLow_Nm, prevailingHigh_Nm }: FastenerFacts): boolean =>
  locksItself(locking) && (prevailingLow_Nm === null || prevailingHigh_Nm === null);

/**
 * How a fastener is locked, and what a nut that locks itself turns with: unasked, the one would be taken as not locked,
 * the other as running freely. Of the original it matters once something else is in its place.
 */
export function lockingUnknown(setting: JointInputs): readonly Unknown[] {
  const [original, today] = [originalFacts(setting), todayFacts(setting)];
  const isOther = setting.joint.detail.today !== null;
  const own = { code: 'own-torque', what: 'what its locking nut turns with by itself', unjudged: OF_OWN };
  const before = { code: 'original-locking', what: 'how the original was locked', unjudged: OF_ORIGINAL };
  const beforeOwn = { code: 'original-own-torque', what: 'the original nut’s own torque', unjudged: OF_ORIGINAL };
  return [
    ...(today.locking === 'unsaid' ? [{ code: 'locking', what: 'how it is locked', unjudged: OF_UNSAID }] : []),
    ...(isUnmeasured(today) ? [own] : []),
    ...(isOther && original.locking === 'unsaid' ? [before] : []),
    ...(isOther && isUnmeasured(original) ? [beforeOwn] : []),
  ];
}
