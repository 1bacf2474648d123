import Joi from 'joi';
import { celsiusOf } from '@/core/heat';
import { figureWithThousands, plainFigure } from '@/core/units';

const typed = (type: string, read: (text: string) => number | undefined) =>
  Joi.extend({
    type,
    base: Joi.number(),
    prepare: (text: unknown, helpers: Joi.CustomHelpers) => {
      if (typeof text !== 'string' || text.trim() === '') return undefined;
      const figure = read(text);
      return figure === undefined ? { value: text, errors: helpers.error('number.base') } : { value: figure };
    },
  }) as Readonly<Record<string, () => Joi.NumberSchema>>;

const numbers = typed('typedNumber', plainFigure);
const counts = typed('typedCount', figureWithThousands);
const temperatures = typed('typedCelsius', celsiusOf);

/**
 * A number as a form sends it: text is read by the one parser of typed figures, so that a decimal comma counts and
 * `1e3`, `0x10` or `1.2.3` do not. Empty text is left for `empty` to judge.
 */
export const typedNumber = (): Joi.NumberSchema => (numbers.typedNumber as () => Joi.NumberSchema)();

/** A count as a form sends it, whose thousands may be set off by commas. */
export const typedCount = (): Joi.NumberSchema => (counts.typedCount as () => Joi.NumberSchema)();

/** A temperature as a form sends it, in °C: `85`, `185 F`. */
export const typedCelsius = (): Joi.NumberSchema => (temperatures.typedCelsius as () => Joi.NumberSchema)();

/** A number that came as one: no other door may send text for it and have it read by other rules than a form's. */
export const sentNumber = (): Joi.NumberSchema => Joi.number().strict();
