import Joi from 'joi';
import type { PullReading } from '@/core/tightening';

const MAX_READ_NM = 5000;
const MAX_TURNED_DEG = 3600;

/**
 * What was read at a pull, as a line of it is sent or written out.
 * @param number how a number comes through this door
 */
export const readingKeys = (number: () => Joi.NumberSchema): Joi.StrictSchemaMap<PullReading> => ({
  read_Nm: number().greater(0).max(MAX_READ_NM),
  broke_Nm: number().greater(0).max(MAX_READ_NM),
  turned_deg: number().min(0).max(MAX_TURNED_DEG),
  instrument: Joi.string().trim().min(1).max(80),
  readingId: Joi.string().min(8).max(60),
});
