import { readVersion } from '@/model/versioned';
import { typedCelsius } from '@/model/typed-number';
import Joi from 'joi';

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

export interface CycleFields {
  readonly id: string;
  readonly engineId: string;
  /** What the device's own clock said when it sent this. */
  readonly sentAt: string;
  readonly ranFrom: string;
  readonly ranTo: string;
  readonly highest_C: number;
  readonly ambient_C: number;
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

export const retorqueSchema = Joi.object<{ jointId: string; version: number; asPulled: boolean; reason: string }, true>(
  {
    jointId: Joi.string().required(),
    version: readVersion,
    asPulled: Joi.boolean().default(false),
    reason: Joi.string().trim().max(400).allow('').default(''),
  },
);
