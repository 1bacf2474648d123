import { oneOf } from '@/model/one-of';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { GAP_MARKS, IMBALANCE_UNITS } from '@/core/fits';
import { WEIGHED_KINDS, isSameMark, type MeasureKind } from './engine-measure';

const positive = (label: string) =>
  sentNumber()
    .greater(0)
    .less(100_000)
    .required()
    .label(label)
    .messages({ 'any.required': `Give ${label}.` });
const notNegative = (label: string) =>
  sentNumber()
    .min(0)
    .less(1_000_000)
    .required()
    .label(label)
    .messages({ 'any.required': `Give ${label}.` });
const name = Joi.string().trim().max(80).allow('').required();

const degrees = sentNumber().min(-360).max(720);

const shell = Joi.string().trim().max(30).allow('').required();

/** What a sheet of each kind holds. Shells and marks that do not match are refused with a sentence. */
export const MEASURE_SCHEMAS: Readonly<Record<MeasureKind, Joi.ObjectSchema>> = {
  volumes: Joi.object({
    bore_mm: positive('the bore'),
    stroke_mm: positive('the stroke'),
    cylinders: sentNumber().integer().min(1).max(48).required().label('the cylinders'),
    overbore_mm: notNegative('the overbore'),
    chamber_cc: sentNumber().min(0).less(10_000),
    gasketBore_mm: sentNumber().greater(0).less(1000),
    gasket_mm: sentNumber().min(0).less(20),
    deck_mm: sentNumber().min(-20).max(50),
    crown_cc: sentNumber().min(-1000).max(1000),
  }),
  weights: Joi.object({
    what: oneOf(WEIGHED_KINDS).required(),
    name,
    rods: Joi.array()
      .items(Joi.object({ big_g: positive('the big end'), small_g: positive('the small end') }))
      .max(48)
      .required(),
    pieces_g: Joi.array().items(sentNumber().greater(0).less(100_000).label('a piece')).max(48).required(),
    tolerance_g: notNegative('the tolerance'),
  }),
  balance: Joi.object({
    report: name,
    unit: Joi.string()
      .valid(...IMBALANCE_UNITS)
      .required(),
    planes: Joi.array()
      .items(
        Joi.object({
          name,
          before_gmm: notNegative('the imbalance before'),
          after_gmm: notNegative('the imbalance after'),
          allowed_gmm: sentNumber().greater(0),
        }),
      )
      .min(1)
      .max(12)
      .required(),
  }),
  clocking: Joi.object({
    marks: Joi.array()
      .items(Joi.object({ name, at_deg: degrees.required(), kind: oneOf(GAP_MARKS).required() }))
      .min(1)
      .max(12)
      .required(),
    pin_deg: degrees,
    thrust_deg: degrees,
    note: Joi.string().trim().max(300).allow('').required(),
  }),
  bearings: Joi.object({
    name: Joi.string().trim().max(80).default('Main bearings'),
    journal_mm: positive('the journal'),
    journalStandard_mm: positive('the standard journal'),
    housing_mm: positive('the housing'),
    housingStandard_mm: positive('the standard housing'),
    steps_mm: Joi.array().items(sentNumber().min(0).less(100).label('a step')).max(20).required(),
    tolerance_mm: notNegative('the tolerance'),
    shells: Joi.array()
      .items(Joi.object({ upper: shell, lower: shell }))
      .max(24)
      .required()
      .custom((shells: readonly { upper: string; lower: string }[], helpers) => {
        const at = shells.findIndex(({ upper, lower }) => !isSameMark(upper, lower));
        return at < 0
          ? shells
          : helpers.message({
              custom: `Bearing ${at + 1} has shells that do not match: “${shells[at]?.upper}” above, “${shells[at]?.lower}” below. They go back to the box.`,
            });
      }),
  }),
  marks: Joi.object({
    pairs: Joi.array()
      .items(Joi.object({ place: name, one: shell, other: shell }))
      .max(60)
      .required()
      .custom((pairs: readonly { place: string; one: string; other: string }[], helpers) => {
        const wrong = pairs.find(({ one, other }) => !isSameMark(one, other));
        return wrong
          ? helpers.message({
              custom: `${wrong.place || 'A pair'} does not belong together: “${wrong.one}” and “${wrong.other}”.`,
            })
          : pairs;
      }),
  }),
};
