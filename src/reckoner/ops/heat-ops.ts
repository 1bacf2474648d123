import Joi from 'joi';
import {
  coldWithin,
  cooling,
  settlement,
  type ColdWithinInput,
  type CoolingInput,
  type MovedNut,
  type UnmovedNut,
} from '@/core/heat';
import { settling } from '@/core/statistics';
import type { Checked } from '@/core/units';
import { number, op, threadIn, turnedFields, withNotes } from '../op';

type UnmovedFields = Omit<UnmovedNut, 'thread'> & { readonly thread: string };
type SettlementFields = MovedNut | UnmovedFields;

const didNotMove = Joi.valid(true).required();
const ofUnmoved = (schema: Joi.Schema) =>
  Joi.when('didNotMove', { is: didNotMove, then: schema, otherwise: Joi.forbidden() });
const ofMoved = (schema: Joi.Schema) =>
  Joi.when('didNotMove', { is: didNotMove, then: Joi.forbidden(), otherwise: schema });

export const heatOps = {
  cooling: op(
    Joi.object<Checked<CoolingInput>, true>({
      ambient_C: number().required(),
      readings: Joi.array()
        .items(Joi.object({ minutes: number().required(), C: number().required() }))
        .required(),
      target_C: number().required(),
      tau_min: number(),
      sensor_C: number(),
      ambientError_C: number(),
    }),
    (fields) => withNotes(cooling(fields)),
  ),
  'cold-within': op(
    Joi.object<ColdWithinInput, true>({
      preload_N: number().required(),
      stiffness_N_per_mm: number().required(),
      length_mm: number().required(),
      head_um_per_mK: number().required(),
      stud_um_per_mK: number().required(),
      loss: number().required(),
    }),
    (fields) => ({ result: coldWithin(fields) }),
  ),
  settlement: op(
    Joi.object<SettlementFields>({
      torque_Nm: number().required(),
      prevailing_Nm: number(),
      didNotMove: Joi.boolean().strict(),
      moved_deg: ofMoved(number().required()),
      slope_Nm_per_deg: ofMoved(number().required()),
      angleError_deg: ofMoved(number()),
      thread: ofUnmoved(turnedFields.thread),
      muThread: ofUnmoved(turnedFields.muThread),
      muHead: ofUnmoved(turnedFields.muHead),
      bearing: ofUnmoved(turnedFields.bearing),
      staticRatio: ofUnmoved(number().required()),
    }),
    (fields) => {
      if (fields.didNotMove !== true) return withNotes(settlement(fields));
      const { thread, notes } = threadIn(fields.thread);
      const settled = withNotes(settlement({ ...fields, thread }));
      return { result: settled.result, notes: [...notes, ...settled.notes] };
    },
  ),
  settling: op(
    Joi.object<{ losses: number[][] }, true>({
      losses: Joi.array().items(Joi.array().items(number())).required(),
    }),
    (fields) => withNotes(settling(fields)),
  ),
};
