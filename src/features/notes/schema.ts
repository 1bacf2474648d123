import Joi from 'joi';
import { MAX_FASTENERS } from '@/core/tightening';
import { MAX_NOTE_CHARACTERS, type Note } from '@/model/note';
import { typedNumber } from '@/model/typed-number';
import { readVersion } from '@/model/versioned';

const idOrNone = () => Joi.string().max(60).empty('').allow(null).default(null);

type NoteFields = Pick<
  Note,
  'engineId' | 'jointId' | 'fitId' | 'stepId' | 'partId' | 'fastener' | 'words' | 'version'
> & {
  /** Set where a known note is changed. */
  readonly id: string | null;
};

export const noteSchema = Joi.object<NoteFields, true>({
  id: idOrNone(),
  version: readVersion.default(0).optional(),
  engineId: Joi.string().max(60).required(),
  jointId: idOrNone(),
  fitId: idOrNone(),
  stepId: idOrNone(),
  partId: idOrNone(),
  fastener: typedNumber().integer().min(1).max(MAX_FASTENERS).empty('').allow(null).default(null).label('the fastener'),
  words: Joi.string().trim().max(MAX_NOTE_CHARACTERS).required().label('the note').messages({
    'string.empty': 'Write what is to be remembered.',
  }),
});
