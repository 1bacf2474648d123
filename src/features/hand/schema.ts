import Joi from 'joi';
import { measure } from '@/server/measure-schema';

export interface HandPullFields {
  readonly hand: string;
  readonly thread: string;
  readonly meant: string;
  readonly read: string;
}

export const handPullSchema = Joi.object<HandPullFields, true>({
  hand: Joi.string().trim().max(12).required().messages({ 'string.empty': 'Say whose hand it is.' }),
  thread: measure('the thread'),
  meant: measure('what was meant'),
  read: measure('what was read'),
});

export const handStrikeSchema = Joi.object<{ pullId: string }, true>({ pullId: Joi.string().max(60).required() });
