import Joi from 'joi';
import { DISTANCE_UNITS, METER_UNITS, STOOD } from '@/core/heat';
import { oneOf } from '@/model/one-of';
import { sentNumber } from '@/model/typed-number';
import { SIGNS } from './heat-log';

export const MOST_POINTS = 400;
export const MOST_SEEN = 12;
export const MAX_METER = 10_000_000;

const meter = () => sentNumber().min(0).max(MAX_METER);

/** What a run may say beyond its hours and its temperatures. */
export const CYCLE_EXTRAS = {
  stood: oneOf(STOOD),
  went: Joi.object({ value: sentNumber().min(0).max(100_000).required(), unit: oneOf(DISTANCE_UNITS).required() }),
  seen: Joi.array()
    .items(Joi.object({ sign: oneOf(SIGNS).required(), words: Joi.string().trim().max(400).allow('').required() }))
    .max(MOST_SEEN),
  series: Joi.array()
    .items(
      Joi.array()
        .ordered(sentNumber().min(0).max(100_000).required(), sentNumber().min(-60).max(1500).required())
        .length(2),
    )
    .min(2)
    .max(MOST_POINTS),
};

/** What a reading of odometer or hours says. */
export const METER_FIELDS = {
  reads: meter().required(),
  unit: oneOf(METER_UNITS).required(),
  jump: Joi.object({ from: meter().required(), to: meter().required() }),
};
