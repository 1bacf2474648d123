import Joi from 'joi';
import { sequence, type SequenceInput } from '@/core/sequence';
import {
  DEAD_CENTRES,
  pistonDrop,
  rimArc,
  stopMethod,
  valveSpan,
  type PistonDropInput,
  type RimArcInput,
  type ValvePoint,
  type ValveSpanInput,
} from '@/core/timing';
import type { Checked } from '@/core/units';
import { number, op } from '../op';

const MOST_STEPS = 5000;
const ids = () => Joi.array().items(Joi.string().max(200)).max(MOST_STEPS);
const point = () =>
  Joi.object<ValvePoint, true>({
    deg: number().required(),
    at: Joi.string()
      .valid(...DEAD_CENTRES)
      .required(),
  }).required();

export const buildOps = {
  sequence: op(
    Joi.object<Checked<SequenceInput>, true>({
      steps: Joi.array()
        .items(Joi.object({ id: Joi.string().max(200).required(), after: ids(), notUntil: ids() }))
        .max(MOST_STEPS)
        .required(),
      done: ids(),
    }),
    (fields) => ({ result: sequence(fields) }),
  ),
  'piston-drop': op(
    Joi.object<PistonDropInput, true>({
      stroke_mm: number().required(),
      rod_mm: number().required(),
      deg: number(),
      drop_mm: number(),
    }),
    (fields) => ({ result: pistonDrop(fields) }),
  ),
  'stop-method': op(
    Joi.object<{ a_deg: number; b_deg: number }, true>({ a_deg: number().required(), b_deg: number().required() }),
    (fields) => ({ result: stopMethod(fields) }),
  ),
  'valve-span': op(
    Joi.object<ValveSpanInput, true>({
      opens: point(),
      closes: point(),
      valve: Joi.string().valid('inlet', 'exhaust').required(),
    }),
    (fields) => ({ result: valveSpan(fields) }),
  ),
  'rim-arc': op(
    Joi.object<RimArcInput, true>({ diameter_mm: number().required(), deg: number(), arc_mm: number() }),
    (fields) => ({ result: rimArc(fields) }),
  ),
};
