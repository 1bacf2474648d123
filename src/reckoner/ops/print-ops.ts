import Joi from 'joi';
import { readLength, readTorque } from '@/core/print';
import { convert } from '@/core/units';
import { number, op, text, withNotes } from '../op';

export const printOps = {
  'read-torque': op(Joi.object<{ text: string }, true>({ text: text() }), (fields) =>
    withNotes(readTorque(fields.text)),
  ),
  'read-length': op(Joi.object<{ text: string }, true>({ text: text() }), (fields) =>
    withNotes(readLength(fields.text)),
  ),
  convert: op(
    Joi.object<{ value: number; from: string; to: string }, true>({
      value: number().required(),
      from: Joi.string().required(),
      to: Joi.string().required(),
    }),
    ({ value, from, to }) => ({ result: { value: convert(value, from, to) } }),
  ),
};
