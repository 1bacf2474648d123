import type Joi from 'joi';
import { isDomainError } from '@/core/units';
import type { Answer, ReckonerError } from './answer';
import { OPS } from './ops';

const refuse = (id: unknown, error: ReckonerError): Answer => ({ id, ok: false, error });

const pathOf = (path: readonly (string | number)[]) =>
  path.reduce<string>(
    (text, part) => (typeof part === 'number' ? `${text}[${part}]` : text ? `${text}.${part}` : part),
    '',
  );

function fieldError({ type, path, message }: Joi.ValidationErrorItem): ReckonerError {
  const field = pathOf(path);
  if (type === 'any.required') return { code: 'missing-field', message: `The field ${field} is missing.`, field };
  return { code: 'bad-field', message: `${message.replace(/"/g, '')}.`, field };
}

/** No answer holds NaN, Infinity or null for a number: JSON would turn the first two into the third. */
const isSound = (value: unknown): boolean => {
  if (typeof value === 'number') return Number.isFinite(value);
  if (typeof value !== 'object') return true;
  return value !== null && Object.values(value).every(isSound);
};

/** A fault of the program's own: said aloud on standard error, answered like any refusal, and the run goes on. */
function unforeseen(id: unknown, thrown: unknown): Answer {
  console.error(thrown);
  return refuse(id, { code: 'failed', message: 'The reckoner failed in a way that was not foreseen.' });
}

function run(id: unknown, name: string, request: object): Answer {
  const op = OPS.get(name);
  if (!op)
    return refuse(id, {
      code: 'unknown-op',
      message: `There is no op “${name}”. Known: ${[...OPS.keys()].join(', ')}.`,
      field: 'op',
    });
  const checked = op.schema.validate(request, { convert: false, allowUnknown: true });
  const fault = checked.error?.details[0];
  if (fault) return refuse(id, fieldError(fault));
  try {
    const { result, notes = [] } = op.run(checked.value as never);
    if (!isSound(result))
      return refuse(id, { code: 'bad-field', message: 'The figures are too large or too small to reckon with.' });
    return { id, ok: true, result, notes };
  } catch (thrown) {
    if (!isDomainError(thrown)) return unforeseen(id, thrown);
    const { code, message, field } = thrown;
    return refuse(id, field === undefined ? { code, message } : { code, message, field });
  }
}

/** An id goes back as it came; one that is nested without end would end the run instead. */
const MAX_ID_DEPTH = 8;

const isDeeper = (value: unknown, depth: number): boolean =>
  typeof value === 'object' &&
  value !== null &&
  (depth === 0 || Object.values(value).some((inner) => isDeeper(inner, depth - 1)));

/** Answers one request of any shape. Never throws for what a caller may send. */
export function reckon(request: unknown): Answer {
  if (typeof request !== 'object' || request === null || Array.isArray(request))
    return refuse(null, { code: 'bad-json', message: 'A request is one JSON object: {"id": …, "op": "…", …}.' });
  const { id = null, op } = request as { readonly id?: unknown; readonly op?: unknown };
  if (isDeeper(id, MAX_ID_DEPTH))
    return refuse(null, {
      code: 'bad-field',
      message: 'The field id is nested too deep to be sent back.',
      field: 'id',
    });
  if (op === undefined) return refuse(id, { code: 'missing-field', message: 'The field op is missing.', field: 'op' });
  if (typeof op !== 'string')
    return refuse(id, { code: 'bad-field', message: 'The field op must be the name of an op.', field: 'op' });
  return run(id, op, request);
}

/** Answers one line of the line tool. */
export function reckonLine(line: string): string {
  let request: unknown;
  try {
    request = JSON.parse(line);
  } catch {
    return JSON.stringify(
      refuse(null, { code: 'bad-json', message: 'The line is not JSON. Send one JSON object a line.' }),
    );
  }
  return JSON.stringify(reckon(request));
}
