import { typedNumber } from '@/model/typed-number';
import { lineAge } from '@/model/line-age';
import Joi from 'joi';
import { readingKeys } from '@/model/joint/pull-reading-keys';
import { PULL_OUTCOMES, type BenchEvent } from '@/core/tightening';

const shared = {
  id: Joi.string().min(8).max(40).required(),
  age_ms: lineAge,
  // Which screen it comes from: only the one that has the wrench records.
  bench: Joi.string().min(8).max(40),
};
const step = typedNumber().integer().min(0).max(10_000).required();

/** What is said of a line: why, how, what was read. */
const words = Joi.string().trim().min(1).max(400);

const outcome = Joi.string()
  .valid(...PULL_OUTCOMES)
  .required();

/** What was read at it: nothing an instrument or a lever of this trade could not say. */
const reading = readingKeys(typedNumber);

const KINDS: Readonly<Record<BenchEvent['kind'], Joi.ObjectSchema>> = {
  // A pull may say more of itself: how far it was turned on to a slot.
  pull: Joi.object({
    ...shared,
    kind: Joi.string(),
    step,
    outcome,
    words,
    ...reading,
  }),
  again: Joi.object({ ...shared, kind: Joi.string(), step, outcome, ...reading }),
  left: Joi.object({ ...shared, kind: Joi.string(), step, words: words.required() }),
  skip: Joi.object({ ...shared, kind: Joi.string(), step, words: words.required() }),
  shaft: Joi.object({ ...shared, kind: Joi.string(), step, words }),
  bind: Joi.object({ ...shared, kind: Joi.string(), step, words: words.required() }),
  strike: Joi.object({ ...shared, kind: Joi.string(), strikes: Joi.string().required() }),
};

const kindSchema = Joi.object<{ kind: BenchEvent['kind'] }, true>({
  kind: Joi.string()
    .valid(...Object.keys(KINDS))
    .required(),
}).unknown();

/** A line on its way in: when it was made is told by its age alone. */
export type SentEvent = (BenchEvent extends infer Event
  ? Event extends BenchEvent
    ? Omit<Event, 'at'>
    : never
  : never) & {
  readonly age_ms: number;
  readonly bench?: string;
};

/** Checks one line from the bench: first its kind, then what that kind carries. */
export function validateEvent(input: unknown): Joi.ValidationResult<SentEvent> {
  const kind = kindSchema.validate(input);
  if (kind.error) return kind;
  return KINDS[kind.value.kind].validate(input, { abortEarly: false, stripUnknown: true });
}
