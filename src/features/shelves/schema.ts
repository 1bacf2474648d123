import { typedNumber } from '@/model/typed-number';
import { plainFigure, TORQUE_UNITS, type TorqueUnit } from '@/core/units';
import { readVersion } from '@/model/versioned';
import Joi from 'joi';
import type { CalibrationPoint } from '@/core/wrench';

export interface WrenchFields {
  /** Empty for a new one. */
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly unit: TorqueUnit;
  readonly min: number;
  readonly max: number;
  readonly graduation: number;
  readonly accuracy_pct: number;
  /** `20 19.5, 60 61`: set and delivered. */
  readonly calibration: string;
  readonly checkedAt: string | null;
}

const mark = (label: string) =>
  typedNumber()
    .positive()
    .max(100_000)
    .required()
    .label(label)
    .messages({ 'number.base': `Give ${label} as a figure.`, 'number.positive': `${label} must be above 0.` });

const EXPECTED = 'Give pairs of set and delivered with commas between, such as 20 19.5, 60 61.';

/** Reads `20 19.5, 60 61`; undefined where that is not what stands there. */
export function pointsOf(text: string): readonly CalibrationPoint[] | undefined {
  const pairs = text
    .split(/[,;]\s+|;|\n/)
    .map((pair) => pair.trim())
    .filter(Boolean);
  const points = pairs.map((pair) =>
    pair
      .split(/\s+|→/)
      .filter(Boolean)
      .map((part) => plainFigure(part) ?? 0),
  );
  if (points.some((point) => point.length !== 2 || point.some((n) => !(n > 0)))) return undefined;
  return points.map(([set = 0, delivered = 0]) => ({ set, true: delivered }));
}

export const wrenchSchema = Joi.object<WrenchFields, true>({
  id: Joi.string().allow('').default(''),
  version: readVersion.default(0).optional(),
  /** Empty: it goes by its scale. */
  name: Joi.string().trim().max(80).allow('').required().label('the name'),
  unit: Joi.string()
    .valid(...TORQUE_UNITS)
    .required(),
  min: typedNumber()
    .min(0)
    .max(100_000)
    .required()
    .label('the lowest mark')
    .messages({ 'number.base': 'Give the lowest mark as a figure.' }),
  max: mark('the highest mark')
    .greater(Joi.ref('min'))
    .messages({ 'number.greater': 'The highest mark must be above the lowest.' }),
  graduation: mark('the graduation').custom((graduation: number, helpers) => {
    const [{ min, max, unit }] = helpers.state.ancestors as [WrenchFields];
    return max > min && graduation > (max - min) / 2
      ? helpers.message({
          custom: `A scale from ${min} to ${max} ${unit} is not marked every ${graduation} ${unit}. Give what lies between one mark and the next.`,
        })
      : graduation;
  }),
  accuracy_pct: typedNumber()
    .min(0)
    .max(50)
    .required()
    .label('the accuracy')
    .messages({ 'number.base': 'Give the accuracy in per cent.' }),
  calibration: Joi.string()
    .trim()
    .max(400)
    .allow('')
    .default('')
    .custom((text: string, helpers) => (pointsOf(text) ? text : helpers.message({ custom: EXPECTED }))),
  checkedAt: Joi.string().isoDate().empty('').allow(null).default(null).label('the date of the check'),
});
