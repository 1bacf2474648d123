import type Joi from 'joi';
import { isDomainError } from '@/core/units';
import { troubleOf } from '@/db/trouble';
import { fail, ok, type Problem, type Result } from '@/model/result';

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

/** Validates, then works; whatever goes wrong comes back in the one shape. */
export async function runAction<Fields, T>(
  schema: Joi.ObjectSchema<Fields>,
  input: unknown,
  work: (fields: Fields) => Promise<T> | T,
): Promise<Result<T>> {
  const checked = schema.validate(input, { abortEarly: false, stripUnknown: true });
  if (checked.error) return fail(problemOf(checked.error));
  try {
    return ok(await work(checked.value));
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}
