import Joi from 'joi';
import { LINE_FIELDS, storedPartSchema, storedStepSchema } from '@/model/order/order-schemas';
import { MAX_PARTS } from '@/model/order/part';
import { MAX_STEPS } from '@/model/order/step';
import { hour, time, who } from './build-fields';
import { NO_ORDER } from './build-file';

const MAX_LINES = 20_000;

const line = Joi.object({
  ...LINE_FIELDS,
  at: time,
  recordedAt: hour(),
  who,
});

/** The order of a build as a file has it; files of before have none. */
export const orderSchema = Joi.object({
  steps: Joi.array().items(storedStepSchema).max(MAX_STEPS).required(),
  parts: Joi.array().items(storedPartSchema).max(MAX_PARTS).required(),
  buildLines: Joi.array().items(line).max(MAX_LINES).required(),
}).default(NO_ORDER);
