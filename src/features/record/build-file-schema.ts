import { DomainError, TORQUE_UNITS, type Checked } from '@/core/units';
import { liftBuildFile } from './lift-build-file';
import { oneOf } from '@/model/one-of';
import { METHODS, READING_UNITS_MM, RUNOUT_SENSES } from '@/core/fits';
import { BOLT_READING_KINDS } from '@/model/bolt/bolt-set';
import { PURPOSES } from '@/model/joint/tightening';
import { PULL_ACTS } from '@/model/joint/tightening-plan';
import { CARES } from '@/model/joint/care';
import { ENGINE_KINDS } from '@/model/engine/engine';
import {
  EVENT_KINDS,
  NAMED_SCHEMES,
  ORDER_SCHOOLS,
  PATTERN_KINDS,
  PULL_OUTCOMES,
  STEP_KINDS,
  UNITS_OF_WORK,
} from '@/core/tightening';
import { RANGE_SCHOOLS } from '@/core/joint';
import { HEAD_METALS, RETORQUE_SCHOOLS } from '@/core/heat';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import { LINE_SCHEMAS } from '@/model/fit/fit-line-schema';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { detailSchema } from '@/model/joint/joint-detail-schema';
import { SHELF_SCHEMAS } from '@/model/shelf/shelf-schemas';
import { LEAF_KINDS } from '@/model/book/leaf';
import { SOURCE_KINDS } from '@/model/book/source';
import { BUILD_FORMAT, BUILD_VERSION, type BuildFile } from './build-file';

const id = Joi.string().min(1).max(60).required();
const idOrNone = Joi.string().min(1).max(60).allow(null).required();
const text = Joi.string().allow('').max(400).required();
const time = Joi.string().isoDate().required();
const number = sentNumber().required();
const numberOrNone = sentNumber().allow(null).required();
const year = sentNumber().integer().allow(null).required();
const metal = oneOf(HEAD_METALS).required();
const unit = Joi.string()
  .valid(...TORQUE_UNITS)
  .required();
const list = (item: Joi.Schema) => Joi.array().items(item).required();

const engine = Joi.object({
  id,
  name: text,
  kind: oneOf(ENGINE_KINDS).required(),
  year,
  engineNumber: text,
  headMetal: metal,
  blockMetal: metal,
  preferredUnit: unit,
  practice: Joi.object().pattern(Joi.string().max(40), Joi.string().max(40)).default({}),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const source = Joi.object({
  id,
  title: text,
  edition: text,
  year,
  kind: Joi.string()
    .valid(...SOURCE_KINDS)
    .default('manual'),
  rank: sentNumber().integer().allow(null).default(null),
  fromYear: sentNumber().integer().allow(null).default(null),
  toYear: sentNumber().integer().allow(null).default(null),
  fromNumber: Joi.string().allow('').default(''),
  toNumber: Joi.string().allow('').default(''),
  supersedesId: Joi.string().allow(null).default(null),
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
  createdAt: time,
});

const wrench = Joi.object({
  id,
  name: text,
  unit,
  min: number,
  max: number,
  graduation: number,
  accuracy_pct: number,
  calibration: Joi.array()
    .items(Joi.object({ set: number, true: number }))
    .default([]),
  checkedAt: Joi.string().isoDate().allow(null).default(null),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const joint = Joi.object({
  id,
  engineId: id,
  leafId: id,
  name: text,
  pattern: oneOf(PATTERN_KINDS).required(),
  fasteners: sentNumber().integer().min(1).max(60).required(),
  thread: text,
  bearingOuter_mm: number,
  bearingInner_mm: number,
  bearingMeasured: Joi.boolean().required(),
  originalFilm: id,
  originalFilmReason: text,
  todayFilm: id,
  rangeSchool: oneOf(RANGE_SCHOOLS).required(),
  stageScheme: Joi.alternatives(oneOf(NAMED_SCHEMES), Joi.array().items(sentNumber())).required(),
  orderSchool: oneOf(ORDER_SCHOOLS).required(),
  unitOfWork: oneOf(UNITS_OF_WORK).required(),
  turnShaft: Joi.boolean().required(),
  wrenchId: id,
  retorqueSchool: oneOf(RETORQUE_SCHOOLS).required(),
  detail: detailSchema.default(PLAIN_DETAIL),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const event = Joi.object({
  id,
  kind: oneOf(EVENT_KINDS).required(),
  step: sentNumber().integer().min(0),
  outcome: Joi.string().valid(...PULL_OUTCOMES),
  strikes: Joi.string(),
  at: time,
  recordedAt: time,
});

const step = Joi.object({
  kind: oneOf(STEP_KINDS).required(),
  stage: sentNumber().integer().min(0),
  position: sentNumber().integer().min(0),
  setting: sentNumber(),
  torque_Nm: sentNumber(),
  final: Joi.boolean(),
  afterStage: sentNumber().integer().min(0),
});

const rung = Joi.object({
  id: Joi.string().required(),
  title: text,
  value_Nm: number,
  factor: sentNumber(),
  working: list(Joi.object()),
  source: Joi.string().allow('').required(),
  school: Joi.string().allow('').required(),
  spread: Joi.string().allow('').required(),
  override: Joi.object({ value_Nm: sentNumber().allow(null).required(), reason: Joi.string().required() }),
});

const plan = Joi.object({
  positions: list(Joi.array().items(sentNumber()).length(2)),
  order: list(sentNumber().integer().min(0)),
  steps: list(step),
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
    setting: Joi.object().required(),
    band: Joi.object().required(),
    notes: list(Joi.object()),
  }).required(),
  guards: list(Joi.object({ code: text, severity: text, message: Joi.string().required() })),
  reason: Joi.string().allow('').max(1000),
  care: oneOf(CARES),
  act: oneOf(PULL_ACTS).required(),
  cycleId: Joi.string(),
}).required();

const tightening = Joi.object({
  id,
  jointId: id,
  purpose: oneOf(PURPOSES).required(),
  plan,
  startedAt: time,
  events: list(event),
});

const boltReading = Joi.object({
  id,
  setId: id,
  bolt: sentNumber().integer().min(1).required(),
  kind: oneOf(BOLT_READING_KINDS).required(),
  length_mm: number,
  typed: text,
  torque_Nm: numberOrNone,
  at: time,
});

const segment = Joi.object({ length_mm: number, diameter_mm: sentNumber(), area_mm2: sentNumber() });

const boltSet = Joi.object({
  id,
  jointId: id,
  name: text,
  bolts: sentNumber().integer().min(1).required(),
  segments: list(segment),
  E_GPa: number,
  minStretch_mm: number,
  maxStretch_mm: number,
  ceiling_Nm: number,
  maxSet_mm: number,
  bothEnds: Joi.boolean().required(),
  createdAt: time,
  readings: list(boltReading),
});

const shelfRows = (kind: keyof typeof SHELF_SCHEMAS) => Joi.array().items(SHELF_SCHEMAS[kind]).default([]);

const cycle = Joi.object({ id, engineId: id, ranFrom: time, ranTo: time, highest_C: number, ambient_C: number });
const reading = Joi.object({ id, engineId: id, cycleId: id, at: time, head_C: number, ambient_C: number });

const span = Joi.object({ min_mm: number, max_mm: number });
const rule = Joi.object({ perDiameter: Joi.array().items(sentNumber()).length(2).required(), floor_mm: sentNumber() });

const fit = Joi.object({
  id,
  engineId: id,
  kind: text,
  name: text,
  places: list(Joi.string().max(80)),
  methods: list(Joi.string().valid(...METHODS)),
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
      fitted_mm: number,
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
          recordedAt: Joi.string().isoDate(),
        }),
      ),
    ),
  ),
});

const shim = Joi.object({
  id,
  family: text,
  thickness_mm: number,
  typed: text,
  count: sentNumber().integer().min(0).required(),
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

/** The build file; `docs/build-file.schema.json` is made from this. */
export const buildFileSchema = Joi.object<Checked<BuildFile>, true>({
  format: Joi.string().valid(BUILD_FORMAT).required().messages({
    'any.only': 'This is not a build file of this program.',
    'any.required': 'This is not a build file of this program.',
  }),
  version: sentNumber()
    .valid(BUILD_VERSION)
    .required()
    .messages({ 'any.only': 'This build file was written by a newer version of this program.' }),
  writtenAt: time,
  engine: engine.required(),
  sources: list(source),
  leaves: list(leaf),
  wrenches: list(wrench),
  joints: list(joint),
  tightenings: list(tightening),
  boltSets: Joi.array().items(boltSet).default([]),
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
        Joi.object({ id, engineId: id, kind: Joi.string().valid(kind).required(), body: body.required(), at: time }),
      ),
    )
    .default([]),
  shims: Joi.array().items(shim).default([]),
  heat: Joi.object({ cycles: list(cycle), readings: list(reading) }).required(),
});

const MAX_CHARACTERS = 50_000_000;

export const textSchema = Joi.object<{ text: string }, true>({ text: Joi.string().max(MAX_CHARACTERS).required() });

/** Reads the text of a build file of any version. @throws DomainError bad-json, bad-field */
export function parseBuildFile(text: string): BuildFile {
  let body: unknown;
  try {
    body = JSON.parse(text);
  } catch {
    throw new DomainError('bad-json', 'The file is not JSON, so it is no build file. Nothing was changed.');
  }
  const checked = buildFileSchema.validate(liftBuildFile(body), { stripUnknown: true });
  if (checked.error)
    throw new DomainError(
      'bad-field',
      `The build file cannot be read: ${checked.error.message.replace(/"/g, '')}. Nothing was changed.`,
    );
  return checked.value;
}
