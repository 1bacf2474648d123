import { readVersion } from '@/model/versioned';
import { typedCelsius, typedCount } from '@/model/typed-number';
import Joi from 'joi';
import { DISTANCE_UNITS, METER_UNITS, type DistanceUnit, type MeterUnit, type Stood } from '@/core/heat';
import type { SeenAtRun } from '@/model/heat/heat-log';
import { CYCLE_EXTRAS, MAX_METER } from '@/model/heat/heat-schemas';
import { FILMS_FOUND, type FilmFound } from '@/model/joint/retorque-guards';
import { oneOf } from '@/model/one-of';

const id = Joi.string().min(8).max(40).required();
const engineId = Joi.string().required();
const celsius = (label: string) =>
  typedCelsius()
    .min(-40)
    .max(400)
    .required()
    .label(label)
    .messages({ 'number.base': `Give ${label} in °C, or in °F with its letter, such as 185 F.` });
const time = (label: string) =>
  Joi.string()
    .isoDate()
    .required()
    .label(label)
    .messages({ 'string.empty': `Give ${label}.`, 'string.isoDate': `Give ${label} as a date and a time.` });

/** A figure that may be left empty. */
const figure = (label: string) =>
  typedCount()
    .min(0)
    .max(MAX_METER)
    .empty('')
    .label(label)
    .messages({ 'number.base': `Give ${label} as a number, such as 45,210 or 12.5.` });

/** Why a first run was made although something stood open. */
export const startReason = () => Joi.string().trim().max(400).allow('').default('');

export interface CycleFields {
  readonly id: string;
  readonly engineId: string;
  /** What the device's own clock said when it sent this. */
  readonly sentAt: string;
  readonly ranFrom: string;
  readonly ranTo: string;
  readonly highest_C: number;
  readonly ambient_C: number;
  /** How far it went, and what the odometer read when it was stopped; each left out where nobody looked. */
  readonly went?: number;
  readonly reads?: number;
  readonly unit?: DistanceUnit;
  readonly seen: SeenAtRun[];
  readonly stood?: Stood;
  /** Why it was started although its sheet was open; asked of the first run alone. */
  readonly startReason: string;
}

/** A start that went wrong: it need not have warmed anything. */
export interface StartWrongFields {
  readonly id: string;
  readonly engineId: string;
  readonly sentAt: string;
  readonly on: string;
  readonly seen: SeenAtRun[];
}

export interface MeterFields {
  readonly id: string;
  readonly engineId: string;
  readonly sentAt: string;
  readonly at: string;
  readonly reads: number;
  readonly unit: MeterUnit;
  /** Where it was exchanged or turned over: how far it had come, and from where it went on. */
  readonly jumpFrom?: number;
  readonly jumpTo?: number;
}

export interface ReadingFields {
  readonly id: string;
  readonly engineId: string;
  readonly cycleId: string;
  readonly sentAt: string;
  readonly at: string;
  readonly head_C: number;
  readonly ambient_C: number;
  /** True where what is doubtful about it was said to be so. */
  readonly sure: boolean;
}

export const cycleSchema = Joi.object<CycleFields, true>({
  id,
  engineId,
  sentAt: Joi.string().isoDate().required(),
  ranFrom: time('when it was started'),
  ranTo: time('when it was stopped'),
  highest_C: celsius('the highest temperature'),
  ambient_C: celsius('the air temperature'),
  went: figure('how far it went').max(100_000),
  reads: figure('what the odometer read'),
  unit: oneOf(DISTANCE_UNITS),
  seen: CYCLE_EXTRAS.seen.default([]),
  stood: CYCLE_EXTRAS.stood.empty(''),
  startReason: startReason(),
});

export const startWrongSchema = Joi.object<StartWrongFields, true>({
  id,
  engineId,
  sentAt: Joi.string().isoDate().required(),
  on: time('when it was tried'),
  seen: CYCLE_EXTRAS.seen.min(1).required().messages({ 'array.min': 'Say what was seen, or what it did.' }),
});

export const meterSchema = Joi.object<MeterFields, true>({
  id,
  engineId,
  sentAt: Joi.string().isoDate().required(),
  at: time('when it was read'),
  reads: figure('what it reads').required().messages({ 'any.required': 'Give what it reads.' }),
  unit: oneOf(METER_UNITS).required(),
  jumpFrom: figure('how far it had come'),
  jumpTo: figure('from where it went on'),
});

export const readingSchema = Joi.object<ReadingFields, true>({
  id,
  engineId,
  cycleId: Joi.string().required(),
  sentAt: Joi.string().isoDate().required(),
  at: time('when it was read'),
  head_C: celsius('the temperature at the head'),
  ambient_C: celsius('the air temperature'),
  sure: Joi.boolean().default(false),
});

export const strikeSchema = Joi.object<{ id: string; engineId: string; strikesId: string }, true>({
  id,
  engineId,
  strikesId: Joi.string().required(),
});

export interface RetorqueFields {
  readonly jointId: string;
  readonly version: number;
  readonly asPulled: boolean;
  readonly reason: string;
  /** How the lubricant is found; empty until somebody said so. */
  readonly film: FilmFound | '';
}

export const retorqueSchema = Joi.object<RetorqueFields, true>({
  jointId: Joi.string().required(),
  version: readVersion,
  asPulled: Joi.boolean().default(false),
  reason: Joi.string().trim().max(400).allow('').default(''),
  film: oneOf(FILMS_FOUND).allow('').default(''),
});
