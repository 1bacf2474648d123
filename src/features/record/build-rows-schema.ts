import Joi from 'joi';
import { HEAD_METALS, RETORQUE_SCHOOLS } from '@/core/heat';
import { RANGE_SCHOOLS } from '@/core/joint';
import { MAX_FASTENERS, NAMED_SCHEMES, TURN_SCHOOLS, PATTERN_KINDS, UNITS_OF_WORK } from '@/core/tightening';
import { BOLT_READING_KINDS } from '@/model/bolt/bolt-set';
import { LEAF_KINDS } from '@/model/book/leaf';
import { PRINT_LANGUAGES, SOURCE_KINDS } from '@/model/book/source';
import { ENGINE_KINDS } from '@/model/engine/engine';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { detailSchema } from '@/model/joint/joint-detail-schema';
import { oneOf } from '@/model/one-of';
import { PRACTICE_QUESTIONS } from '@/model/practice/practice-questions';
import { sentNumber } from '@/model/typed-number';
import {
  hour,
  id,
  idOrNone,
  list,
  name,
  number,
  numberOrNone,
  positive,
  text,
  time,
  unit,
  who,
  year,
} from './build-fields';

// The rows of the engine, its book, its wrenches, its joints and their bolts, as a build file has them.

const metal = oneOf(HEAD_METALS).required();
export const practice = Joi.object(
  Object.fromEntries(
    PRACTICE_QUESTIONS.map(({ row, schools }) => [row, Joi.string().valid(...schools.map(({ value }) => value))]),
  ),
).default({});

export const engine = Joi.object({
  id,
  name,
  kind: oneOf(ENGINE_KINDS).required(),
  year: year.required(),
  engineNumber: text,
  headMetal: metal,
  blockMetal: metal,
  preferredUnit: unit,
  practice,
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

export const source = Joi.object({
  id,
  title: text,
  edition: text,
  year: year.required(),
  kind: Joi.string()
    .valid(...SOURCE_KINDS)
    .default('manual'),
  rank: sentNumber().integer().min(1).max(20).allow(null).default(null),
  fromYear: year.default(null),
  toYear: year.default(null),
  fromNumber: Joi.string().allow('').default(''),
  toNumber: Joi.string().allow('').default(''),
  supersedesId: Joi.string().allow(null).default(null),
  language: Joi.string()
    .valid('', ...PRINT_LANGUAGES)
    .default(''),
  aside: Joi.string().trim().max(400),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

export const leaf = Joi.object({
  id,
  engineId: id,
  sourceId: id,
  page: text,
  subject: text,
  printedText: text,
  conditionText: Joi.string().max(400).allow(null).required(),
  kind: Joi.string()
    .valid(...LEAF_KINDS)
    .required(),
  figure: Joi.object({
    unit: Joi.string().max(20),
    printedMin: number,
    printedMax: number,
    force: Joi.object({ unit: text, min: number, max: number }),
    lever: Joi.object({ unit: text, length: number }),
  })
    .allow(null)
    .required(),
  min_Nm: numberOrNone,
  max_Nm: numberOrNone,
  min_deg: numberOrNone,
  max_deg: numberOrNone,
  min_mm: sentNumber().allow(null).default(null),
  max_mm: sentNumber().allow(null).default(null),
  agreedNotes: list(Joi.string()),
  replacesId: idOrNone,
  who,
  createdAt: time,
});

export const wrench = Joi.object({
  id,
  name,
  unit,
  min: sentNumber().min(0).max(100_000).required(),
  max: positive(100_000),
  graduation: positive(100_000),
  accuracy_pct: sentNumber().min(0).max(50).required(),
  calibration: Joi.array()
    .items(Joi.object({ set: positive(100_000), true: positive(100_000) }))
    .max(60)
    .default([]),
  checkedAt: hour().allow(null).default(null),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

export const joint = Joi.object({
  id,
  engineId: id,
  leafId: id,
  name,
  pattern: oneOf(PATTERN_KINDS).required(),
  fasteners: sentNumber().integer().min(1).max(MAX_FASTENERS).required(),
  thread: text,
  bearingOuter_mm: positive(200),
  bearingInner_mm: positive(200),
  bearingMeasured: Joi.boolean().required(),
  originalFilm: id,
  originalFilmReason: text,
  todayFilm: id,
  rangeSchool: oneOf(RANGE_SCHOOLS).required(),
  stageScheme: Joi.alternatives(oneOf(NAMED_SCHEMES), Joi.array().items(positive(1)).min(1).max(8)).required(),
  orderSchool: oneOf(TURN_SCHOOLS).required(),
  unitOfWork: oneOf(UNITS_OF_WORK).required(),
  turnShaft: Joi.boolean().required(),
  wrenchId: id,
  retorqueSchool: oneOf(RETORQUE_SCHOOLS).required(),
  detail: detailSchema.default(PLAIN_DETAIL),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const boltReading = Joi.object({
  id,
  setId: id,
  bolt: sentNumber().integer().min(1).max(60).required(),
  kind: oneOf(BOLT_READING_KINDS).required(),
  length_mm: positive(5000),
  typed: text,
  torque_Nm: numberOrNone,
  strikes: idOrNone.optional().default(null),
  at: time,
  who,
});

const segment = Joi.object({
  length_mm: positive(5000),
  diameter_mm: sentNumber().greater(0).max(500),
  area_mm2: sentNumber().greater(0).max(100_000),
}).or('diameter_mm', 'area_mm2');

export const boltSet = Joi.object({
  id,
  jointId: id,
  kind: Joi.string().max(80).allow('').default(''),
  name,
  bolts: sentNumber().integer().min(1).max(60).required(),
  segments: list(segment, 20).min(1),
  E_GPa: sentNumber().greater(50).less(300).required(),
  minStretch_mm: sentNumber().min(0).max(50).required(),
  maxStretch_mm: sentNumber().min(0).max(50).required(),
  ceiling_Nm: positive(100_000),
  maxSet_mm: sentNumber().min(0).max(50).required(),
  bothEnds: Joi.boolean().required(),
  aside: Joi.string().max(400),
  createdAt: time,
  readings: list(boltReading),
});
