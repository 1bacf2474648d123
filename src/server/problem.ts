import type Joi from 'joi';
import { isDomainError } from '@/core/units';
import { troubleOf } from '@/db/trouble';
import type { Problem } from '@/model/result';
import { isStaleWrite } from '@/model/stale';

const sentence = (message: string) => {
  const text = message.replace(/"/g, '').trim();
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;
};

/** What Joi found, a sentence a field. */
export function problemOf(error: Joi.ValidationError): Problem {
  const fields = Object.fromEntries(error.details.map((detail) => [detail.path.join('.'), sentence(detail.message)]));
  const first = error.details[0];
  return {
    code: 'bad-field',
    message: sentence(first?.message ?? error.message),
    field: first?.path.join('.'),
    fields,
  };
}

/** Turns what was thrown into the one shape; anything unforeseen is logged and named as such. */
export function problemOfThrown(thrown: unknown): Problem {
  if (isDomainError(thrown)) {
    const { code, message, field } = thrown;
    if (isStaleWrite(thrown)) return { code, message, stale: thrown.stale };
    return field === undefined ? { code, message } : { code, message, field, fields: { [field]: message } };
  }
  const trouble = troubleOf(thrown, 'the shop file');
  if (trouble) return { code: trouble.code, message: `${trouble.message} ${trouble.nextStep}` };
  console.error(thrown);
  return {
    code: 'failed',
    message:
      'Something failed that was not foreseen. Nothing recorded before is lost. Try again; the server’s window says more.',
  };
}
