import Joi from 'joi';

/** The longest name of a zone has 30 letters. */
const LONGEST = 64;

export const hoursSchema = Joi.object<{ zone: string }, true>({
  zone: Joi.string().trim().max(LONGEST).required(),
});
