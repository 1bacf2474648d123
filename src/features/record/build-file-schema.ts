import { DomainError, type Checked } from '@/core/units';
import { liftBuildFile } from './lift-build-file';
import { oneOf } from '@/model/one-of';
import { PRACTICE_QUESTIONS } from '@/model/practice/house-practice';
import { FIT_KINDS, METHODS, READING_UNITS_MM, RUNOUT_SENSES } from '@/core/fits';
import { BOLT_READING_KINDS } from '@/model/bolt/bolt-set';
import { ENGINE_KINDS } from '@/model/engine/engine';
import { MAX_FASTENERS, NAMED_SCHEMES, ORDER_SCHOOLS, PATTERN_KINDS, UNITS_OF_WORK } from '@/core/tightening';
import { RANGE_SCHOOLS } from '@/core/joint';
import { HEAD_METALS, RETORQUE_SCHOOLS } from '@/core/heat';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import { LINE_SCHEMAS } from '@/model/fit/fit-line-schema';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { detailSchema } from '@/model/joint/joint-detail-schema';
import { MAX_NOTE_CHARACTERS } from '@/model/note';
import { SHELF_SCHEMAS } from '@/model/shelf/shelf-schemas';
import { LEAF_KINDS } from '@/model/book/leaf';
import { PRINT_LANGUAGES, SOURCE_KINDS } from '@/model/book/source';
import {
  MAX_ROWS,
  celsius,
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
import { tighteningSchema } from './build-round-schema';
import { BUILD_FORMAT, BUILD_VERSION, type BuildFile } from './build-file';

const metal = oneOf(HEAD_METALS).required();
const practice = Joi.object(
  Object.fromEntries(
    PRACTICE_QUESTIONS.map(({ row, schools }) => [row, Joi.string().valid(...schools.map(({ value }) => value))]),
  ),
).default({});

const engine = Joi.object({
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

const source = Joi.object({
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
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const leaf = Joi.object({
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

const wrench = Joi.object({
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

const joint = Joi.object({
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
  orderSchool: oneOf(ORDER_SCHOOLS).required(),
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
  at: time,
  who,
});

const segment = Joi.object({
  length_mm: positive(5000),
  diameter_mm: sentNumber().greater(0).max(500),
  area_mm2: sentNumber().greater(0).max(100_000),
}).or('diameter_mm', 'area_mm2');

const boltSet = Joi.object({
  id,
  jointId: id,
  name,
  bolts: sentNumber().integer().min(1).max(60).required(),
  segments: list(segment, 20).min(1),
  E_GPa: sentNumber().greater(50).less(300).required(),
  minStretch_mm: sentNumber().min(0).max(50).required(),
  maxStretch_mm: sentNumber().min(0).max(50).required(),
  ceiling_Nm: positive(100_000),
  maxSet_mm: sentNumber().min(0).max(50).required(),
  bothEnds: Joi.boolean().required(),
  createdAt: time,
  readings: list(boltReading),
});

const shelfRows = (kind: keyof typeof SHELF_SCHEMAS) => Joi.array().items(SHELF_SCHEMAS[kind]).default([]);

const cycle = Joi.object({ id, engineId: id, ranFrom: time, ranTo: time, highest_C: celsius, ambient_C: celsius, who });
const reading = Joi.object({ id, engineId: id, cycleId: id, at: time, head_C: celsius, ambient_C: celsius, who });

const span = Joi.object({ min_mm: number, max_mm: number });
const rule = Joi.object({ perDiameter: Joi.array().items(sentNumber()).length(2).required(), floor_mm: sentNumber() });

const fit = Joi.object({
  id,
  engineId: id,
  kind: Joi.string()
    .valid(...FIT_KINDS.map((kind) => kind.id))
    .required(),
  name,
  places: list(Joi.string().allow('').max(80), 200).min(1),
  methods: list(Joi.string().valid(...METHODS), METHODS.length),
  stations: sentNumber().integer().min(1).max(24).required(),
  angles: sentNumber().integer().min(1).max(12).required(),
  jointId: idOrNone,
  leafId: idOrNone,
  holds: list(Joi.string().max(60)),
  wanted: Joi.object({
    limits: span,
    rule,
    soft: span,
    target_mm: sentNumber(),
    as: oneOf(RUNOUT_SENSES),
  }).required(),
  detail: Joi.object({
    nominal_mm: sentNumber(),
    packet: span.keys({
      name: text,
      unit: Joi.string()
        .valid(...Object.keys(READING_UNITS_MM))
        .required(),
    }),
    shim: Joi.object({
      family: text,
      fitted_mm: sentNumber().min(0).max(100).required(),
      byPlace: Joi.object().pattern(/^\d+$/, Joi.array().items(number)),
      crush: span,
      stack: sentNumber().integer().min(1).max(5).required(),
    }),
    expansion: Joi.object({ journal: number, bore: number }),
  }).required(),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
  lines: list(
    Joi.alternatives(
      ...Object.entries(LINE_SCHEMAS).map(([kind, schema]) =>
        schema.keys({
          kind: Joi.string().valid(kind).required(),
          at: time,
          recordedAt: hour(),
          who,
        }),
      ),
    ),
  ),
});

const shim = Joi.object({
  id,
  family: text,
  thickness_mm: positive(100),
  typed: text,
  count: sentNumber().integer().min(0).max(10_000).required(),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const note = Joi.object({
  id,
  engineId: id,
  jointId: idOrNone,
  fitId: idOrNone,
  fastener: sentNumber().integer().min(1).max(MAX_FASTENERS).allow(null).required(),
  words: Joi.string().trim().min(1).max(MAX_NOTE_CHARACTERS).required(),
  who,
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const figure = Joi.object({
  jointId: id,
  setting: number,
  unit,
  wrenchId: id,
  wrench: text,
  torque_Nm: number,
});

/** The build file; `docs/build-file.schema.json` is made from this. */
export const buildFileSchema = Joi.object<Checked<BuildFile>, true>({
  format: Joi.string().valid(BUILD_FORMAT).required().messages({
    'any.only': 'This is not a build file of this program',
    'any.required': 'This is not a build file of this program',
  }),
  version: sentNumber()
    .valid(BUILD_VERSION)
    .required()
    .messages({
      'any.only': `It is of a version that this program does not read (it reads up to ${BUILD_VERSION})`,
      'any.required': 'This is not a build file of this program',
    }),
  writtenAt: time,
  engine: engine.required(),
  sources: list(source),
  leaves: list(leaf),
  wrenches: list(wrench),
  joints: list(joint),
  tightenings: list(tighteningSchema),
  boltSets: Joi.array().items(boltSet).default([]),
  practice,
  figures: Joi.array().items(figure).max(MAX_ROWS).default([]),
  shelf: Joi.object({
    film: shelfRows('film'),
    grade: shelfRows('grade'),
    metal: shelfRows('metal'),
    thread: shelfRows('thread'),
  }).default({ film: [], grade: [], metal: [], thread: [] }),
  fits: Joi.array().items(fit).default([]),
  measures: Joi.array()
    .items(
      ...Object.entries(MEASURE_SCHEMAS).map(([kind, body]) =>
        Joi.object({
          id,
          engineId: id,
          kind: Joi.string().valid(kind).required(),
          body: body.required(),
          at: time,
          who,
        }),
      ),
    )
    .default([]),
  shims: Joi.array().items(shim).default([]),
  notes: Joi.array().items(note).max(MAX_ROWS).default([]),
  heat: Joi.object({ cycles: list(cycle), readings: list(reading) }).required(),
});

const MAX_CHARACTERS = 50_000_000;

export const textSchema = Joi.object<{ text: string }, true>({ text: Joi.string().max(MAX_CHARACTERS).required() });

const MAX_UNREAD = 40;

/** What a check left out of a value: parts that this program does not know, by their path. */
function leftOut(given: unknown, kept: unknown, at: string): readonly string[] {
  if (Array.isArray(given) && Array.isArray(kept))
    return given.flatMap((one, i) => leftOut(one, kept[i], `${at}[${i + 1}]`));
  if (typeof given !== 'object' || given === null || typeof kept !== 'object' || kept === null) return [];
  return Object.entries(given).flatMap(([key, value]) => {
    const path = at === '' ? key : `${at}.${key}`;
    return key in kept ? leftOut(value, (kept as Readonly<Record<string, unknown>>)[key], path) : [path];
  });
}

export interface ReadBuild {
  readonly file: BuildFile;
  /** Parts that this program does not know, by their path. */
  readonly unread: readonly string[];
}

/** Reads the text of a build file of any version. @throws DomainError bad-json, bad-field */
export function parseBuildFile(text: string): ReadBuild {
  let body: unknown;
  try {
    body = JSON.parse(text.replace(/^\uFEFF/, ''));
  } catch {
    throw new DomainError('bad-json', 'The file is not JSON, so it is no build file. Nothing was changed.');
  }
  const lifted = liftBuildFile(body);
  const checked = buildFileSchema.validate(lifted, { stripUnknown: true });
  if (checked.error)
    throw new DomainError(
      'bad-field',
      `The build file cannot be read: ${checked.error.message.replace(/"/g, '')}. Nothing was changed.`,
    );
  return { file: checked.value, unread: leftOut(lifted, checked.value, '').slice(0, MAX_UNREAD) };
}
