import Joi from 'joi';

/**
 * One of a closed list, as the list stands in the core or the model. Units, schools and kinds are checked by it
 * everywhere.
 */
export const oneOf = <const List extends readonly string[]>(list: List): Joi.StringSchema<List[number]> =>
  Joi.string<List[number]>().valid(...list);
