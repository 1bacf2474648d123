import { DomainError, isDomainError, type Note } from '@/core/units';
import { scanAlike } from './alike';
import { amountOf } from './amounts';
import { compareIntervals, type Agreement, type PrintedInterval } from './cross-check';
import type { Group, Scan } from './groups';
import { closingNotes, printNote, unreadable, type PrintNoteCode } from './notes';
import { mended } from './misread';
import { assertForward, isTurn, readTurn } from './read-turn';
import { askedNotes, scanTorque, type ScannedTorque } from './scan-torque';
import { readStages, type StagePrint } from './stages';
import type { Numeral } from './tokens';
import type { TorquePrintUnit } from './torque-print-units';
import { bareForceStep, leverStep, torqueStep, type TorqueReading, type TorqueStep } from './torque-readings';

export interface TorqueCrossCheck extends Agreement {
  readonly unit: string;
  readonly min_Nm: number;
  readonly max_Nm: number;
}

export interface TorquePrint {
  readonly kind: 'torque' | 'lever-pull';
  readonly ambiguous: boolean;
  readonly readings: readonly TorqueReading[];
  readonly crossCheck?: TorqueCrossCheck;
  /** Printed of the thread, or of thread and face alike. */
  readonly condition?: string;
  /** Printed of the face or washer, where it says something else of the thread. */
  readonly headCondition?: string;
  readonly notes: readonly Note[];
}

export interface TurnPrint {
  readonly kind: 'turn';
  readonly ambiguous: false;
  readonly readings: readonly [];
  readonly min_deg: number;
  readonly max_deg: number;
  readonly condition?: string;
  readonly headCondition?: string;
  readonly notes: readonly Note[];
}

type TorqueGroup = Group<TorquePrintUnit>;
const LARGEST_FIGURE = 1e6;
// Hub nuts and flywheels stay below it; above, a unit or a point has slipped.
const USUAL_NM = 500;
const MAX_CHARACTERS = 400;

const negative = () =>
  new DomainError('negative', 'A torque cannot be negative. Check the sign before the figure.', 'text');
const unknownUnit = (scan: Scan<TorquePrintUnit>) =>
  new DomainError('unknown-unit', `“${scan.unknownAfterFigure}” is not a torque unit known here.`, 'text');

function assertScan(scan: Scan<TorquePrintUnit>): void {
  if (scan.groups.length === 0)
    throw new DomainError('no-number', 'No figure was found. Type it as printed, such as “5½ mkg”.', 'text');
  if (scan.negative) throw negative();
  if (scan.broken || scan.row)
    throw unreadable('The figures do not make one torque or one range. Enter each step as an entry of its own.');
  if (scan.unknownBeforeUnit) throw unknownUnit(scan);
  const unitless = scan.groups.some((group) => !group.unit);
  if (unitless && scan.groups.length > 1)
    throw unreadable('One of the figures has no unit, so the text cannot be read safely.');
  if (unitless && scan.unknownAfterFigure) throw unknownUnit(scan);
  if (unitless)
    throw new DomainError('no-unit', 'The figure has no unit. Add it as printed, such as “lb. ft.” or “mkg”.', 'text');
}

const isTwofold = ({ thousand }: Numeral) => thousand !== undefined;

function assertAboveZero(group: TorqueGroup): void {
  const decimal = amountOf(group, 'decimal');
  const { min: least, max } = group.numbers.some(isTwofold) ? amountOf(group, 'thousand') : decimal;
  // Either sense of a comma may be chosen later, so the smaller must stand too.
  const min = Math.min(decimal.min, least);
  if (max > LARGEST_FIGURE) throw unreadable(`The figure is larger than any page prints: ${max}.`);
  if (min < 0) throw new DomainError('negative', 'The tolerance reaches below zero. Check the page.', 'text');
  if (min === 0) throw new DomainError('zero', 'A figure of zero is no torque. Check the page.', 'text');
}

/** Takes one step off the front of the groups: a torque, a pull on a lever, or a bare force. */
function takeStep(groups: readonly TorqueGroup[]): { step: TorqueStep; used: number } {
  const [first, second, third] = groups as [TorqueGroup, TorqueGroup?, TorqueGroup?];
  const unit = first.unit as TorquePrintUnit;
  if (unit.kind === 'torque') return { step: torqueStep(first, unit.unit), used: 1 };
  if (unit.kind === 'force' && second?.unit?.kind === 'length' && second.joiners.has('lever')) {
    const lengths = third?.unit?.kind === 'length' && third.joiners.size === 0 ? [second, third] : [second];
    const step = leverStep(first, unit.word, lengths);
    if (step) return { step, used: 1 + lengths.length };
  }
  if (unit.kind === 'length' && second?.unit?.kind === 'force' && second.joiners.size > 0) {
    const step = leverStep(second, second.unit.word, [first]);
    if (step) return { step, used: 2 };
  }
  if (unit.kind === 'force' && second?.unit?.kind !== 'length') {
    const step = bareForceStep(first, unit.word);
    if (step) return { step, used: 1 };
  }
  if (unit.kind === 'length' && groups.length === 1)
    throw new DomainError('unknown-unit', 'A length alone is not a torque.', 'text');
  throw unreadable(
    'The force and the length of lever could not be put together. Print them as “30 lb on a 10 in spanner”.',
  );
}

function takeSteps(groups: readonly TorqueGroup[]): readonly TorqueStep[] {
  if (groups.length === 1) return [takeStep(groups).step];
  const steps: TorqueStep[] = [];
  for (let rest = groups; rest.length > 0;) {
    const { step, used } = takeStep(rest);
    steps.push(step);
    rest = rest.slice(used);
  }
  return steps;
}

function assertOneFigure(groups: readonly TorqueGroup[], steps: readonly TorqueStep[]): void {
  if (groups.some((group) => group.joiners.has('plus')))
    throw unreadable('The page prints more than one step. Enter each step as an entry of its own.');
  const units = steps.map((step) => step.readings[0]?.unit);
  if (units.some((unit, i) => unit !== undefined && units.indexOf(unit) !== i))
    throw unreadable('The page prints more than one figure in the same unit. Enter each as an entry of its own.');
}

interface Checked {
  readonly readings: readonly TorqueReading[];
  readonly crossCheck?: TorqueCrossCheck;
}

/** The first two readings that agree, else the likeliest two. */
function bestPair(first: TorqueStep, other: TorqueStep) {
  let likeliest: { readonly i: number; readonly j: number; readonly agreement: Agreement } | undefined;
  for (let i = 0; i < first.intervals.length; i++)
    for (let j = 0; j < other.intervals.length; j++) {
      const agreement = compareIntervals(first.intervals[i] as PrintedInterval, other.intervals[j] as PrintedInterval);
      if (agreement.agrees) return { i, j, agreement };
      likeliest ??= { i, j, agreement };
    }
  return likeliest;
}

/** Holds the second printed unit against the first; where the first is ambiguous, what agrees is put first. */
function crossChecked(first: TorqueStep, others: readonly TorqueStep[]): Checked {
  if (others.length === 0) return { readings: first.readings };
  const checks = others.map((other) => ({ other, best: bestPair(first, other) }));
  const chosen = checks.find(({ best }) => !best?.agreement.agrees) ?? checks[0];
  if (!chosen?.best) return { readings: first.readings };
  const { i, j } = chosen.best;
  const { differencePct, agrees } = chosen.best.agreement;
  const printed = chosen.other.readings[j] as TorqueReading;
  const lead = first.readings[i] as TorqueReading;
  return {
    readings: i === 0 ? first.readings : [lead, ...first.readings.filter((reading) => reading !== lead)],
    crossCheck: { unit: printed.unit ?? 'N·m', min_Nm: printed.min_Nm, max_Nm: printed.max_Nm, differencePct, agrees },
  };
}

function readAsItStands(text: string, scan = scanTorque(text)): TorquePrint | TurnPrint | StagePrint {
  const { printed, square } = scan;
  const stages = scan.broken || scan.unknownBeforeUnit ? undefined : readStages(scan, scan.saysStages, square);
  if (!stages) assertScan(scan);
  else if (scan.negative) throw negative();
  scan.groups.forEach(assertAboveZero);
  assertForward(text, scan.groups);
  if (stages) {
    const most_Nm = Math.max(...stages.stages.map((stage) => ('max_Nm' in stage ? stage.max_Nm : 0)));
    const codes: readonly PrintNoteCode[] = [...scan.limits, ...(most_Nm > USUAL_NM ? ['beyond-usual' as const] : [])];
    const notes = [...stages.notes, ...codes.map((code) => printNote(code)), ...askedNotes(scan)];
    return { ...stages, ...printed, notes };
  }
  // A range that is said to be pulled in stages may be the stages themselves.
  const maybeStages = scan.saysStages && (scan.groups[0]?.numbers.length ?? 0) > 1;
  const more =
    maybeStages || scan.partial
      ? [...(maybeStages ? ['stages'] : []), ...(scan.partial ? [scan.partial] : [])]
      : undefined;
  const notUnderstood = askedNotes(scan, more);
  if (scan.groups.some(isTurn)) {
    const turn = readTurn(scan.groups, scan.limits, square);
    return {
      kind: 'turn',
      ambiguous: false,
      readings: [],
      ...turn,
      ...printed,
      notes: [...turn.notes, ...notUnderstood],
    };
  }
  const steps = takeSteps(scan.groups);
  assertOneFigure(scan.groups, steps);
  const [first, ...others] = steps as [TorqueStep, ...TorqueStep[]];
  const { readings, crossCheck } = crossChecked(first, others);
  const lead = readings[0] as TorqueReading;
  const codes: PrintNoteCode[] = steps.length === 1 ? [...first.notes] : steps.flatMap((step) => step.notes);
  codes.push(...closingNotes(scan.limits, first.reversed, lead.max_Nm / lead.min_Nm));
  if (lead.max_Nm > USUAL_NM) codes.push('beyond-usual');
  if (crossCheck) codes.push(crossCheck.agrees ? 'printed-units-agree' : 'printed-units-disagree');
  const notes: Note[] = [];
  for (const code of codes) if (!notes.some((note) => note.code === code)) notes.push(printNote(code));
  notes.push(...notUnderstood);
  const ambiguous = readings.length > 1 || first.notes.includes('bare-force-unit');
  return torquePrint({ kind: first.kind, ambiguous, readings, crossCheck, notes }, printed);
}

/** Each shape written out: what is put together of parts that may be missing costs more than the reading. */
function torquePrint(
  { kind, ambiguous, readings, crossCheck, notes }: Omit<TorquePrint, 'condition' | 'headCondition'>,
  { condition, headCondition }: ScannedTorque['printed'],
): TorquePrint {
  if (headCondition !== undefined || (crossCheck && condition === undefined))
    return {
      kind,
      ambiguous,
      readings,
      ...(crossCheck && { crossCheck }),
      ...(condition !== undefined && { condition }),
      ...(headCondition !== undefined && { headCondition }),
      notes,
    };
  if (condition === undefined) return { kind, ambiguous, readings, notes };
  return crossCheck
    ? { kind, ambiguous, readings, crossCheck, condition, notes }
    : { kind, ambiguous, readings, condition, notes };
}

/** What each of the likely repairs of a misread text gives, likeliest first; asked about whatever it gives. */
function readMended(texts: readonly string[], shown: string): TorquePrint | TurnPrint | StagePrint {
  const found = texts.flatMap((text) => {
    try {
      return [readAsItStands(text)];
    } catch (error) {
      if (isDomainError(error)) return [];
      throw error;
    }
  });
  const [first, ...others] = found;
  if (!first) return readAsItStands(texts[0] ?? shown);
  const misread = printNote('perhaps-misread', `“${shown.trim()}”`);
  if (first.kind === 'turn' || first.kind === 'stages')
    throw unreadable(`“${shown.trim()}” looks misread. Look at the page again.`);
  const readings = [first, ...others].flatMap((one) => one.readings);
  return { ...first, ambiguous: true, readings, notes: [...first.notes, misread] };
}

/** Reads a text as if none like it had been seen. */
export function readAfresh(text: string): TorquePrint | TurnPrint | StagePrint {
  const repaired = mended(text);
  return repaired ? readMended(repaired.texts, text) : readAsItStands(text);
}

/**
 * Reads a torque, a pull on a lever, a part of a turn, or several stages exactly as a page prints them.
 * Nothing is guessed in silence: where the page allows two readings, both come back, likeliest first; words that are
 * not understood are repeated in a note, and a text that looks misread is ambiguous.
 * @throws DomainError no-number, no-unit, unknown-unit, negative, zero, unreadable
 * @example readTorque('5½ mkg').readings[0].min_Nm // 53.936575
 */
export function readTorque(text: string): TorquePrint | TurnPrint | StagePrint {
  if (text.length > MAX_CHARACTERS)
    throw unreadable(`The text is longer than ${MAX_CHARACTERS} characters. Enter the figure alone.`);
  const scan = scanAlike(text);
  return scan ? readAsItStands(text, scan) : readAfresh(text);
}
