import Joi from 'joi';
import { interaction, plateCompliance, type InteractionInput, type PlateInput } from '@/core/interaction';
import { turnFurther, type TurnFurtherInput } from '@/core/joint';
import { nextSlot, type NextSlotInput } from '@/core/tightening';
import { number, op, threadIn, turnedFields, withNotes } from '../op';

const numbers = () => Joi.array().items(number());
const oneOrEach = () => Joi.alternatives(number(), numbers());

type TurnFields = Omit<TurnFurtherInput, 'thread'> & { readonly thread: string };

export const benchOps = {
  interaction: op(
    Joi.object<InteractionInput>({
      compliance: Joi.array().items(numbers()).required(),
      boltStiffness_N_per_mm: oneOrEach().required(),
      passes: Joi.array()
        .items(Joi.object({ order: numbers().required(), target_N: number().required() }))
        .required(),
    }),
    (fields) => ({ result: interaction(fields) }),
  ),
  'plate-compliance': op(
    Joi.object<PlateInput>({
      length_mm: number().required(),
      width_mm: number().required(),
      positions: Joi.array().items(numbers().length(2)).required(),
      D_Nmm: number().required(),
      foundation_N_per_mm3: number().required(),
      poisson: number().required(),
      terms: Joi.alternatives(number(), numbers().length(2)),
    }),
    (fields) => ({ result: plateCompliance(fields) }),
  ),
  'turn-further': op(
    Joi.object<TurnFields, true>({
      ...turnedFields,
      preload_N: number().required(),
      stiffness_N_per_mm: number().required(),
      angle_deg: number().required(),
      yield_MPa: number(),
    }),
    (fields) => {
      const { thread, notes } = threadIn(fields.thread);
      const turned = withNotes(turnFurther({ ...fields, thread }));
      return { result: turned.result, notes: [...notes, ...turned.notes] };
    },
  ),
  'next-slot': op(
    Joi.object<NextSlotInput, true>({
      slots: number().required(),
      holes: number().required(),
      slot_deg: number().required(),
    }),
    (fields) => ({ result: nextSlot(fields) }),
  ),
};
