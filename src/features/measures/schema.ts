import Joi from 'joi';
import { MEASURE_SCHEMAS } from '@/model/engine/engine-measure-schemas';
import type { MeasureKind } from '@/model/engine/engine-measure';

/** A measure on its way in: first which kind, then what that kind holds. */
export const keptMeasureSchema = Joi.object<{
  engineId: string;
  kind: MeasureKind;
  body: unknown;
  /** The one that held when the sheet was opened; null where there was none. */
  basedOn: string | null;
}>({
  engineId: Joi.string().required(),
  kind: Joi.string()
    .valid(...Object.keys(MEASURE_SCHEMAS))
    .required(),
  body: Joi.object().unknown().required(),
  basedOn: Joi.string().allow(null).default(null),
});
