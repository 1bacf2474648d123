import { oneOf } from '@/model/one-of';
import { sentNumber } from '@/model/typed-number';
import Joi from 'joi';
import { ANSWERS, CHANGES, CONDITIONS, PARTS, REMEDIES } from '@/core/fits';
import { READING_UNITS_MM } from '@/core/units';
import { lineAge } from '@/model/line-age';
import type { FitLine, FitLineKind, Untimed } from './fit';

const place = sentNumber().integer().min(0).max(199).required();

const everyPlace = sentNumber().integer().min(0).max(199).allow(null).required();

const shared = { id: Joi.string().min(8).max(60).required(), kind: Joi.string() };

const words = (most = 300) => Joi.string().trim().max(most).allow('').default('');

const degrees = sentNumber().min(-40).max(150);

const answers = Joi.object(Object.fromEntries(Object.keys(CONDITIONS).map((id) => [id, oneOf(ANSWERS)]))).default({});

const readingBody = Joi.object({
  unit: Joi.string()
    .valid(...Object.keys(READING_UNITS_MM))
    .required(),
  standard_mm: sentNumber().greater(0).less(10_000),
  instrument: Joi.string().trim().max(80).allow('').required(),
  resolution_mm: sentNumber().greater(0).max(1),
  part_C: degrees,
  gauge_C: degrees,
  by: Joi.string().trim().max(60),
  reportedBy: Joi.string().trim().max(80),
  answers,
  bolts: Joi.string().max(120),
  piece: Joi.string().trim().max(20),
  sure: Joi.boolean(),
});

const reason = (message: string) =>
  Joi.string().trim().min(3).max(400).required().messages({ 'string.empty': message, 'string.min': message });

/** What each kind of line carries, beside when it was made. */
export const LINE_SCHEMAS: Readonly<Record<FitLineKind, Joi.ObjectSchema>> = {
  reading: Joi.object({
    ...shared,
    place,
    part: Joi.string()
      .valid(...PARTS)
      .required(),
    station: sentNumber().integer().min(0).max(99).required(),
    angle: sentNumber().integer().min(0).max(35).required(),
    value_mm: sentNumber().required(),
    typed: Joi.string().trim().min(1).max(60).required(),
    body: readingBody.required(),
  }),
  felt: Joi.object({
    ...shared,
    place,
    body: Joi.object({ words: reason('Say what was felt.'), by: Joi.string().max(60) }).required(),
  }),
  affirm: Joi.object({ ...shared, place: everyPlace, body: Joi.object({ answers }).required() }),
  change: Joi.object({
    ...shared,
    place: everyPlace,
    body: Joi.object({
      change: Joi.string()
        .valid(...Object.keys(CHANGES))
        .required(),
      words: words(),
    }).required(),
  }),
  accept: Joi.object({
    ...shared,
    place,
    body: Joi.object({ reason: reason('Write down why it is accepted.') }).required(),
  }),
  remedy: Joi.object({
    ...shared,
    place,
    body: Joi.object({
      remedy: Joi.string()
        .valid(...Object.keys(REMEDIES))
        .required(),
      words: words(),
    }).required(),
  }),
  order: Joi.object({ ...shared, place, body: Joi.object({ words: reason('Say what is on order.') }).required() }),
  'strip-in': Joi.object({ ...shared, place, body: Joi.object({ width: Joi.string().max(40) }).required() }),
  'strip-out': Joi.object({ ...shared, place, body: Joi.object().required() }),
  strike: Joi.object({ ...shared, place: everyPlace, strikes: Joi.string().required(), body: Joi.object().required() }),
};

const kindSchema = Joi.object<{ kind: FitLineKind }, true>({
  kind: Joi.string()
    .valid(...Object.keys(LINE_SCHEMAS))
    .required(),
}).unknown();

/** A line on its way in: when it was made is told by its age alone. */
export type SentLine = Untimed<FitLine> & { readonly age_ms: number };

/** Checks one line of a fit: first its kind, then what that kind carries. */
export function validateLine(input: unknown): Joi.ValidationResult<SentLine> {
  const kind = kindSchema.validate(input);
  if (kind.error) return kind;
  return LINE_SCHEMAS[kind.value.kind]
    .keys({ age_ms: lineAge })
    .validate(input, { abortEarly: false, stripUnknown: true });
}
