import { DomainError } from '@/core/units';
import { isSameMark } from '@/model/engine/engine-measure';
import { wallDay } from '@/model/wall-day';
import type { BuildLine, LineOf } from './build-line';
import { crankHeld } from './crank';
import { barsOfStep, namesOfWaits, type Bar, type GateState } from './gate';
import { does, pastItsDate } from './step';
import { MAY_BE_NONE } from './start-checks';
import { barsOfSheet, startSheetOf } from './start-sheet';
import type { StepState } from './step-state';
import type { TrayPart } from './tray';

/** What a line says before the server has written into it what it knows itself: whether it is of a trial, what it passed. */
export type SaidLine = BuildLine & { readonly reason?: string };

const refuse = (code: string, message: string, field: string): never => {
  throw new DomainError(code, message, field);
};

function stepOf({ order }: GateState, id: string): StepState {
  return order.byId.get(id) ?? refuse('not-found', 'That step is no longer in the order.', 'stepId');
}

function partOf({ order }: GateState, id: string): TrayPart {
  return (
    order.tray.find(({ part }) => part.id === id) ??
    refuse('not-found', 'That part is no longer on the tray.', 'partId')
  );
}

/** Whether a step that is done now is done for trial: the trial that is going decides it, not the sender. */
export const isTriedNow = ({ order }: GateState, stepId: string): boolean =>
  (order.trial?.isGoing ?? false) && (order.trial?.stretch.has(stepId) ?? false);

/** Marks that were read where a part has one and are another than written down, or were not read. */
function barsOfMarks({ order }: GateState, { step }: StepState, read: LineOf<'done'>['body']['marks']): readonly Bar[] {
  const marked = order.tray.filter(
    ({ part }) => part.stepId === step.id && part.mark !== '' && part.detail.mates !== '',
  );
  const at = { at: 'step', id: step.id } as const;
  const bar = (code: string, message: string): Bar => ({ code, message, absolute: false, to: at });
  return marked.flatMap(({ part }) => {
    if (!read)
      return [
        bar('marks-unread', `${part.name} is marked ${part.mark} (${part.detail.mates}): its marks were not read.`),
      ];
    if (!isSameMark(read[0], part.mark))
      return [bar('marks', `${part.name} is written down with the mark ${part.mark}; read is ${read[0]}.`)];
    return isSameMark(...read) ? [] : [bar('marks', `${part.name}: ${read[0]} on the part, ${read[1]} where it goes.`)];
  });
}

/** A compound past the date of its packet. */
const barsOfDates = ({ step }: StepState, today: string): readonly Bar[] =>
  pastItsDate(step, today).map(({ what, useBy = '' }) => ({
    code: 'past-date',
    message: `${what}: past its date, ${useBy}.`,
    absolute: false,
    to: { at: 'step', id: step.id },
  }));

/** What stands against doing a step at an hour by the server's clock, and would be passed by a written reason. */
export const barsOfDoing = (
  state: GateState,
  stepId: string,
  at: string,
  marks?: LineOf<'done'>['body']['marks'],
): readonly Bar[] => {
  const one = stepOf(state, stepId);
  return [
    ...barsOfStep(state, one.step, isTriedNow(state, stepId)),
    ...barsOfDates(one, wallDay(at)),
    ...(does(one.step, 'starts') && !isTriedNow(state, stepId)
      ? barsOfSheet(startSheetOf(state.order.lines, Date.parse(at)))
      : []),
    ...barsOfMarks(state, one, marks),
  ];
};

function doneLine(
  state: GateState,
  at: string,
  { reason = '', ...line }: LineOf<'done'> & { readonly reason?: string },
): BuildLine {
  const one = stepOf(state, line.stepId);
  const { step, state: stands, waits } = one;
  const isTrial = isTriedNow(state, step.id);
  if (step.kind === 'joint' && step.jointId !== null && !isTrial)
    refuse('by-joint', `“${step.name}” is done at the bench: its joint says by itself when it is tight.`, 'stepId');
  if (step.kind === 'fit' && step.fitId !== null && !isTrial)
    refuse('by-fit', `“${step.name}” is done by its readings: the fit says by itself when it is proven.`, 'stepId');
  if (stands === 'done' || stands === 'trial' || stands === 'stale')
    refuse('done-already', `“${step.name}” is done already.`, 'stepId');
  if (stands !== 'open') refuse('waits', `“${step.name}” waits for ${namesOfWaits(state.order, waits)}.`, 'stepId');
  const { passed: _, trial: __, ...said } = line.body;
  const { putsIn, takesOut } = step.detail;
  if (step.kind === 'freedom' && !said.felt?.trim())
    refuse('not-felt', 'Write down what was felt: free all round, tight at one place, and where.', 'felt');
  if (step.kind === 'timing' && !said.set?.trim())
    refuse(
      'not-set',
      'Write down how it was set, and to what: by the marks, degrees on a disc, the piston’s drop.',
      'set',
    );
  const bars = barsOfDoing(state, step.id, at, said.marks);
  const absolute = bars.find((bar) => bar.absolute);
  if (absolute) refuse(absolute.code, `${absolute.message} No reason passes this.`, 'stepId');
  const words = bars.map(({ message }) => message);
  if (bars.length > 0 && reason.trim() === '')
    refuse(
      'needs-reason',
      `This stands against it: ${words.join(' ')} Write down why it is done all the same.`,
      'reason',
    );
  const passed = bars.length > 0 ? { passed: { bars: words, reason: reason.trim() } } : {};
  return { ...line, body: { ...said, putsIn, takesOut, ...(isTrial && { trial: true }), ...passed } };
}

/** A step that is undone would take its aids off the list with it, wherever they are: they are signed out first. */
function assertNothingIn({ aids }: GateState['order'], { id, name }: StepState['step']): void {
  const left = aids.filter(({ stepId }) => stepId === id);
  if (left.length > 0)
    refuse('aid-in', `“${name}” put ${left.map((aid) => aid.name).join(', ')} in. Sign it out first.`, 'stepId');
}

const CHECKS: { readonly [Kind in BuildLine['kind']]?: (state: GateState, line: LineOf<Kind>) => void } = {
  undone: (state, { stepId }) => {
    const { step, done } = stepOf(state, stepId);
    if (!done) refuse('not-done', `“${step.name}” is not done.`, 'stepId');
    if (step.kind === 'fit' && step.fitId !== null)
      refuse('by-fit', 'A fit is opened by its own readings, or by what was changed of it.', 'stepId');
    assertNothingIn(state.order, step);
  },
  looked: (state, { stepId }) => {
    const { step, state: stands, why = '', canLook } = stepOf(state, stepId);
    if (stands !== 'stale') refuse('not-stale', `“${step.name}” is not to be looked at.`, 'stepId');
    if (!canLook) refuse('not-yet', `Looking at “${step.name}” does not help yet: ${why}.`, 'stepId');
  },
  exchanged: (state, { stepId }) => {
    const { step, done } = stepOf(state, stepId);
    if (!done) refuse('not-done', `“${step.name}” is not done: there is nothing in it to exchange.`, 'stepId');
  },
  trial: (state, { body }) => {
    if (state.order.trial) refuse('trial-going', 'A trial build is going, or is not cleaned yet.', 'upTo');
    const { step, done } = stepOf(state, body.upTo);
    if (done) refuse('done-already', `“${step.name}” is done already.`, 'upTo');
  },
  stripped: ({ order }) => {
    if (!order.trial?.isGoing) refuse('no-trial', 'No trial build is going.', 'kind');
    for (const { step, done } of order.steps) if (done?.isTrial) assertNothingIn(order, step);
  },
  cleaned: ({ order }) => {
    if (!order.trial?.asksClean) refuse('no-trial', 'Nothing that was tried waits to be cleaned.', 'kind');
  },
  'aid-out': ({ order }, { body }) => {
    const aid = order.aids.find(({ key }) => key === body.of);
    if (!aid) return refuse('not-in', 'That is not in: it was signed out already.', 'of');
    if (body.count > aid.count) refuse('too-many', `Only ${aid.count} went in.`, 'count');
  },
  tight: ({ order }, { body }) => {
    if (!order.loose.some(({ key }) => key === body.of)) refuse('not-loose', 'That is not on the list.', 'of');
  },
  'start-look': ({ order }, { body }) => {
    const held = body.check === 'turned' && body.is === 'done' ? crankHeld(order) : undefined;
    if (held) refuse('crank-held', `The crank is not turned. ${held.why}: free it first.`, 'is');
    if (body.is === 'none' && !MAY_BE_NONE.has(body.check))
      refuse('not-none', 'Every engine has that: it is done, or left out with a reason.', 'is');
  },
  // Written by the log of runs alone, which knows the hours and what stood open.
  'start-wrong': () => refuse('by-run-in', 'A start that went wrong is logged on the run-in.', 'kind'),
  'start-passed': () => refuse('by-run-in', 'It is written with the first run, by the run-in.', 'kind'),
  paused: ({ order }) => {
    if (order.paused) refuse('paused', 'The work lies still already.', 'kind');
  },
  resumed: ({ order }) => {
    if (!order.paused) refuse('not-paused', 'The work does not lie still.', 'kind');
  },
  'part-in': (state, { partId }) => void partOf(state, partId),
  'part-checked': (state, { partId }) => void partOf(state, partId),
  'part-order': (state, { partId }) => {
    const { part, short } = partOf(state, partId);
    if (short === 0) refuse('not-short', `“${part.name}” is not short.`, 'partId');
  },
  'part-off': (state, { partId, body }) => {
    const { left, part } = partOf(state, partId);
    if (body.count > left) refuse('too-many', `Of “${part.name}” ${left} lie on the tray.`, 'count');
  },
  strike: ({ order }, { strikes }) => {
    if (!order.lines.some(({ id }) => id === strikes)) refuse('not-found', 'That line does not stand.', 'strikes');
  },
};

/** What was pulled is opened up with its step; what was only put on by hand for a trial is not. */
function undoneLine(state: GateState, { body, ...line }: LineOf<'undone'>): BuildLine {
  const { step, done } = stepOf(state, line.stepId);
  const isPulled = step.kind === 'joint' && step.jointId !== null && done?.line === undefined;
  return { ...line, body: { reason: body.reason, ...(isPulled && { jointId: step.jointId }) } };
}

/**
 * A line as it is written: refused where it cannot be, with what the order itself says of it put in. Sheet, bench and
 * any other door go through here.
 * @param at the hour by the server's clock, ISO
 * @throws DomainError with the field that it is about
 */
export function assertLine(state: GateState, said: SaidLine, at: string): BuildLine {
  const { reason, ...line } = said;
  if (line.kind === 'done') return doneLine(state, at, { ...line, reason });
  (CHECKS[line.kind] as ((of: GateState, one: BuildLine) => void) | undefined)?.(state, line);
  return line.kind === 'undone' ? undoneLine(state, line) : line;
}
