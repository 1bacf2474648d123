import Joi from 'joi';
import { readThread, type Thread } from '@/core/thread';
import { atField, type Note } from '@/core/units';

/** One op of the reckoner: what it takes, and the core function that answers. */
export interface Op {
  readonly schema: Joi.ObjectSchema;
  readonly run: (fields: never) => { readonly result: object; readonly notes?: readonly Note[] };
}

/** Ties a schema to the function that trusts it. */
export const op = <Fields>(
  schema: Joi.ObjectSchema<Fields>,
  run: (fields: Fields) => { readonly result: object; readonly notes?: readonly Note[] },
): Op => ({ schema, run });

/** Splits the notes off a core result: the answer carries them beside it. */
export const withNotes = <T extends { readonly notes: readonly Note[] }>({ notes, ...result }: T) => ({
  result,
  notes,
});

export const text = () => Joi.string().allow('').required();
export const number = () => Joi.number().unsafe();

export const bearing = () =>
  Joi.object({ outer_mm: number().required(), inner_mm: number().required(), cone_deg: number() }).required();

/** The fields that describe a fastener as it is turned. */
export const turnedFields = {
  thread: Joi.string().required(),
  muThread: number().required(),
  muHead: number().required(),
  bearing: bearing(),
  prevailing_Nm: number(),
};

/** Looks up a thread named in the field `at`, so that an error names that field. */
export const threadIn = (
  designation: string,
  at = 'thread',
): { readonly thread: Thread; readonly notes: readonly Note[] } => atField(at, () => readThread(designation));
