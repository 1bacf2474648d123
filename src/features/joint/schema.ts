import { readVersion } from '@/model/versioned';
import { typedNumber } from '@/model/typed-number';
import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import { RETORQUE_SCHOOLS } from '@/core/heat';
import { RANGE_SCHOOLS } from '@/core/joint';
import {
  MAX_FASTENERS,
  NAMED_SCHEMES,
  TURN_SCHOOLS,
  PATTERN_KINDS,
  UNITS_OF_WORK,
  type StageScheme,
} from '@/core/tightening';
import { CHOSEN_PURPOSES, type ChosenPurpose } from '@/model/joint/tightening';
import type { Joint } from '@/model/joint/joint';
import type { JointDetail } from '@/model/joint/joint-detail';
import { DETAIL_PARTS } from '@/model/joint/joint-detail-schema';

export type NewJointFields = Pick<
  Joint,
  | 'engineId'
  | 'leafId'
  | 'name'
  | 'pattern'
  | 'fasteners'
  | 'thread'
  | 'originalFilm'
  | 'todayFilm'
  | 'orderSchool'
  | 'turnShaft'
  | 'retorqueSchool'
>;

const scheme = Joi.alternatives<StageScheme>(
  oneOf(NAMED_SCHEMES),
  Joi.array().items(typedNumber().greater(0).max(1)).min(1).max(8),
);

const film = Joi.string().max(60).required();

export const jointName = Joi.string()
  .trim()
  .max(80)
  .required()
  .label('the name')
  .messages({ 'string.empty': 'Give the joint a name.' });

const fields = {
  engineId: Joi.string().required(),
  leafId: Joi.string().required().messages({ 'string.empty': 'Choose the entry that the figure is on.' }),
  name: jointName,
  pattern: oneOf(PATTERN_KINDS).required(),
  fasteners: typedNumber()
    .integer()
    .min(1)
    .max(MAX_FASTENERS)
    .required()
    .label('the number of fasteners')
    .messages({ 'number.base': 'Say how many fasteners there are.' }),
  thread: Joi.string()
    .trim()
    .max(40)
    .required()
    .label('the thread')
    .messages({ 'string.empty': 'Give the thread, such as 3/8 BSF or M8.' }),
  originalFilm: film,
  todayFilm: film,
  orderSchool: oneOf(TURN_SCHOOLS).required(),
  turnShaft: Joi.boolean().required(),
  retorqueSchool: oneOf(RETORQUE_SCHOOLS).required(),
};

export const newJointSchema = Joi.object<NewJointFields & { readonly leafReason: string | null }, true>({
  ...fields,
  leafReason: Joi.string().trim().max(400).allow('', null).empty('').default(null),
});

/** What may be changed of a joint one at a time; the rest follows from it. */
export type JointChange = Partial<
  Omit<Joint, 'id' | 'engineId' | 'leafId' | 'originalFilmReason' | 'detail' | 'version' | 'createdAt'>
>;

/** A change of a joint: only what is changed, with the version that it was read at. */
export interface AlteredJoint {
  readonly id: string;
  readonly version: number;
  readonly change: JointChange;
  readonly detail: Partial<JointDetail>;
}

/**
 * Any of the parts by itself, each as strictly as in the whole. What is not sent is not changed: what a file of before
 * is filled in with is no change.
 */
const anyOf = <Parts extends object>(parts: Joi.SchemaMap<Parts>): Joi.ObjectSchema<Partial<Parts>> =>
  Joi.object(
    Object.fromEntries(
      Object.entries(parts).map(([key, part]) => [key, (part as Joi.AnySchema).optional().prefs({ noDefaults: true })]),
    ),
  ).default({}) as Joi.ObjectSchema<Partial<Parts>>;

const { engineId: _engine, leafId: _leaf, ...ownFields } = fields;

const changes = anyOf<Required<JointChange>>({
  ...ownFields,
  rangeSchool: oneOf(RANGE_SCHOOLS),
  stageScheme: scheme,
  unitOfWork: oneOf(UNITS_OF_WORK),
  wrenchId: Joi.string().messages({ 'string.empty': 'Choose the wrench.' }),
  bearingOuter_mm: typedNumber().positive().max(200).label('the outside of the face'),
  bearingInner_mm: typedNumber().positive().max(200).label('the hole of the face'),
  bearingMeasured: Joi.boolean(),
});

export const jointSchema = Joi.object<AlteredJoint, true>({
  id: Joi.string().required(),
  version: typedNumber().integer().min(1).required(),
  change: changes,
  detail: anyOf<JointDetail>(DETAIL_PARTS),
});

/** A joint that no page mentions: its figure comes from size, grade, film, parent metal and engagement. */
export interface StandardFields {
  readonly engineId: string;
  readonly name: string;
  readonly thread: string;
  readonly grade: string;
  readonly film: string;
  readonly metal: string;
  readonly engagement_mm: number | null;
}

export const standardSchema = Joi.object<StandardFields, true>({
  engineId: Joi.string().required(),
  name: fields.name,
  thread: fields.thread,
  grade: Joi.string().max(60).required().messages({ 'string.empty': 'Choose the grade.' }),
  film,
  metal: Joi.string().max(60).allow('').default(''),
  engagement_mm: typedNumber()
    .positive()
    .max(500)
    .empty('')
    .allow(null)
    .default(null)
    .label('the engagement')
    .messages({ 'number.base': 'Give the engagement in mm.' }),
});

export const startSchema = Joi.object<
  { jointId: string; version: number; purpose: ChosenPurpose; reason: string },
  true
>({
  jointId: Joi.string().required(),
  version: readVersion,
  purpose: oneOf(CHOSEN_PURPOSES).default('final'),
  reason: Joi.string().trim().max(1000).allow('').default(''),
});

export const chooseLeafSchema = Joi.object<
  {
    jointId: string;
    version: number;
    leafId: string;
    reason: string | null;
  },
  true
>({
  jointId: Joi.string().required(),
  version: typedNumber().integer().min(1).required(),
  leafId: Joi.string().required(),
  reason: Joi.string().trim().max(400).allow(null).default(null),
});
