import Joi from 'joi';
import { TORQUE_UNITS } from '@/core/units';
import { WRENCH_WINDOWS, wrenchSetting, type Adaptor, type WrenchScale, type WrenchWindow } from '@/core/wrench';
import { number, op, withNotes } from '../op';

interface WrenchFields {
  readonly target_Nm: number;
  readonly wrench: WrenchScale;
  readonly adaptor?: Adaptor;
  readonly window: WrenchWindow;
}

const scale = Joi.object({
  unit: Joi.string()
    .valid(...TORQUE_UNITS)
    .required(),
  min: number().required(),
  max: number().required(),
  graduation: number().required(),
  calibration: Joi.array().items(Joi.object({ set: number().required(), true: number().required() })),
});

const adaptor = Joi.object({
  wrenchLength_mm: number().required(),
  extension_mm: number().required(),
  angle_deg: number().required(),
});

export const wrenchOps = {
  wrench: op(
    Joi.object<WrenchFields, true>({
      target_Nm: number().required(),
      wrench: scale.required(),
      adaptor,
      window: Joi.string()
        .valid(...WRENCH_WINDOWS)
        .required(),
    }),
    (fields) => withNotes(wrenchSetting(fields.target_Nm, fields.wrench, fields.window, fields.adaptor)),
  ),
};
