import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import type { Grade, ParentMetal } from '@/core/fastener';
import type { Film, Friction } from '@/core/film';
import { OWN_ANGLES, type OwnThread } from '@/core/thread';
import type { ShelfKind } from './shelf-rows';

const friction = (label: string) =>
  Joi.object<Friction, true>({
    low: sentNumber().greater(0).max(1).required().label(`${label}, low`),
    middle: sentNumber().min(Joi.ref('low')).max(1).required().label(`${label}, middle`),
    high: sentNumber().min(Joi.ref('middle')).max(1).required().label(`${label}, high`),
  })
    .required()
    .messages({
      'number.ref': 'Friction must rise from low through middle to high.',
      'number.min': 'Friction must rise from low through middle to high.',
    });

const shared = {
  id: Joi.string().max(60).required(),
  name: Joi.string().trim().max(80).required().messages({ 'string.empty': 'Give the row a name.' }),
  provenance: Joi.string().valid('typical', 'own').required(),
  source: Joi.string().trim().max(300).required().messages({ 'string.empty': 'Say where the figures come from.' }),
};

const mpa = (label: string) => sentNumber().greater(0).max(5000).required().label(label);

/** A row as a person may put it on a shelf. `standard` is only for rows that ship with the program. */
export const SHELF_SCHEMAS: Readonly<Record<ShelfKind, Joi.ObjectSchema>> = {
  film: Joi.object<Film, true>({ ...shared, thread: friction('Thread'), head: friction('Head') }),
  grade: Joi.object<Grade, true>({
    ...shared,
    tensile_MPa: mpa('the tensile strength'),
    yield_MPa: mpa('the yield')
      .max(Joi.ref('tensile_MPa'))
      .messages({ 'number.max': 'The yield cannot be above the tensile strength.' }),
    proof_MPa: sentNumber()
      .greater(0)
      .max(Joi.ref('yield_MPa'))
      .label('the proof stress')
      .messages({ 'number.max': 'The proof stress cannot be above the yield.' }),
  }),
  thread: Joi.object<OwnThread, true>({
    ...shared,
    major_mm: sentNumber().min(1).max(100).required().label('the diameter'),
    pitch_mm: sentNumber()
      .min(0.2)
      .less(Joi.ref('major_mm', { adjust: (major: number) => major / 2 }))
      .required()
      .label('the pitch')
      .messages({ 'number.less': 'The pitch must be under half the diameter.' }),
    angle_deg: sentNumber()
      .valid(...OWN_ANGLES)
      .required()
      .label('the angle')
      .messages({ 'any.only': 'The angle must be 60, 55 or 47.5 degrees.' }),
  }),
  metal: Joi.object<ParentMetal, true>({
    ...shared,
    shearLow_MPa: mpa('the shear strength, low'),
    shearHigh_MPa: mpa('the shear strength, high').min(Joi.ref('shearLow_MPa')),
    pressureLow_MPa: mpa('the pressure, low'),
    pressureHigh_MPa: mpa('the pressure, high').min(Joi.ref('pressureLow_MPa')),
    engagement_d: sentNumber().greater(0).max(5).required().label('the least engagement'),
  }),
};
