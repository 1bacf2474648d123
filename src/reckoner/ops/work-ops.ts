import Joi from 'joi';
import { order, stages, type OrderSchool, type Position, type StageScheme } from '@/core/tightening';
import { number, op, withNotes } from '../op';

export const workOps = {
  stages: op(
    Joi.object<{ final: number; scheme: StageScheme; graduation: number }, true>({
      final: number().required(),
      scheme: Joi.alternatives(Joi.string(), Joi.array().items(number())).required(),
      graduation: number().required(),
    }),
    ({ final, scheme, graduation }) => withNotes(stages(final, scheme, graduation)),
  ),
  order: op(
    Joi.object<{ positions: Position[]; school: OrderSchool }, true>({
      positions: Joi.array().items(Joi.array().items(number()).length(2)).required(),
      school: Joi.string().required(),
    }),
    ({ positions, school }) => ({ result: { order: order(positions, school) } }),
  ),
};
