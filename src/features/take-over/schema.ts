import Joi from 'joi';
import type { Checked } from '@/core/units';

interface TakeOver {
  readonly engineId: string;
  readonly fromId: string;
  readonly leafIds: readonly string[];
  readonly jointIds: readonly string[];
}

const ids = () => Joi.array().items(Joi.string().max(60)).max(5000).required();

export const takeOverSchema = Joi.object<Checked<TakeOver>, true>({
  engineId: Joi.string().max(60).required(),
  fromId: Joi.string().max(60).required().invalid(Joi.ref('engineId')).messages({
    'any.invalid': 'That is the engine itself.',
    'string.empty': 'Choose the engine to take over from.',
  }),
  leafIds: ids(),
  jointIds: ids(),
});
