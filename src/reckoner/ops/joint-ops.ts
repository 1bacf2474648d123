import Joi from 'joi';
import {
  clamp,
  clampBand,
  correct,
  torqueFor,
  type ClampBandInput,
  type TodaysFastener,
  type TurnedFastener,
} from '@/core/joint';
import { monteCarlo } from '@/core/statistics';
import { number, op, threadIn, turnedFields, withNotes, bearing } from '../op';

type Named<T> = Omit<T, 'thread'> & { readonly thread: string };
type NamedFastener = Named<TodaysFastener>;

const thread = Joi.object<{ designation: string }, true>({ designation: Joi.string().allow('').required() });

const correctSide = (extra: Joi.SchemaMap) => Joi.object({ ...turnedFields, yield_MPa: number(), ...extra }).required();

const slippery = Joi.object({ muThread: number().required(), muHead: number().required() });

const friction = () => Joi.object({ low: number().required(), middle: number(), high: number().required() }).required();

interface BandFields extends Omit<Named<ClampBandInput>, 'muThread' | 'muHead'> {
  readonly muThread: { readonly low: number; readonly middle?: number; readonly high: number };
  readonly muHead: BandFields['muThread'];
}

const withMiddle = (range: BandFields['muThread']) => ({
  ...range,
  // Of ends that are refused there is no middle, and it is they that are named.
  middle: range.middle ?? Math.sqrt(Math.max(0, range.low * range.high)),
});

const bandFields = {
  thread: Joi.string().required(),
  torque_Nm: number().required(),
  muThread: friction(),
  muHead: friction(),
  bearing: bearing(),
  prevailing_Nm: number(),
  wrenchAccuracy_pct: number().required(),
  graduation_Nm: number(),
  prevailingSpread_Nm: number(),
  sharedFilm: Joi.boolean(),
};

/** The fields of a band with its thread looked up and its middles filled in. */
const bandOf = (fields: BandFields) => {
  const { thread, notes } = threadIn(fields.thread);
  return {
    input: { ...fields, thread, muThread: withMiddle(fields.muThread), muHead: withMiddle(fields.muHead) },
    notes,
  };
};

export const jointOps = {
  thread: op(thread, ({ designation }) => {
    const found = threadIn(designation, 'designation');
    return { result: found.thread, notes: found.notes };
  }),
  clamp: op(
    Joi.object<Named<TurnedFastener> & { torque_Nm: number }, true>({
      ...turnedFields,
      torque_Nm: number().required(),
    }),
    (fields) => {
      const { thread, notes } = threadIn(fields.thread);
      return { result: clamp({ ...fields, thread }, fields.torque_Nm), notes };
    },
  ),
  'torque-for': op(
    Joi.object<Named<TurnedFastener> & { preload_N: number }, true>({
      ...turnedFields,
      preload_N: number().required(),
    }),
    (fields) => {
      const { thread, notes } = threadIn(fields.thread);
      return { result: torqueFor({ ...fields, thread }, fields.preload_N), notes };
    },
  ),
  correct: op(
    Joi.object<{ printed_Nm: number; from: NamedFastener; to: NamedFastener }, true>({
      printed_Nm: number().required(),
      from: correctSide({}),
      to: correctSide({ slippery }),
    }),
    ({ printed_Nm, from, to }) => {
      const [before, today] = [threadIn(from.thread, 'from.thread'), threadIn(to.thread, 'to.thread')];
      const found = withNotes(correct(printed_Nm, { ...from, thread: before.thread }, { ...to, thread: today.thread }));
      return { ...found, notes: [...found.notes, ...before.notes, ...today.notes] };
    },
  ),
  'clamp-band': op(Joi.object<BandFields, true>(bandFields), (fields) => {
    const { input, notes } = bandOf(fields);
    return { result: clampBand(input), notes };
  }),
  'monte-carlo': op(
    Joi.object<BandFields & { samples: number; seed: number }, true>({
      ...bandFields,
      samples: number().required(),
      seed: number().required(),
    }),
    ({ samples, seed, ...fields }) => {
      const { input, notes } = bandOf(fields);
      return { result: monteCarlo({ ...input, samples, seed }), notes };
    },
  ),
};
