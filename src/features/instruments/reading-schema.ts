import { typedNumber } from '@/model/typed-number';
import Joi from 'joi';
import {
  INSTRUMENT_KINDS,
  PULL_PHASES,
  READING_FORMAT,
  READING_VERSION,
  UNITS_OF_KIND,
  type InstrumentReading,
} from '@/instruments/measuring-instrument';

const MAX_TURNED_DEG = 3600;

/** A reading as it comes over the wire. An instrument that shows what one of its kind cannot is set wrongly. */
export const readingSchema = Joi.object<InstrumentReading>({
  format: Joi.string().valid(READING_FORMAT).required(),
  version: typedNumber().valid(READING_VERSION).required(),
  id: Joi.string().min(8).max(60).required(),
  instrument: Joi.string().trim().min(1).max(80).required(),
  serial: Joi.string().trim().min(1).max(40),
  battery_pct: typedNumber().min(0).max(100),
  over: Joi.boolean().strict().valid(true),
  kind: Joi.string()
    .valid(...INSTRUMENT_KINDS)
    .required(),
  value: typedNumber().min(-10_000).max(10_000).required(),
  unit: Joi.string()
    .required()
    .when('kind', {
      switch: INSTRUMENT_KINDS.map((kind) => ({ is: kind, then: Joi.valid(...UNITS_OF_KIND[kind]) })),
    }),
  resolution: typedNumber().greater(0).max(1000).required(),
  says: Joi.string().valid('goes', 'stops').when('kind', { not: 'feelers', then: Joi.forbidden() }),
  phase: Joi.string()
    .valid(...PULL_PHASES)
    .when('kind', { not: 'torque-wrench', then: Joi.forbidden() }),
  turned_deg: typedNumber().min(0).max(MAX_TURNED_DEG).when('kind', { not: 'torque-wrench', then: Joi.forbidden() }),
  at: Joi.string().isoDate().required(),
});
