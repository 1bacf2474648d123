import { isHeatUnasked } from './film-guards';
import type { GuardInput } from './guard';
import { HARDENED_MPA } from './strength-guards';
import { isLight } from './strip-load';

/** Something that is not known, so that a guard could not be judged; never assumed to be in order. */
export interface Unknown {
  readonly code: string;
  /** What is not known, as a name. */
  readonly what: string;
  /** Which guard could not be judged for want of it, or what it was judged by instead. */
  readonly unjudged: string;
}

const unless = (known: boolean, code: string, what: string, unjudged: string): readonly Unknown[] =>
  known ? [] : [{ code, what, unjudged }];

/** Hydrogen that plating leaves in hardened steel breaks it days later, at rest, unless it was baked within hours. */
const PLATINGS: ReadonlySet<string> = new Set(['cadmium-dry', 'zinc-dry', 'zinc-oiled']);

/** Whether a hardened bolt has a plating of which nobody said whether it was baked. */
const isBakingUnsaid = ({ platedUnbaked, today, todayFilmId, headFilmId }: GuardInput): boolean =>
  platedUnbaked === undefined &&
  (today.yield_MPa ?? HARDENED_MPA) >= HARDENED_MPA &&
  [todayFilmId, headFilmId].some((id) => PLATINGS.has(id));

/** Of a thread insert: unasked, the whole engagement would be taken as held and its grip as part of the clamp load. */
function ofInsert({ parent, form }: GuardInput): readonly Unknown[] {
  const insert = parent?.insert;
  if (!insert)
    // They are wound into light alloy; in iron and steel one that is there was said.
    return unless(
      !parent?.insertUnsaid || parent.metal === undefined || !isLight(parent.metal),
      'insert',
      'whether a thread insert is wound in',
      'its own torque is not counted, and its length not judged',
    );
  return [
    ...unless(
      insert.length_mm !== undefined,
      'insert-length',
      'the length of its thread insert',
      'the thread round it is judged along the whole engagement',
    ),
    ...unless(
      insert.torque_Nm !== undefined,
      'insert-torque',
      'the insert’s own torque',
      form === 'bolt'
        ? 'what it takes of the figure is not counted: less clamp load is left than the ladder says'
        : 'whether the stud is driven home against it is not judged',
    ),
  ];
}

/** Of the fastener itself. */
function ofFastener(input: GuardInput): readonly Unknown[] {
  const { today, original, substituted, washer, reach, faceMeasured } = input;
  return [
    ...unless(today.yield_MPa !== undefined, 'grade', 'its grade', 'its yield is judged as that of mild steel'),
    ...unless(
      !substituted || original.yield_MPa !== undefined,
      'original-grade',
      'the grade of the original',
      'whether the substitute is weaker is not judged',
    ),
    ...unless(faceMeasured, 'face', 'the face under it, measured', 'friction and pressure rest on the usual face'),
    ...unless(
      washer === undefined || (washer.thickness_mm !== undefined && washer.inner_mm !== undefined),
      'washer-thickness',
      washer?.thickness_mm === undefined ? 'the washer’s thickness' : 'the washer’s bore',
      'how far it spreads the pressure is not judged',
    ),
    ...unless(
      reach.threadLength_mm !== undefined,
      'thread-length',
      'the length of its thread',
      'whether it meets its shoulder is not judged',
    ),
    ...unless(
      input.takenBeyondYield !== undefined,
      'history',
      'whether it was ever taken beyond its yield',
      'whether it may be used again is not judged',
    ),
    ...unless(
      !isBakingUnsaid(input),
      'plated',
      'whether its plating was baked',
      'whether it may break days later, at rest, is not judged',
    ),
  ];
}

/** Of where it sits. */
function ofPlace({ parent, underHead, reach, form }: GuardInput): readonly Unknown[] {
  const isStud = form === 'stud';
  const strips = 'whether the parent’s thread strips is not judged';
  return [
    ...unless(parent !== undefined, 'metal-thread', 'the stud’s thread in the metal', strips),
    ...unless(parent === undefined || parent.metal !== undefined, 'metal', 'what it is tapped into', strips),
    ...unless(parent === undefined || parent.engagement_mm !== undefined, 'engagement', 'its engagement', strips),
    ...unless(
      underHead !== undefined,
      'under-head',
      isStud ? 'what the nut presses on' : 'what the head presses on',
      'the pressure under it is not judged',
    ),
    ...unless(
      reach.length_mm !== undefined && reach.grip_mm !== undefined,
      'grip',
      reach.length_mm === undefined ? 'its length and what it clamps' : 'what it clamps',
      'whether it bottoms or meets its shoulder is not judged',
    ),
    ...unless(
      isStud || reach.holeDepth_mm !== undefined || reach.isThrough === true,
      'hole-depth',
      'the depth of its hole',
      'whether it bottoms is not judged',
    ),
  ];
}

/** Of what is run down on it, what it presses flat, and how hot that gets. */
function ofRest(input: GuardInput): readonly Unknown[] {
  const { nut, gasket, underHead, hottest_C, substituted, boreMoves } = input;
  return [
    ...unless(
      nut === undefined || (nut.height_mm !== undefined && nut.grade !== undefined),
      'nut',
      nut?.height_mm === undefined ? 'the height of its nut' : 'the grade of its nut',
      'whether the nut strips is not judged',
    ),
    ...unless(
      gasket === undefined || gasket.limit_MPa !== undefined,
      'gasket-limit',
      'what the gasket bears',
      'whether it is crushed is not judged',
    ),
    ...unless(
      underHead === undefined || !isLight(underHead) || hottest_C !== undefined,
      'hottest',
      'how hot the light alloy gets',
      'what heat adds to the clamp load is not judged',
    ),
    ...unless(
      !isHeatUnasked(input),
      'near-heat',
      'whether it sits near heat',
      'whether what is on it, or locks it, stands that is not judged',
    ),
    ...unless(
      !substituted || boreMoves !== undefined,
      'bore-moves',
      'whether new fasteners here can move a bore',
      'whether the bore is to be measured again is not asked',
    ),
  ];
}

/** What is not known of a joint, and what could not be judged for want of it. */
export const unknowns = (input: GuardInput): readonly Unknown[] => [
  ...ofFastener(input),
  ...ofPlace(input),
  ...ofInsert(input),
  ...ofRest(input),
];
