import type Joi from 'joi';
import { isDomainError } from '@/core/units';
import { troubleOf } from '@/db/trouble';
import type { Problem } from '@/model/result';
import { isStaleWrite } from '@/model/stale';

const sentence = (message: string) => {
  const text = message.replace(/"/g, '').trim();
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;
};

type Limit = number | string;

/** What is wrong, in words of the shop; the sentence stands at its field, so that it need not name it. */
const FAULTS: Readonly<Record<string, (limit: Limit) => string>> = {
  'any.required': () => 'is missing',
  'any.only': () => 'is not one of those offered',
  'string.empty': () => 'is empty',
  'string.base': () => 'is no text',
  'string.max': (limit) => `has more than ${limit} characters`,
  'string.min': (limit) => `has fewer than ${limit} characters`,
  'number.base': () => 'must be a number',
  'number.max': (limit) => `must be at most ${limit}`,
  'number.min': (limit) => `must be at least ${limit}`,
  'number.less': (limit) => `must be below ${limit}`,
  'number.greater': (limit) => `must be above ${limit}`,
  'number.positive': () => 'must be above 0',
  'number.integer': () => 'must be a whole number',
  'array.max': (limit) => `are more than ${limit}`,
  'array.min': (limit) => `are fewer than ${limit}`,
};

/** Names that the program has for its fields are no words for a person; names that were given to be read are. */
function faultOf({ type, path, context, message }: Joi.ValidationErrorItem): string {
  const label = String(context?.label ?? '');
  // What a schema says in its own words stands as it is.
  if (!message.startsWith(`"${label}"`)) return sentence(message);
  const isName = label === '' || label === 'value' || label.replace(/\[(\d+)\]/g, '.$1') === path.join('.');
  const limit: unknown = context?.limit;
  // A limit that is another field's value is told in Joi's own words.
  const fault = typeof limit === 'object' ? undefined : FAULTS[type]?.(limit as Limit);
  const said = fault ?? message.slice(label.length + 3);
  return sentence(`${isName ? (type.startsWith('array') ? 'These' : 'This') : label} ${said}`);
}

/** What Joi found, a sentence a field. */
export function problemOf(error: Joi.ValidationError): Problem {
  const fields = Object.fromEntries(error.details.map((detail) => [detail.path.join('.'), faultOf(detail)]));
  const first = error.details[0];
  return {
    code: 'bad-field',
    message: first ? faultOf(first) : sentence(error.message),
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
