import { LOCKINGS } from '@/core/joint';
import { EVENT_KINDS, MAX_FASTENERS, PULL_OUTCOMES, STEP_KINDS } from '@/core/tightening';
import { CARES } from '@/model/joint/care';
import { MAX_KINDS } from '@/model/joint/kind-places';
import { readingKeys } from '@/model/joint/pull-reading-keys';
import { PURPOSES } from '@/model/joint/tightening';
import { FILMS_FOUND } from '@/model/joint/retorque-guards';
import { PULL_ACTS } from '@/model/joint/tightening-plan';
import { TRACK_SCHOOLS } from '@/model/practice/house-practice';
import { oneOf } from '@/model/one-of';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { id, list, name, number, positive, text, time, unit, who } from './build-fields';

type EventKind = (typeof EVENT_KINDS)[number];
type StepKind = (typeof STEP_KINDS)[number];

const index = sentNumber().integer().min(0).required();

const eventOf = (kind: EventKind, keys: Joi.SchemaMap) =>
  Joi.object({ id, kind: Joi.string().valid(kind).required(), ...keys, at: time, recordedAt: time, who });
/** What is said of a line: why, how, what was read. */
const words = Joi.string().trim().min(1).max(400);

const outcome = Joi.string()
  .valid(...PULL_OUTCOMES)
  .required();
const EVENTS: Readonly<Record<EventKind, Joi.SchemaMap>> = {
  pull: { step: index, outcome, words, ...readingKeys(sentNumber) },
  shaft: { step: index, words },
  bind: { step: index, words: words.required() },
  again: { step: index, outcome, ...readingKeys(sentNumber) },
  left: { step: index, words: words.required() },
  skip: { step: index, words: words.required() },
  strike: { strikes: id },
};
const event = Joi.alternatives(...EVENT_KINDS.map((kind) => eventOf(kind, EVENTS[kind])));

const note = Joi.object({ code: text, message: Joi.string().max(1000).required() });
const piece = Joi.alternatives(
  Joi.string().allow('').max(400),
  Joi.object({ value: number, digits: sentNumber().integer().min(0).max(20).required() }),
);
const workingLine = Joi.object({ formula: Joi.string().allow('').max(1000).required(), figures: list(piece, 60) });
const MAX_STEPS = 2000;
const MAX_TURN_DEG = 3600;

const STEPS: Readonly<Record<StepKind, Joi.SchemaMap>> = {
  pull: {
    stage: index,
    position: index,
    setting: number,
    torque_Nm: number,
    turn: Joi.object({
      min_deg: positive(MAX_TURN_DEG),
      max_deg: positive(MAX_TURN_DEG).min(Joi.ref('min_deg')),
    }),
    final: Joi.boolean().required(),
  },
  shaft: { afterStage: index },
};
const step = Joi.alternatives(
  ...STEP_KINDS.map((kind) => Joi.object({ kind: Joi.string().valid(kind).required(), ...STEPS[kind] })),
);

const rung = Joi.object({
  id: Joi.string().required(),
  title: text,
  value_Nm: number,
  factor: sentNumber(),
  working: list(workingLine, 200),
  source: Joi.string().allow('').required(),
  school: Joi.string().allow('').required(),
  spread: Joi.string().allow('').required(),
  override: Joi.object({ value_Nm: sentNumber().allow(null).required(), reason: Joi.string().required() }),
});

/** What fasteners of one kind are pulled with. */
const figure = {
  unit,
  wrenchName: text,
  leaf: Joi.object({
    printedText: text,
    source: Joi.string().allow('').required(),
    page: text,
    reason: Joi.string().max(400),
  }).required(),
  filmName: text,
  thread: text,
  ladder: Joi.object({
    rungs: list(rung),
    printed_Nm: number,
    target_Nm: number,
    setting: Joi.object({
      setting: number,
      rounded: number,
      achieved_Nm: number,
      roundingError_pct: number,
      onScale: Joi.boolean().required(),
      // Plans of the first layout did not say.
      inWindow: Joi.boolean(),
      notes: Joi.array().items(note).max(60).default([]),
    }).required(),
    band: Joi.object({ p5_N: number, p50_N: number, p95_N: number, mean_N: number }).required(),
    notes: Joi.array().items(note).max(60).default([]),
  }).required(),
  films: Joi.object({ thread: id, head: id }),
  locking: oneOf(LOCKINGS),
};

const plan = Joi.object({
  positions: list(Joi.array().items(sentNumber().min(-10_000).max(10_000)).length(2), MAX_FASTENERS),
  order: list(sentNumber().integer().min(0), MAX_FASTENERS),
  steps: list(step, MAX_STEPS),
  ...figure,
  kinds: Joi.array()
    .items(
      Joi.object({
        name,
        places: Joi.array().items(sentNumber().integer().min(0)).unique().min(1).max(MAX_FASTENERS).required(),
        ...figure,
      }),
    )
    .min(1)
    .max(MAX_KINDS),
  guards: list(
    Joi.object({ code: text, severity: text, message: Joi.string().required(), absolute: Joi.boolean().valid(true) }),
  ),
  unknown: Joi.array()
    .items(Joi.object({ code: text, what: text, unjudged: text }))
    .max(60),
  reason: Joi.string().allow('').max(1000),
  care: oneOf(CARES),
  act: oneOf(PULL_ACTS).required(),
  cycleId: Joi.string(),
  filmFound: oneOf(FILMS_FOUND),
  slackenBy_deg: sentNumber().positive().max(360),
  asksOver: Joi.boolean().valid(true),
  track: oneOf(TRACK_SCHOOLS),
}).required();

/** A going-round as a build file has it: its plan, and its lines. */
export const tighteningSchema = Joi.object({
  id,
  jointId: id,
  purpose: oneOf(PURPOSES).required(),
  plan,
  startedAt: time,
  events: list(event),
});
