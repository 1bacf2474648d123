import type { EngineState } from '@/model/engine/engine-state';
import { barsOfDoing } from '@/model/order/assert-line';
import { currentLeaves } from '@/model/book/current-leaves';
import type { EngineRows } from '@/model/engine/engine-rows';
import type { NoteWithPhotos } from '@/model/note';
import { hangingSteps } from '@/model/order/edit-steps';
import { barsOfStep, type Bar } from '@/model/order/gate';
import { likeliestFirst } from '@/model/order/likeliest';
import type { OrderState } from '@/model/order/order-state';
import { START_IDS, type StartId } from '@/model/order/starts';
import { isGated } from '@/model/order/step';
import type { StepState } from '@/model/order/step-state';
import { proposedMeeting, type Meeting } from '@/model/order/steps-of-start';
import { lineLayout, type LineLayout } from './line-layout';

interface Choice {
  readonly id: string;
  readonly name: string;
}

/** What a step may be tied to on its engine. */
export interface StepChoices {
  readonly joints: readonly Choice[];
  readonly fits: readonly Choice[];
  readonly leaves: readonly Choice[];
  readonly branches: readonly string[];
}

export interface OrderPage extends Pick<OrderState, 'aids' | 'loose' | 'crank' | 'trouble' | 'paused' | 'strips'> {
  readonly engineId: string;
  readonly engineName: string;
  /** In the order in which they are done. */
  readonly steps: readonly StepState[];
  /** Ids of the steps that can be done now, the likeliest first. */
  readonly now: readonly string[];
  /** What stands against a step, by its id: what bars the gates, and what is asked of those that are open. */
  readonly bars: Readonly<Record<string, readonly Bar[]>>;
  readonly trial?: {
    /** The steps that are tried. */
    readonly stretch: readonly string[];
    readonly isGoing: boolean;
    readonly isTried: boolean;
    readonly asksClean: boolean;
    readonly upTo: string;
  };
  readonly layout: LineLayout;
  readonly hanging: readonly string[];
  readonly choices: StepChoices;
  /** What is on the tray, in figures. */
  readonly tray: { readonly parts: number; readonly left: number; readonly short: number; readonly surplus: number };
  readonly onOrder: readonly string[];
  /** Notes of steps, by the step. */
  readonly notes: Readonly<Record<string, readonly NoteWithPhotos[]>>;
  /** Marks of parts that a step takes, by the step, of those that can be done. */
  readonly marked: Readonly<Record<string, readonly string[]>>;
  readonly kit: readonly {
    readonly stepId: string;
    readonly step: string;
    readonly what: readonly string[];
    readonly people: number;
  }[];
}

const named = ({ id, name }: Choice): Choice => ({ id, name });

function choicesOf({ joints, fits, leaves }: EngineRows, { steps }: OrderState): StepChoices {
  return {
    joints: joints.map(named),
    fits: fits.map(named),
    leaves: currentLeaves(leaves).map(({ id, subject, page }) => ({ id, name: `${subject}, p. ${page}` })),
    branches: [...new Set(steps.map(({ step }) => step.branch).filter(Boolean))],
  };
}

function barsOf(state: EngineState, at: string): OrderPage['bars'] {
  const asked = state.order.steps.filter(
    ({ step, state: stands }) => stands === 'open' || (isGated(step) && stands !== 'done'),
  );
  return Object.fromEntries(
    asked.map(({ step, state: stands }) => [
      step.id,
      stands === 'open' ? barsOfDoing(state, step.id, at) : barsOfStep(state, step, false),
    ]),
  );
}

const sum = (counts: readonly number[]) => counts.reduce((total, one) => total + one, 0);

function trayLine({ tray }: OrderState): OrderPage['tray'] {
  return {
    parts: tray.length,
    left: sum(tray.map(({ left }) => left)),
    short: sum(tray.map(({ short }) => short)),
    surplus: sum(tray.map(({ surplus }) => surplus)),
  };
}

function notesOfSteps({ notes }: EngineRows): OrderPage['notes'] {
  const byStep = new Map<string, NoteWithPhotos[]>();
  for (const note of notes)
    if (note.stepId !== null) byStep.set(note.stepId, [...(byStep.get(note.stepId) ?? []), note]);
  return Object.fromEntries(byStep);
}

/** The order of one engine, with everything its sheet needs. */
export function orderPage(rows: EngineRows, state: EngineState, at: string): OrderPage {
  const { order, engine } = state;
  const now = likeliestFirst(order.steps, order.trial?.isGoing ? order.trial.stretch : undefined);
  const steps = order.steps.map(({ step }) => step);
  return {
    engineId: engine.id,
    engineName: engine.name,
    steps: order.steps,
    now: now.map(({ step }) => step.id),
    bars: barsOf(state, at),
    ...(order.trial && {
      trial: {
        stretch: [...order.trial.stretch],
        isGoing: order.trial.isGoing,
        isTried: order.trial.isTried,
        asksClean: order.trial.asksClean,
        upTo: order.trial.upTo,
      },
    }),
    aids: order.aids,
    loose: order.loose,
    crank: order.crank,
    strips: order.strips,
    trouble: order.trouble,
    paused: order.paused,
    layout: lineLayout(steps),
    hanging: hangingSteps(steps),
    choices: choicesOf(rows, order),
    tray: trayLine(order),
    onOrder: order.tray.flatMap(({ part, order: ordered }) =>
      ordered === undefined ? [] : [`${part.name}: ${ordered}`],
    ),
    notes: notesOfSteps(rows),
    marked: Object.fromEntries(
      order.steps.flatMap(({ step: { id }, state: stands }) => {
        if (stands !== 'open') return [];
        const marks = order.tray
          .filter(({ part }) => part.stepId === id && part.mark !== '' && part.detail.mates !== '')
          .map(({ part }) => `${part.name}, ${part.mark}: ${part.detail.mates}`);
        return marks.length > 0 ? [[id, marks]] : [];
      }),
    ),
    kit: now.flatMap(({ step: { id, name, detail } }) =>
      detail.kit.length > 0 || detail.people > 1
        ? [{ stepId: id, step: name, what: detail.kit, people: detail.people }]
        : [],
    ),
  };
}

/** What each line to start from would make of the joints and fits there are. */
export const proposedMeetings = (rows: EngineRows): Readonly<Record<StartId, Meeting>> =>
  Object.fromEntries(START_IDS.map((start) => [start, proposedMeeting(start, rows)])) as unknown as Readonly<
    Record<StartId, Meeting>
  >;
