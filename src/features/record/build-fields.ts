import { INITIALS } from '@/model/initials';
import { TORQUE_UNITS } from '@/core/units';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';

// The forms of single fields in a build file.

/** Rows are found by their ids in addresses, where these words stand for screens. */
const ROUTES = ['new', 'import', 'read-in', 'about', 'bearings', 'rings', 'volumes', 'weights', 'labels'];
const ID = Joi.string()
  .pattern(/^[\w-]+$/)
  .max(60)
  .invalid(...ROUTES);
export const id = ID.required();
export const idOrNone = ID.allow(null).required();
export const text = Joi.string().allow('').max(400).required();
/** A day and an hour, and a zone: what is less is another time on another machine. */
export const hour = () =>
  Joi.string()
    .pattern(/^(?:19|20)\d\d-\d\d-\d\dT\d\d:\d\d(?::\d\d(?:\.\d+)?)?(?:Z|[+-]\d\d:?\d\d)$/)
    .isoDate()
    .messages({ 'string.pattern.base': '{{#label}} must be a time with its day, hour and zone' });
export const time = hour().required();
export const number = sentNumber().required();
export const positive = (most: number) => sentNumber().greater(0).max(most).required();
export const celsius = sentNumber().min(-60).max(1200).required();
export const numberOrNone = sentNumber().allow(null).required();
/** Initials of whoever wrote a line, where it has them. */
export const who = Joi.string().pattern(INITIALS);
export const year = sentNumber().integer().min(1880).max(2100).allow(null);
export const unit = Joi.string()
  .valid(...TORQUE_UNITS)
  .required();
/** No list of a build is longer in any shop; one that is is no build. */
export const MAX_ROWS = 50_000;
export const list = (item: Joi.Schema, most = MAX_ROWS) => Joi.array().items(item).max(most).required();
export const name = Joi.string().trim().min(1).max(120).required();
