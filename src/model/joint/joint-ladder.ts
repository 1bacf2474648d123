import { filmOfCondition } from '@/core/film';
import type { LadderFastener, LadderInput, MakerFigure, Override, RungId } from '@/core/joint';
import { schoolWords } from '@/model/practice/practice-questions';
import { readTorque } from '@/core/print';
import { readingOfLeaf } from '@/model/book/leaf-figure';
import { threadNamed } from '@/core/thread';
import { DomainError, atField } from '@/core/units';
import { fastenerWords, type FastenerFacts, type ParentFacts } from './fastener-facts';
import type { JointInputs } from './joint-inputs';
import type { Source } from '@/model/book/source';
import type { Wrench } from '@/model/shelf/wrench';
import { filmOn, gradeOn, type Shelves } from '@/model/shelf/shelves';

export const sourceLine = ({ title, edition, year }: Pick<Source, 'title' | 'edition' | 'year'>): string =>
  [title, edition, year].filter(Boolean).join(', ');

/** The original as facts: the joint's own thread and face, with what else is known of it. */
export const originalFacts = ({ joint }: Pick<JointInputs, 'joint'>): FastenerFacts => ({
  ...joint.detail.original,
  thread: joint.thread,
  outer_mm: joint.bearingOuter_mm,
  inner_mm: joint.bearingInner_mm,
  faceMeasured: joint.bearingMeasured,
});

/** What is on the joint today. */
export const todayFacts = (setting: Pick<JointInputs, 'joint'>): FastenerFacts =>
  setting.joint.detail.today ?? originalFacts(setting);

export function ladderFastener(facts: FastenerFacts, shelves: Shelves): LadderFastener {
  const grade = facts.grade === null ? undefined : gradeOn(shelves, facts.grade);
  const [low, high] = [facts.prevailingLow_Nm, facts.prevailingHigh_Nm];
  return {
    name: [fastenerWords(facts), grade?.name].filter(Boolean).join(' '),
    thread: threadNamed(facts.thread),
    bearing: {
      outer_mm: facts.outer_mm,
      inner_mm: facts.inner_mm,
      ...(facts.seat_deg !== null && { cone_deg: facts.seat_deg }),
    },
    bearingSource: facts.faceMeasured ? 'measured.' : 'usual for the size, not measured.',
    ...(grade && { yield_MPa: grade.yield_MPa, grade: grade.name }),
    ...(facts.shankDiameter_mm !== null && { shank_mm: facts.shankDiameter_mm }),
    ...(low !== null && high !== null && high > 0 && { prevailing: { low_Nm: low, high_Nm: high } }),
  };
}

/** What the thread insert turns with by itself; undefined where it was not asked. N·m */
export function insertTorque({ insert, insertLow_Nm, insertHigh_Nm }: ParentFacts): Prevailing | undefined {
  if (!insert) return undefined;
  const [low, high] = [insertLow_Nm ?? insertHigh_Nm, insertHigh_Nm ?? insertLow_Nm];
  return low === null || high === null ? undefined : { low_Nm: Math.min(low, high), high_Nm: Math.max(low, high) };
}

type Prevailing = NonNullable<LadderFastener['prevailing']>;

/** A bolt turns in the insert at every pull; a stud stands in it, and its nut knows nothing of it. */
export function inItsThread(facts: FastenerFacts, { joint, shelves }: JointInputs): LadderFastener {
  const fastener = ladderFastener(facts, shelves);
  const own = facts.form === 'bolt' ? insertTorque(joint.detail.parent) : undefined;
  if (!own || own.high_Nm === 0) return fastener;
  const { low_Nm = 0, high_Nm = 0 } = fastener.prevailing ?? {};
  return {
    ...fastener,
    name: `${fastener.name} in a thread insert`,
    prevailing: { low_Nm: low_Nm + own.low_Nm, high_Nm: high_Nm + own.high_Nm },
  };
}

function makerOf({ joint, shelves }: JointInputs): MakerFigure | undefined {
  const { maker } = joint.detail;
  if (!maker) return undefined;
  const print = atField('maker', () => readTorque(maker.text));
  const reading = print.kind === 'stages' ? (print.final ?? print.snug) : print.readings[0];
  if (!reading || print.ambiguous)
    throw new DomainError(
      'bad-field',
      'The maker’s figure must be one torque with its unit, such as “42 Nm”.',
      'maker',
    );
  return { reading, printedText: maker.text, film: filmOn(shelves, maker.film), source: maker.source };
}

/** Where the page says nothing of the threads, the films that it may have meant lie between these two. */
const extremesOf = ({ leaf, shelves }: JointInputs): LadderInput['extremes'] =>
  leaf.conditionText !== null && filmOfCondition(leaf.conditionText) !== undefined
    ? undefined
    : [filmOn(shelves, 'dry-bare'), filmOn(shelves, 'engine-oil')];

function rangeReason({ joint, shelves }: JointInputs): string {
  const words = schoolWords({ ...shelves.practice, range: joint.rangeSchool }, 'range');
  if (joint.rangeSchool === shelves.practice.range) return `house practice: ${words.name}; ${words.reason}`;
  return `chosen for this joint: ${words.name}; house practice is ${schoolWords(shelves.practice, 'range').name}`;
}

export const scaleOf = ({ name, unit, min, max, graduation, accuracy_pct, calibration }: Wrench) => ({
  name,
  unit,
  min,
  max,
  graduation,
  accuracy_pct,
  ...(calibration.length > 0 && { calibration }),
});

const reasoned = (overrides: Partial<Record<RungId, Override>>) =>
  Object.fromEntries(Object.entries(overrides).filter(([, override]) => override.reason.trim() !== ''));

/** Everything the ladder needs, looked up. @throws DomainError */
export function ladderInput(setting: JointInputs, wrench: Wrench): LadderInput {
  const { joint, leaf, source, shelves } = setting;
  const { detail } = joint;
  const original = ladderFastener(originalFacts(setting), shelves);
  const threadFilm = filmOn(shelves, joint.todayFilm);
  return {
    reading: readingOfLeaf(leaf),
    printedText: leaf.printedText,
    page: `${sourceLine(source)}, p. ${leaf.page}`,
    rangeSchool: joint.rangeSchool,
    rangeReason: rangeReason(setting),
    original,
    today: inItsThread(todayFacts(setting), setting),
    originalFilm: filmOn(shelves, joint.originalFilm),
    originalFilmReason: joint.originalFilmReason,
    extremes: extremesOf(setting),
    threadFilm,
    headFilm: detail.headFilm === null ? threadFilm : filmOn(shelves, detail.headFilm),
    maker: makerOf(setting),
    ...(detail.adaptor && { adaptor: detail.adaptor }),
    wrench: scaleOf(wrench),
    window: shelves.practice.window,
    overrides: reasoned(detail.overrides),
  };
}
