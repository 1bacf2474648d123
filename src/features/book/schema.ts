import { typedNumber } from '@/model/typed-number';
import { readVersion } from '@/model/versioned';
import { oneOf } from '@/model/one-of';
import Joi from 'joi';
import { LEAF_CONTENTS, type LeafContent } from '@/model/book/leaf-of-text';
import { type Source, PRINT_LANGUAGES, SOURCE_KINDS } from '@/model/book/source';
import type { Checked } from '@/core/units';

export interface SourceFields extends Omit<Source, 'id' | 'createdAt' | 'aside'> {
  readonly engineId: string;
  /** Set where a known source is changed. */
  readonly id: string | null;
}

export interface LeafFields {
  readonly engineId: string;
  readonly sourceId: string;
  readonly page: string;
  readonly subject: string;
  readonly kind: LeafContent;
  readonly printedText: string;
  readonly conditionText: string;
  readonly readingIndex: number;
  readonly agreedNotes: readonly string[];
  readonly replacesId: string | null;
}

export const MAX_TABLE_CHARACTERS = 5_000_000;

const line = (label: string, most = 200) => Joi.string().trim().max(most).label(label);

const year = (label: string) =>
  typedNumber().integer().min(1880).max(2030).empty('').allow(null).default(null).label(label);

export const sourceSchema = Joi.object<SourceFields, true>({
  engineId: Joi.string().required(),
  /** Empty: it goes by what it is. */
  title: line('the title').required().allow(''),
  edition: line('the edition').allow('').default(''),
  year: year('the year'),
  id: Joi.string().empty('').allow(null).default(null),
  version: readVersion.default(0).optional(),
  kind: Joi.string()
    .valid(...SOURCE_KINDS)
    .default('manual'),
  rank: typedNumber().integer().min(1).max(20).empty('').allow(null).default(null).label('the rank'),
  fromYear: year('the first year'),
  toYear: year('the last year'),
  fromNumber: line('the first engine number', 60).allow('').default(''),
  toNumber: line('the last engine number', 60).allow('').default(''),
  supersedesId: Joi.string().empty('').allow(null).default(null),
  language: Joi.string()
    .valid('', ...PRINT_LANGUAGES)
    .default(''),
});

export const leafSchema = Joi.object<Checked<LeafFields>, true>({
  engineId: Joi.string().required(),
  sourceId: Joi.string().required().messages({ 'string.empty': 'Choose the source that this page is in.' }),
  page: line('the page', 40).required().messages({ 'string.empty': 'Give the page, so that it can be found again.' }),
  subject: line('the subject').required().messages({ 'string.empty': 'Say what the figure is for.' }),
  kind: oneOf(LEAF_CONTENTS).default('torque'),
  // Never trimmed: the text stays as it stands on the page.
  printedText: Joi.string()
    .max(400)
    .required()
    .label('the printed text')
    .messages({ 'string.empty': 'Type the figure as it is printed.' }),
  conditionText: line('the condition of the threads').allow('').default(''),
  readingIndex: typedNumber().integer().min(-1).max(20).required(),
  agreedNotes: Joi.array().items(Joi.string().max(60)).max(20).default([]),
  replacesId: Joi.string().allow(null).default(null),
});
