import Joi from 'joi';

/** The version that a row was read at; 0 where there was none. Every writer names it. */
export const readVersion = Joi.number().integer().min(0).required();
