import { sentNumber } from '@/model/typed-number';

/** The version that a row was read at; 0 where there was none. Every writer names it. */
export const readVersion = sentNumber().integer().min(0).required();
