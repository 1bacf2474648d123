import Joi from 'joi';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import type { MeasureKind } from '@/model/engine/engine-measure';

/** A sheet on its way in: first which kind, then what that kind holds. */
export const keptSheetSchema = Joi.object<{ engineId: string; kind: MeasureKind; body: unknown }>({
  engineId: Joi.string().required(),
  kind: Joi.string()
    .valid(...Object.keys(MEASURE_SCHEMAS))
    .required(),
  body: Joi.object().unknown().required(),
});
