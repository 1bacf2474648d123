import Joi from 'joi';
import type { Checked } from '@/core/units';
import { PURPOSES, type Purpose } from '@/model/joint/tightening';
import { oneOf } from '@/model/one-of';
import { LINE_FIELDS, stepDetailSchema } from '@/model/order/order-schemas';
import { START_IDS, type StartId } from '@/model/order/starts';
import { MAX_STEP_NAME, STEP_KINDS, type Step } from '@/model/order/step';
import type { SaidLine } from '@/model/order/assert-line';
import { readVersion } from '@/model/versioned';

const id = () => Joi.string().max(60);
const idOrNone = () => id().empty('').allow(null).default(null);

export const startFromSchema = Joi.object<
  { engineId: string; start: StartId; meeting: Readonly<Record<string, string | null>> },
  true
>({
  engineId: id().required(),
  start: oneOf(START_IDS).required(),
  meeting: Joi.object<Record<string, string | null>>()
    .pattern(Joi.string().max(60), id().empty('').allow(null).default(null))
    .required(),
});

export type StepFields = Pick<
  Step,
  'engineId' | 'kind' | 'name' | 'branch' | 'jointId' | 'fitId' | 'leafId' | 'after' | 'notUntil' | 'detail'
> & {
  readonly purpose: Purpose | null;
  /** Set where a known step is changed. */
  readonly id: string | null;
  readonly version: number;
  /** The step that it is put behind; null: before all others. */
  readonly behind?: string | null;
};

export const stepSchema = Joi.object<Checked<StepFields>, true>({
  id: idOrNone(),
  version: readVersion.default(0).optional(),
  engineId: id().required(),
  behind: id().empty('').allow(null),
  kind: oneOf(STEP_KINDS).required().label('the kind'),
  name: Joi.string().trim().max(MAX_STEP_NAME).required().label('the name').messages({
    'string.empty': 'Say in a few words what is done.',
  }),
  branch: Joi.string().trim().max(60).allow('').default('').label('the sub-assembly'),
  jointId: idOrNone(),
  purpose: oneOf(PURPOSES).empty('').allow(null).default(null),
  fitId: idOrNone(),
  leafId: idOrNone(),
  after: Joi.array().items(id()).unique().max(60).default([]),
  notUntil: Joi.array().items(id()).unique().max(60).default([]),
  detail: stepDetailSchema.required(),
});

export const movedSchema = Joi.object<{ stepId: string; version: number; behind: string | null }, true>({
  stepId: id().required(),
  version: readVersion,
  behind: idOrNone(),
});

export const lineSchema = Joi.object<{ engineId: string; line: SaidLine }>({
  engineId: id().required(),
  line: Joi.object({ ...LINE_FIELDS, reason: Joi.string().trim().max(400).allow('') }).required(),
});

export const pastedSchema = Joi.object<{ engineId: string; text: string; behind: string | null }, true>({
  engineId: id().required(),
  text: Joi.string().trim().max(20_000).required().label('the text').messages({
    'string.empty': 'Paste the numbered lines of the page here.',
  }),
  behind: idOrNone(),
});
