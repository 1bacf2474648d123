import { DomainError, type Note } from '@/core/units';
import { amountOf } from './amounts';
import { foldCharacters } from './characters';
import { compareIntervals, type Agreement } from './cross-check';
import { scanGroups, type Group, type Scan } from './groups';
import { printNote, type PrintNoteCode } from './notes';
import { joinNumerals } from './numerals';
import { markLimits, takeCondition, type Limit } from './phrases';
import { tokens } from './tokens';
import { matchTorquePrintUnit, type TorquePrintUnit } from './torque-print-units';
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
  readonly condition?: string;
  readonly notes: readonly Note[];
}

export interface TurnPrint {
  readonly kind: 'turn';
  readonly ambiguous: false;
  readonly readings: readonly [];
  readonly min_deg: number;
  readonly max_deg: number;
  readonly condition?: string;
  readonly notes: readonly Note[];
}

type TorqueGroup = Group<TorquePrintUnit>;
const SUSPECT_RATIO = 3;
const LARGEST_FIGURE = 1e6;
const MAX_CHARACTERS = 400;

const unreadable = (message: string) => new DomainError('unreadable', message, 'text');
const unknownUnit = (scan: Scan<TorquePrintUnit>) =>
  new DomainError('unknown-unit', `“${scan.unknownAfterFigure}” is not a torque unit known here.`, 'text');
const unitKind = (group: TorqueGroup | undefined) => group?.unit?.kind;

function assertScan(scan: Scan<TorquePrintUnit>): void {
  if (scan.groups.length === 0)
    throw new DomainError('no-number', 'No figure was found. Type it as printed, such as “5½ mkg”.', 'text');
  if (scan.negative)
    throw new DomainError('negative', 'A torque cannot be negative. Check the sign before the figure.', 'text');
  if (scan.broken)
    throw unreadable('The figures do not make one torque or one range. Enter each step as a leaf of its own.');
  if (scan.unknownBeforeUnit) throw unknownUnit(scan);
  const unitless = scan.groups.some((group) => !group.unit);
  if (unitless && scan.groups.length > 1)
    throw unreadable('One of the figures has no unit, so the text cannot be read safely.');
  if (unitless && scan.unknownAfterFigure) throw unknownUnit(scan);
  if (unitless)
    throw new DomainError('no-unit', 'The figure has no unit. Add it as printed, such as “lb. ft.” or “mkg”.', 'text');
}

function assertAboveZero(group: TorqueGroup): void {
  const { max } = amountOf(group, 'thousand');
  // Either sense of a comma may be chosen later, so the smaller must stand too.
  const min = Math.min(amountOf(group, 'decimal').min, amountOf(group, 'thousand').min);
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
    throw unreadable('The page prints more than one step. Enter each step as a leaf of its own.');
  const units = steps.map((step) => step.readings[0]?.unit);
  if (units.some((unit, i) => unit !== undefined && units.indexOf(unit) !== i))
    throw unreadable('The page prints more than one figure in the same unit. Enter each as a leaf of its own.');
}

interface Checked {
  readonly readings: readonly TorqueReading[];
  readonly crossCheck?: TorqueCrossCheck;
}

/** Holds the second printed unit against the first; where the first is ambiguous, what agrees is put first. */
function crossChecked(first: TorqueStep, others: readonly TorqueStep[]): Checked {
  if (others.length === 0) return { readings: first.readings };
  const checks = others.map((other) => {
    const pairs = first.intervals.flatMap((mine, i) =>
      other.intervals.map((theirs, j) => ({ i, j, ...compareIntervals(mine, theirs) })),
    );
    const best = pairs.find((pair) => pair.agrees) ?? pairs[0];
    return { other, best };
  });
  const chosen = checks.find(({ best }) => !best?.agrees) ?? checks[0];
  if (!chosen?.best) return { readings: first.readings };
  const { i, j, differencePct, agrees } = chosen.best;
  const printed = chosen.other.readings[j] as TorqueReading;
  const lead = first.readings[i] as TorqueReading;
  return {
    readings: [lead, ...first.readings.filter((reading) => reading !== lead)],
    crossCheck: { unit: printed.unit ?? 'N·m', min_Nm: printed.min_Nm, max_Nm: printed.max_Nm, differencePct, agrees },
  };
}

const closingNotes = (limits: ReadonlySet<Limit>, reversed: boolean, ratio: number): readonly PrintNoteCode[] => [
  ...(reversed ? ['range-reversed' as const] : []),
  // A hair of rounding is no slip: 988.2 is three times 329.4 on the page, whatever the product of the two comes to.
  ...(ratio > SUSPECT_RATIO * (1 + 1e-9) ? ['suspect-magnitude' as const] : []),
  ...limits,
];

function readTurn(groups: readonly TorqueGroup[], limits: ReadonlySet<Limit>, square: boolean) {
  const [group] = groups as [TorqueGroup];
  if (groups.length > 1) throw unreadable('A torque and a turn are two steps. Enter each as a leaf of its own.');
  const unit = group.unit as Extract<TorquePrintUnit, { kind: 'turn' }>;
  const degrees = unit.flat && square ? 90 : unit.degrees;
  const amount = amountOf(group, 'decimal');
  const codes: PrintNoteCode[] = [
    ...(group.numbers.some((n) => n.comma) ? ['decimal-comma' as const] : []),
    ...(group.numbers.some((n) => n.fraction) ? ['fraction' as const] : []),
    ...closingNotes(limits, amount.reversed, amount.max / amount.min),
  ];
  return { min_deg: amount.min * degrees, max_deg: amount.max * degrees, notes: codes.map(printNote) };
}

/**
 * Reads a torque, a pull on a lever or a part of a turn exactly as a page prints it.
 * Nothing is guessed in silence: where the page allows two readings, both come back, likeliest first.
 * @throws DomainError no-number, no-unit, unknown-unit, negative, zero, unreadable
 * @example readTorque('5½ mkg').readings[0].min_Nm // 53.936575
 */
export function readTorque(text: string): TorquePrint | TurnPrint {
  if (text.length > MAX_CHARACTERS)
    throw unreadable(`The text is longer than ${MAX_CHARACTERS} characters. Enter the figure alone.`);
  const { rest, condition } = takeCondition(foldCharacters(text));
  const scan = scanGroups(joinNumerals(tokens(markLimits(rest))), matchTorquePrintUnit);
  assertScan(scan);
  scan.groups.forEach(assertAboveZero);
  const printed = condition === undefined ? {} : { condition };
  if (scan.groups.some((group) => unitKind(group) === 'turn')) {
    const turn = readTurn(scan.groups, scan.limits, /\b(square|vierkant|carr[ée]e?|quadr[ao])/.test(rest));
    return { kind: 'turn', ambiguous: false, readings: [], ...turn, ...printed };
  }
  const steps = takeSteps(scan.groups);
  assertOneFigure(scan.groups, steps);
  const [first, ...others] = steps as [TorqueStep, ...TorqueStep[]];
  const { readings, crossCheck } = crossChecked(first, others);
  const lead = readings[0] as TorqueReading;
  const codes = new Set<PrintNoteCode>([
    ...first.notes,
    ...others.flatMap((step) => step.notes),
    ...closingNotes(scan.limits, first.reversed, lead.max_Nm / lead.min_Nm),
    ...(crossCheck ? [crossCheck.agrees ? ('printed-units-agree' as const) : ('printed-units-disagree' as const)] : []),
  ]);
  const result = {
    kind: first.kind,
    ambiguous: readings.length > 1 || first.notes.includes('bare-force-unit'),
    readings,
  };
  return { ...result, ...(crossCheck && { crossCheck }), ...printed, notes: [...codes].map(printNote) };
}
