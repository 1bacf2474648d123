import Joi from 'joi';
import type { Checked } from '@/core/units';
import { PURPOSES } from '@/model/joint/tightening';
import { CYCLE_EXTRAS } from '@/model/heat/heat-schemas';
import { oneOf } from '@/model/one-of';
import { sentNumber } from '@/model/typed-number';
import { BUILD_LINE_KINDS, PART_LINES, STEP_LINES, type BuildLineKind } from './build-line';
import { ARRIVAL_CHECKS, CONDITIONS_OF_PART, MAX_COUNT, ORIGINS, type Part, type PartDetail } from './part';
import { START_ANSWERS, START_CHECKS } from './start-checks';
import { EFFECTS, MAX_STEP_NAME, STEP_KINDS, type Step, type StepAid, type StepDetail, type Surface } from './step';

const id = () =>
  Joi.string()
    .pattern(/^[\w-]+$/)
    .max(60);
const words = (max = 400) => Joi.string().trim().max(max).allow('');
const said = (max = 400) => Joi.string().trim().max(max).required();
const count = () => sentNumber().integer().min(1).max(MAX_COUNT).required();

const aid = Joi.object<StepAid, true>({ name: said(80), inside: Joi.boolean().required() });

const surface = Joi.object<Surface, true>({
  what: said(120),
  on: words(120).required(),
  much: words(120).required(),
  sets: words(120).required(),
  useBy: Joi.string()
    .pattern(/^\d{4}-(0[1-9]|1[0-2])(-(0[1-9]|[12]\d|3[01]))?$/)
    .messages({ 'string.pattern.base': 'Its date is written as year-month, or year-month-day: 2027-03.' }),
});

export const stepDetailSchema = Joi.object<Checked<StepDetail>, true>({
  words: words(2000).required(),
  lies: words(400).required(),
  caution: words(400).required(),
  makes: Joi.array().items(oneOf(EFFECTS)).unique().required(),
  putsIn: Joi.array().items(aid).max(12).required(),
  takesOut: Joi.array().items(Joi.string().trim().max(80)).max(12).required(),
  surfaces: Joi.array().items(surface).max(12).required(),
  kit: Joi.array().items(Joi.string().trim().max(120)).max(24).required(),
  people: sentNumber().integer().min(1).max(6).required(),
});

const links = () => Joi.array().items(id()).unique().max(60).required();

/** A step as it comes from elsewhere. */
export const storedStepSchema = Joi.object<Checked<Step>, true>({
  id: id().required(),
  engineId: id().required(),
  place: sentNumber().required(),
  kind: oneOf(STEP_KINDS).required(),
  name: said(MAX_STEP_NAME),
  branch: words(60).required(),
  jointId: id().allow(null).required(),
  purpose: oneOf(PURPOSES).allow(null).required(),
  fitId: id().allow(null).required(),
  leafId: id().allow(null).required(),
  after: links(),
  notUntil: links(),
  detail: stepDetailSchema.required(),
  version: sentNumber().integer().min(1).required(),
  createdAt: Joi.string().isoDate().required(),
});

export const partDetailSchema = Joi.object<PartDetail, true>({
  mates: words(200).required(),
  hides: words(200).required(),
  words: words(1000).required(),
});

export const storedPartSchema = Joi.object<Part, true>({
  id: id().required(),
  engineId: id().required(),
  stepId: id().allow(null).required(),
  name: said(120),
  need: sentNumber().integer().min(0).max(MAX_COUNT).required(),
  here: sentNumber().integer().min(0).max(MAX_COUNT).required(),
  mark: words(60).required(),
  serial: words(60).required(),
  bag: words(60).required(),
  origin: oneOf(ORIGINS).required(),
  condition: oneOf(CONDITIONS_OF_PART).required(),
  detail: partDetailSchema.required(),
  version: sentNumber().integer().min(1).required(),
  createdAt: Joi.string().isoDate().required(),
});

const NOTHING = Joi.object({}).default({});

const passed = Joi.object({
  bars: Joi.array().items(Joi.string().max(600)).max(400).required(),
  reason: said(),
});

/** What each kind of line holds beside its id and hours. */
const BODIES: Readonly<Record<BuildLineKind, Joi.ObjectSchema>> = {
  done: Joi.object({
    trial: Joi.boolean().valid(true),
    passed,
    putsIn: Joi.array().items(aid).max(12),
    takesOut: Joi.array().items(Joi.string().trim().max(80)).max(12),
    set: words(200),
    felt: words(),
    turnsAt: words(60),
    marks: Joi.array().ordered(words(60).required(), words(60).required()),
  }),
  undone: Joi.object({
    jointId: id(),
    reason: said().messages({ 'string.empty': 'Say why it is opened up again.' }),
  }),
  looked: Joi.object({ words: said().messages({ 'string.empty': 'Say what was seen.' }) }),
  trial: Joi.object({ upTo: id().required() }),
  stripped: NOTHING,
  cleaned: NOTHING,
  'aid-in': Joi.object({
    name: said(80).messages({ 'string.empty': 'Say what goes in.' }),
    count: count(),
    inside: Joi.boolean().required(),
  }),
  'aid-out': Joi.object({ of: Joi.string().max(120).required(), count: count() }),
  loose: Joi.object({ words: said(200).messages({ 'string.empty': 'Say what is loose, and where.' }) }),
  tight: Joi.object({ of: Joi.string().max(120).required(), words: words() }),
  swarf: Joi.object({ words: said(200).messages({ 'string.empty': 'Say what was cut, honed or filed.' }) }),
  turned: Joi.object({ words: words(200).required() }),
  exchanged: Joi.object({ words: said(200).messages({ 'string.empty': 'Say what was exchanged.' }) }),
  'start-look': Joi.object({
    check: oneOf(START_CHECKS).required(),
    is: oneOf(START_ANSWERS).required(),
    words: Joi.when('is', {
      is: 'left-out',
      then: said(200).messages({ 'string.empty': 'Say why it is left out.' }),
      otherwise: words(200).required(),
    }),
  }),
  'start-wrong': Joi.object({
    on: Joi.string().isoDate().required(),
    seen: CYCLE_EXTRAS.seen.min(1).required().messages({ 'array.min': 'Say what was seen, or what it did.' }),
  }),
  'start-passed': passed,
  paused: Joi.object({ words: words().required(), covered: words(200).required() }),
  resumed: Joi.object({ words: words().required() }),
  'part-in': Joi.object({ count: count(), checked: Joi.array().items(oneOf(ARRIVAL_CHECKS)).unique().required() }),
  'part-checked': Joi.object({
    checked: Joi.array()
      .items(oneOf(ARRIVAL_CHECKS))
      .unique()
      .min(1)
      .required()
      .messages({ 'array.min': 'Say what was tried of it.' }),
  }),
  'part-off': Joi.object({
    count: count(),
    reason: said(200).messages({ 'string.empty': 'Say why it is struck off.' }),
  }),
  'part-order': Joi.object({ words: said(200).messages({ 'string.empty': 'Say what is ordered, and from where.' }) }),
  strike: NOTHING,
};

const among = (kinds: readonly BuildLineKind[]) => Joi.string().valid(...kinds);

const bodyByKind = () =>
  Joi.any().when('kind', {
    switch: BUILD_LINE_KINDS.map((kind) => ({ is: kind, then: BODIES[kind].required() })),
    otherwise: Joi.forbidden(),
  });

/** What every line holds, whatever door it comes through. */
export const LINE_FIELDS = {
  id: id().required(),
  kind: oneOf(BUILD_LINE_KINDS).required(),
  stepId: id().when('kind', { is: among(STEP_LINES), then: Joi.required(), otherwise: Joi.forbidden() }),
  partId: id().when('kind', { is: among(PART_LINES), then: Joi.required(), otherwise: Joi.forbidden() }),
  strikes: id().when('kind', { is: 'strike', then: Joi.required(), otherwise: Joi.forbidden() }),
  body: bodyByKind(),
};
