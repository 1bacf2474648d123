import { typedNumber } from '@/model/typed-number';
import { BOLT_READING_KINDS, type BoltReadingKind } from '@/model/bolt/bolt-set';
import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import { measure } from '@/server/measure-schema';

export interface BoltSetFields {
  readonly jointId: string;
  /** The kind's name; empty of the joint's own fasteners. */
  readonly kind: string;
  readonly name: string;
  readonly bolts: number;
  readonly thread: string;
  readonly shank: string;
  readonly shankDiameter: string;
  readonly waist: string;
  readonly waistDiameter: string;
  readonly freeThread: string;
  readonly E_GPa: number;
  readonly minStretch: string;
  readonly maxStretch: string;
  readonly ceiling: string;
  readonly maxSet: string;
  readonly bothEnds: boolean;
}

export const boltSetSchema = Joi.object<BoltSetFields, true>({
  jointId: Joi.string().required(),
  kind: Joi.string().trim().max(80).allow('').default(''),
  name: Joi.string().trim().max(80).required().messages({ 'string.empty': 'Give the set a name.' }),
  bolts: typedNumber()
    .integer()
    .min(1)
    .max(60)
    .required()
    .label('the number of bolts')
    .messages({ 'number.base': 'Say how many bolts there are.' }),
  thread: measure('the thread'),
  shank: measure('the length of the shank'),
  shankDiameter: measure('the diameter of the shank'),
  waist: Joi.string().trim().max(60).allow('').default(''),
  waistDiameter: Joi.string().trim().max(60).allow('').default(''),
  freeThread: measure('the free thread'),
  E_GPa: typedNumber().greater(50).less(300).required().label('the modulus'),
  minStretch: measure('the least stretch'),
  maxStretch: measure('the greatest stretch'),
  ceiling: measure('the torque ceiling'),
  maxSet: measure('the set allowed'),
  bothEnds: Joi.boolean().required(),
});

export interface BoltStrikeFields {
  readonly setId: string;
  readonly readingId: string;
}

export const boltStrikeSchema = Joi.object<BoltStrikeFields, true>({
  setId: Joi.string().max(60).required(),
  readingId: Joi.string().max(60).required(),
});

export interface BoltReadingFields {
  readonly setId: string;
  readonly bolt: number;
  readonly kind: BoltReadingKind;
  readonly typed: string;
  readonly torque: string;
}

export const boltReadingSchema = Joi.object<BoltReadingFields, true>({
  setId: Joi.string().required(),
  bolt: typedNumber().integer().min(1).max(60).required(),
  kind: oneOf(BOLT_READING_KINDS).required(),
  typed: measure('the length as read'),
  torque: Joi.string().trim().max(60).allow('').default(''),
});
