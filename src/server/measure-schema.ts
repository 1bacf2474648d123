import Joi from 'joi';

const MAX_CHARACTERS = 60;

/** A measure as typed, with or without its unit; what it comes to is read behind it. */
export const measure = (label: string): Joi.StringSchema =>
  Joi.string()
    .trim()
    .max(MAX_CHARACTERS)
    .required()
    .label(label)
    .messages({ 'string.empty': `Give ${label}.` });
