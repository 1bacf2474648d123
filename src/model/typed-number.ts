import Joi from 'joi';
import { plainFigure } from '@/core/units';

/**
 * A number as a form sends it: text is read by the one parser of typed figures, so that a decimal comma counts and
 * `1e3`, `0x10` or `1.2.3` do not. Empty text is left for `empty` to judge.
 */
const extended = Joi.extend({
  type: 'typedNumber',
  base: Joi.number(),
  prepare: (text: unknown, helpers: Joi.CustomHelpers) => {
    if (typeof text !== 'string' || text.trim() === '') return undefined;
    const figure = plainFigure(text);
    return figure === undefined ? { value: text, errors: helpers.error('number.base') } : { value: figure };
  },
}) as { readonly typedNumber: () => Joi.NumberSchema };

export const typedNumber = (): Joi.NumberSchema => extended.typedNumber();

/** A number that came as one: no other door may send text for it and have it read by other rules than a form's. */
export const sentNumber = (): Joi.NumberSchema => Joi.number().strict();
