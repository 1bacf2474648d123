import { typedNumber } from '@/model/typed-number';
import Joi from 'joi';
import { READING_UNITS_MM } from '@/core/fits';
import {
  INSTRUMENT_KINDS,
  READING_FORMAT,
  READING_VERSION,
  type InstrumentReading,
} from '@/instruments/measuring-instrument';

/** A reading as it comes over the wire. */
export const readingSchema = Joi.object<InstrumentReading, true>({
  format: Joi.string().valid(READING_FORMAT).required(),
  version: typedNumber().valid(READING_VERSION).required(),
  id: Joi.string().min(8).max(60).required(),
  instrument: Joi.string().trim().min(1).max(80).required(),
  kind: Joi.string()
    .valid(...INSTRUMENT_KINDS)
    .required(),
  value: typedNumber().min(-10_000).max(10_000).required(),
  unit: Joi.string()
    .valid(...Object.keys(READING_UNITS_MM))
    .required(),
  resolution: typedNumber().greater(0).max(1000).required(),
  says: Joi.string().valid('goes', 'stops'),
  at: Joi.string().isoDate().required(),
});
