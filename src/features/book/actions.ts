'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { titleOfKind } from '@/model/book/source-precedence';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { engineOf, shopAction } from '@/server/shop-action';
import { leafOfFields } from './leaf-of-fields';
import { assertSourceInBook } from './source-in-book';
import { leafSchema, sourceSchema } from './schema';

const saySource = sayBy({
  title: 'Title',
  edition: 'Edition',
  year: 'Year',
  kind: 'What it is',
  rank: 'Rank',
  fromYear: 'From year',
  toYear: 'To year',
  fromNumber: 'From engine number',
  toNumber: 'To engine number',
  supersedesId: 'Puts out of force',
  language: 'Printed in',
});

/** Adds a source to an engine's book, or changes what is known of one. */
export const addSourceAction = shopAction(sourceSchema, (given, bench) => {
  const { engineId, id: known, ...typed } = given;
  const { shop, nowIso, tell } = bench;
  engineOf(bench, engineId);
  const sources = shop.book.sources(engineId);
  const named = sources.filter(({ id }) => id !== known).map(({ title }) => title);
  const fields = { ...typed, title: typed.title === '' ? titleOfKind(typed.kind, named) : typed.title };
  const others = [known, fields.supersedesId].filter((one) => one !== null);
  if (others.some((one) => !sources.some((source) => source.id === one)))
    throw new DomainError('not-found', 'That source is not in this engine’s book.', 'id');
  if (known !== null && known === fields.supersedesId)
    throw new DomainError('bad-field', 'A source cannot supersede itself.', 'supersedesId');
  const before = sources.find(({ id }) => id === known);
  if (!before) {
    const id = nanoid(10);
    shop.book.addSource(engineId, { ...fields, id, version: 1, createdAt: nowIso });
    tell(`The source “${fields.title}” was added`);
    return { id };
  }
  assertFresh(before.title, before, fields, saySource);
  assertWritten(before.title, shop.book.alterSource({ ...before, ...fields }), before);
  tell(changedWords(before.title, before, fields, saySource));
  return { id: before.id };
});

/** Adds a leaf; where it corrects another, the other stays beneath it. */
export const addLeafAction = shopAction(leafSchema, (fields, { shop, nowIso, tell }) => {
  assertSourceInBook(shop, fields.engineId, fields.sourceId);
  const leaves = fields.replacesId === null ? [] : shop.book.leaves(fields.engineId);
  if (fields.replacesId !== null && !leaves.some(({ id }) => id === fields.replacesId))
    throw new DomainError('not-found', 'The entry to correct is not in this engine’s book.', 'replacesId');
  if (leaves.some(({ replacesId }) => replacesId === fields.replacesId))
    throw new DomainError(
      'corrected-already',
      'That entry was corrected already; correct the newer one.',
      'replacesId',
    );
  const id = nanoid(10);
  shop.book.addLeaf(leafOfFields(fields, id, nowIso));
  tell(`The entry “${fields.subject}” was ${fields.replacesId === null ? 'added' : 'corrected'}`);
  return { id };
});
