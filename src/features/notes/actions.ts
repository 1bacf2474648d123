'use server';

import { nanoid } from 'nanoid';
import { DomainError } from '@/core/units';
import { assertFresh, assertWritten, changedWords, sayBy } from '@/model/stale';
import { engineOf, found, shopAction } from '@/server/shop-action';
import { noteSchema } from './schema';

const sayNote = sayBy({ words: 'The note', fastener: 'Fastener' });

const MOST_TOLD = 60;
const shortened = (words: string) => (words.length > MOST_TOLD ? `${words.slice(0, MOST_TOLD)} …` : words);

/** Writes a note of an engine, a joint, a fit or one fastener, or changes one. */
export const keepNoteAction = shopAction(noteSchema, (given, bench) => {
  const { id: known, version, ...fields } = given;
  const { shop, nowIso, tell } = bench;
  engineOf(bench, fields.engineId);
  const joint = fields.jointId === null ? undefined : found(shop.joints, fields.jointId, 'joint', 'jointId');
  const fit = fields.fitId === null ? undefined : found(shop.fits, fields.fitId, 'fit', 'fitId');
  const step =
    fields.stepId === null ? undefined : found({ find: shop.build.findStep }, fields.stepId, 'step', 'stepId');
  const part =
    fields.partId === null ? undefined : found({ find: shop.build.findPart }, fields.partId, 'part', 'partId');
  if ([joint, fit, step, part].some((one) => one !== undefined && one.engineId !== fields.engineId))
    throw new DomainError('not-found', 'That is not of this engine.', 'engineId');
  if (fields.fastener !== null && !(joint && fields.fastener <= joint.fasteners))
    throw new DomainError('bad-field', 'The joint has no such fastener.', 'fastener');
  const of = joint?.name ?? fit?.name ?? step?.name ?? part?.name ?? 'the engine';
  if (known === null) {
    const id = nanoid(10);
    shop.notes.add({ ...fields, id, version: 1, createdAt: nowIso });
    tell(`A note of ${of} was written: “${shortened(fields.words)}”`);
    return { id };
  }
  const before = found(shop.notes, known, 'note', 'id');
  const { words, fastener } = fields;
  assertFresh('The note', before, { version, words, fastener }, sayNote);
  assertWritten('The note', shop.notes.alter({ ...before, words, fastener }), before);
  tell(changedWords(`Note of ${of}`, before, { words, fastener }, sayNote));
  return { id: before.id };
});
