import Joi from 'joi';
import { TORQUE_UNITS, type TorqueUnit } from '@/core/units';

export interface WrenchFields {
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly min: number;
  readonly max: number;
  readonly graduation: number;
  readonly accuracyPct: number;
}

const mark = (label: string) =>
  Joi.number()
    .positive()
    .max(100_000)
    .required()
    .label(label)
    .messages({ 'number.base': `Give ${label} as a figure.`, 'number.positive': `${label} must be above 0.` });

export const wrenchSchema = Joi.object<WrenchFields>({
  name: Joi.string().trim().max(80).required().label('the name').messages({ 'string.empty': 'Give the wrench a name you know it by.' }),
  unit: Joi.string().valid(...TORQUE_UNITS).required(),
  min: Joi.number().min(0).max(100_000).required().label('the lowest mark').messages({ 'number.base': 'Give the lowest mark as a figure.' }),
  max: mark('the highest mark').greater(Joi.ref('min')).messages({ 'number.greater': 'The highest mark must be above the lowest.' }),
  graduation: mark('the graduation'),
  accuracyPct: Joi.number().min(0).max(50).required().label('the accuracy').messages({ 'number.base': 'Give the accuracy in per cent.' }),
}); // prettier-ignore
