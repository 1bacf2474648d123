import { type Checked, DomainError, READING_UNITS_MM } from '@/core/units';
import { liftBuildFile } from './lift-build-file';
import { oneOf } from '@/model/one-of';
import { FIT_KINDS, METHODS, RUNOUT_SENSES } from '@/core/fits';
import { MAX_FASTENERS } from '@/core/tightening';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import { CYCLE_EXTRAS, METER_FIELDS } from '@/model/heat/heat-schemas';
import { LINE_SCHEMAS } from '@/model/fit/fit-line-schema';
import { MAX_NOTE_CHARACTERS } from '@/model/note';
import { ASIDE_KINDS } from '@/model/set-aside';
import { SHELF_SCHEMAS } from '@/model/shelf/shelf-schemas';
import {
  MAX_ROWS,
  celsius,
  hour,
  id,
  idOrNone,
  list,
  name,
  number,
  positive,
  text,
  time,
  unit,
  who,
} from './build-fields';
import { orderSchema } from './build-order-schema';
import { tighteningSchema } from './build-round-schema';
import { boltSet, engine, joint, leaf, practice, source, wrench } from './build-rows-schema';
import { BUILD_FORMAT, BUILD_VERSION, type BuildFile } from './build-file';

const shelfRows = (kind: keyof typeof SHELF_SCHEMAS) => Joi.array().items(SHELF_SCHEMAS[kind]).default([]);

const cycle = Joi.object({
  id,
  engineId: id,
  ranFrom: time,
  ranTo: time,
  highest_C: celsius,
  ambient_C: celsius,
  who,
  ...CYCLE_EXTRAS,
});
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
  // Files of before have notes of neither.
  stepId: idOrNone.optional().default(null),
  partId: idOrNone.optional().default(null),
  fastener: sentNumber().integer().min(1).max(MAX_FASTENERS).allow(null).required(),
  words: Joi.string().trim().min(1).max(MAX_NOTE_CHARACTERS).required(),
  who,
  version: sentNumber().integer().min(1).default(1),
  createdAt: time,
});

const aside = Joi.object({
  kind: oneOf(ASIDE_KINDS).required(),
  id,
  reason: Joi.string().trim().min(1).max(400).required(),
  who,
  at: time,
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
  order: orderSchema,
  notes: Joi.array().items(note).max(MAX_ROWS).default([]),
  asides: list(aside),
  heat: Joi.object({
    cycles: list(cycle),
    readings: list(reading),
    // Older ones had none.
    meters: Joi.array()
      .items(Joi.object({ id, engineId: id, at: time, who, ...METER_FIELDS }))
      .max(MAX_ROWS)
      .default([]),
  }).required(),
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
