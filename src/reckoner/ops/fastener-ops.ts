import Joi from 'joi';
import { strip, stretch, type StretchSegment } from '@/core/fastener';
import { standardTorque, type TurnedFastener } from '@/core/joint';
import { identifyThread, type ThreadMeasured } from '@/core/thread';
import { number, op, threadIn, turnedFields, withNotes } from '../op';

type Named<T> = Omit<T, 'thread'> & { readonly thread: string };

export const fastenerOps = {
  'identify-thread': op(
    Joi.object<ThreadMeasured, true>({
      major_mm: number().required(),
      pitch_mm: number(),
      tpi: number(),
      tolerance_mm: number(),
    }),
    (fields) => withNotes(identifyThread(fields)),
  ),
  'standard-torque': op(
    Joi.object<Named<TurnedFastener> & { proof_MPa: number; fraction?: number }, true>({
      ...turnedFields,
      proof_MPa: number().required(),
      fraction: number(),
    }),
    (fields) => {
      const { thread, notes } = threadIn(fields.thread);
      return { result: standardTorque({ ...fields, thread }, fields.proof_MPa, fields.fraction), notes };
    },
  ),
  strip: op(
    Joi.object<{ thread: string; engagement_mm: number; shear_MPa: number }, true>({
      thread: Joi.string().required(),
      engagement_mm: number().required(),
      shear_MPa: number().required(),
    }),
    (fields) => {
      const { thread, notes } = threadIn(fields.thread);
      return { result: strip(thread, fields.engagement_mm, fields.shear_MPa), notes };
    },
  ),
  stretch: op(
    Joi.object<{ segments: StretchSegment[]; E_GPa: number; preload_N?: number; stretch_mm?: number }, true>({
      segments: Joi.array()
        .items(Joi.object({ length_mm: number().required(), diameter_mm: number(), area_mm2: number() }))
        .required(),
      E_GPa: number().required(),
      preload_N: number(),
      stretch_mm: number(),
    }),
    (fields) => ({ result: stretch(fields.segments, fields.E_GPa, fields) }),
  ),
};
