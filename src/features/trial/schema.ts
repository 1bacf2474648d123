import { typedNumber } from '@/model/typed-number';
import Joi from 'joi';
import { measure } from '@/server/measure-schema';

export interface TrialFields {
  readonly name: string;
  readonly thread: string;
  readonly outer: string;
  readonly inner: string;
  readonly shank: string;
  readonly shankDiameter: string;
  readonly freeThread: string;
  readonly E_GPa: number;
}

export const trialSchema = Joi.object<TrialFields, true>({
  name: Joi.string().trim().max(80).required().messages({ 'string.empty': 'Give the trial a name.' }),
  thread: measure('the thread'),
  outer: measure('the outside of the face'),
  inner: measure('the hole of the face'),
  shank: measure('the length of the shank'),
  shankDiameter: measure('the diameter of the shank'),
  freeThread: measure('the free thread'),
  E_GPa: typedNumber().greater(50).less(300).required().label('the modulus'),
});

export const renameTrialSchema = Joi.object<{ trialId: string; name: string }, true>({
  trialId: Joi.string().max(60).required(),
  name: Joi.string().trim().max(80).required().messages({ 'string.empty': 'Give the trial a name.' }),
});

export interface TrialPullFields {
  readonly trialId: string;
  readonly bolt: string;
  readonly film: string;
  readonly torque: string;
  readonly stretch: string;
}

export const trialPullSchema = Joi.object<TrialPullFields, true>({
  trialId: Joi.string().required(),
  bolt: Joi.string().trim().max(20).required().messages({ 'string.empty': 'Say which bolt.' }),
  film: Joi.string().max(60).required(),
  torque: measure('the torque'),
  stretch: measure('the stretch'),
});

export const strikePullSchema = Joi.object<{ trialId: string; pullId: string }, true>({
  trialId: Joi.string().required(),
  pullId: Joi.string().required(),
});

export const shelveFilmSchema = Joi.object<{ trialId: string; film: string }, true>({
  trialId: Joi.string().required(),
  film: Joi.string().max(60).required(),
});

export const trialIdSchema = Joi.object<{ trialId: string }, true>({ trialId: Joi.string().required() });
