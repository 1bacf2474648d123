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
  'object.base': () => 'is not what belongs here',
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

/** What a limit comes to that is another field's: as it was sent, beside the one at fault. */
function limitOf({ path, context }: Joi.ValidationErrorItem, sent: unknown): Limit | undefined {
  const limit: unknown = context?.limit;
  if (typeof limit !== 'object' || limit === null || !('path' in limit)) return limit as Limit | undefined;
  const at = [...path.slice(0, -1), ...(limit.path as readonly string[])];
  const value = at.reduce<unknown>((of, name) => (of as Record<string, unknown> | undefined)?.[name], sent);
  return typeof value === 'number' || typeof value === 'string' ? value : undefined;
}

/** Names that the program has for its fields are no words for a person; names that were given to be read are. */
function faultOf(item: Joi.ValidationErrorItem, sent: unknown): string {
  const { type, path, context, message } = item;
  const label = String(context?.label ?? '');
  // What a schema says in its own words stands as it is.
  if (!message.startsWith(`"${label}"`)) return sentence(message);
  const isName = label === '' || label === 'value' || label.replace(/\[(\d+)\]/g, '.$1') === path.join('.');
  const limit = limitOf(item, sent);
  const isLost = type.endsWith('.ref') || (context?.limit !== undefined && limit === undefined);
  const said = isLost ? 'does not go with what stands beside it' : FAULTS[type]?.(limit as Limit);
  return sentence(
    `${isName ? (type.startsWith('array') ? 'These' : 'This') : label} ${said ?? message.slice(label.length + 3)}`,
  );
}

/** What was sent, as its schema reads it; Joi takes nothing at all for an object that may be left out. */
export const checkedBy = <Fields>(
  schema: Joi.ObjectSchema<Fields>,
  sent: unknown,
  options?: Joi.ValidationOptions,
): Joi.ValidationResult<Fields> => schema.validate(sent ?? null, options);

/** What Joi found, a sentence a field; of one that is held against another, nothing while that one is none itself. */
export function problemOf(error: Joi.ValidationError): Problem {
  const { details } = error;
  const sent: unknown = error._original;
  const own = details.filter(({ type }) => !type.endsWith('.ref'));
  const told = own.length > 0 ? own : details;
  const fields = Object.fromEntries(told.map((detail) => [detail.path.join('.'), faultOf(detail, sent)]));
  const first = told[0];
  return {
    code: 'bad-field',
    message: first ? faultOf(first, sent) : sentence(error.message),
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
