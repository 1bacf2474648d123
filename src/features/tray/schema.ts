import Joi from 'joi';
import { oneOf } from '@/model/one-of';
import { partDetailSchema } from '@/model/order/order-schemas';
import { CONDITIONS_OF_PART, MAX_COUNT, ORIGINS, type Part } from '@/model/order/part';
import { typedNumber } from '@/model/typed-number';
import { readVersion } from '@/model/versioned';

const id = () => Joi.string().max(60);
const idOrNone = () => id().empty('').allow(null).default(null);

export type PartFields = Omit<Part, 'id' | 'version' | 'createdAt'> & {
  readonly id: string | null;
  readonly version: number;
};

const counted = (label: string) => typedNumber().integer().min(0).max(MAX_COUNT).required().label(label);

export const partSchema = Joi.object<PartFields, true>({
  id: idOrNone(),
  version: readVersion.default(0).optional(),
  engineId: id().required(),
  stepId: idOrNone(),
  name: Joi.string().trim().max(120).required().label('the name').messages({ 'string.empty': 'Name the part.' }),
  need: counted('how many are needed'),
  here: counted('how many are here'),
  mark: Joi.string().trim().max(60).allow('').default('').label('the mark'),
  serial: Joi.string().trim().max(60).allow('').default('').label('its own number'),
  bag: Joi.string().trim().max(60).allow('').default('').label('the bag'),
  origin: oneOf(ORIGINS).required().label('where it is from'),
  condition: oneOf(CONDITIONS_OF_PART).required().label('its condition'),
  detail: partDetailSchema.required(),
});

export const ofEngineSchema = Joi.object<{ engineId: string }, true>({ engineId: id().required() });

const MAX_TABLE_CHARACTERS = 200_000;

export const partsTableSchema = Joi.object<{ engineId: string; text: string }, true>({
  engineId: id().required(),
  text: Joi.string().max(MAX_TABLE_CHARACTERS).required().messages({
    'string.empty': 'Paste the table, or choose its file.',
  }),
});
