import Joi from 'joi';
import { readLength, readTorque } from '@/core/print';
import { convert, imperialNotes } from '@/core/units';
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
    ({ value, from, to }) => {
      const notes = imperialNotes(from, to);
      return { result: { value: convert(value, from, to) }, ...(notes.length > 0 && { notes }) };
    },
  ),
};
