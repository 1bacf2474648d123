import { beforeEach, describe, expect, test } from '@jest/globals';
import sharp from 'sharp';
import { keepNotePhoto } from '@/features/book/photo';
import { find } from '@/features/find/find-index';
import { keepNoteAction } from '@/features/notes/actions';
import { buildFileOf } from '@/features/record/build-file';
import { parseBuildFile } from '@/features/record/build-file-schema';
import { readBack } from '@/features/record/read-back';
import { removePhotoAction, takeAwayAction, undoAction } from '@/features/removal/actions';
import { openShop, type Shop } from '@/db/shop';
import { notesOf } from '@/model/engine/engine-rows';
import type { NotedThing } from '@/model/note';
import { rowsNamed, temporaryFile } from '../db/temporary-shop';
import { accepted, ownShop, refusedWhole, there } from './own-shop';

let shop: Shop;
beforeEach(() => {
  shop = ownShop();
});

const HEAD = { engineId: 'demo-fourteen', jointId: 'demo-f-joint-head', fitId: null };
const NOTE = {
  ...HEAD,
  id: '',
  version: 0,
  fastener: '3',
  words: 'Stud came out with the nut; cleaned and put back dry',
};
const notesOn = (of: NotedThing) => notesOf(rowsNamed(shop, of.engineId), of);
const photo = async () => {
  const raw = await sharp({ create: { width: 40, height: 30, channels: 3, background: '#345' } })
    .jpeg()
    .toBuffer();
  return new File([new Uint8Array(raw)], 'stud.jpg', { type: 'image/jpeg' });
};
const undo = (result: unknown) => undoAction({ token: there((result as { undo?: { token: string } }).undo).token });

describe('a note', () => {
  test('stands on its joint and fastener, is changed, and both go back', async () => {
    const written = await accepted(keepNoteAction(NOTE));
    expect(notesOn(HEAD)).toMatchObject([{ fastener: 3, words: NOTE.words, version: 1, photoIds: [] }]);
    const changed = await accepted(keepNoteAction({ ...NOTE, id: written.id, version: 1, words: 'Stud renewed' }));
    expect(notesOn(HEAD)).toMatchObject([{ words: 'Stud renewed', version: 2 }]);
    await accepted(undo(changed));
    expect(notesOn(HEAD)).toMatchObject([{ words: NOTE.words }]);
    await accepted(undo(written));
    expect(notesOn(HEAD)).toEqual([]);
  });
  test.each([
    [{ words: '  ' }, 'words'],
    [{ words: 'x'.repeat(4001) }, 'words'],
    [{ fastener: '99' }, 'fastener'],
    [{ fastener: '0' }, 'fastener'],
    [{ jointId: null, fastener: '1' }, 'fastener'],
    [{ jointId: 'demo-n-joint-mains' }, 'engineId'],
    [{ jointId: 'none' }, 'jointId'],
    [{ jointId: null, fitId: 'none', fastener: '' }, 'fitId'],
    [{ engineId: 'none' }, 'engineId'],
    [{ id: 'none' }, 'id'],
  ])('%j is refused at %s, and nothing is written', async (part, field) => {
    expect(await refusedWhole(shop, () => keepNoteAction({ ...NOTE, ...part }))).toMatchObject({ field });
  });
  test('changed meanwhile elsewhere is not written over, and both are said', async () => {
    const { id } = await accepted(keepNoteAction(NOTE));
    await accepted(keepNoteAction({ ...NOTE, id, version: 1, words: 'one' }));
    const problem = await refusedWhole(shop, () => keepNoteAction({ ...NOTE, id, version: 1, words: 'two' }));
    expect(problem.message).toMatch(/The note: on disk “one”, here “two”/);
  });
  test('holds its joint: that is not taken away with it', async () => {
    await accepted(keepNoteAction({ ...NOTE, jointId: 'demo-n-joint-heads', engineId: 'demo-norrhem', fastener: '' }));
    const problem = await refusedWhole(shop, () =>
      takeAwayAction({ kind: 'joint', id: 'demo-n-joint-heads', name: 'Heads' }),
    );
    expect(problem.message).toMatch(/1 note/);
  });
  test('is found by its words, and leads to where it stands', async () => {
    await accepted(keepNoteAction({ ...NOTE, words: 'Worn thread: bushed by hand' }));
    await accepted(keepNoteAction({ ...NOTE, jointId: null, fastener: '', words: 'Painted slate' }));
    expect((await find(shop, 'bushed'))[0]).toMatchObject({ kind: 'Note', href: expect.stringContaining('#notes') });
    expect((await find(shop, 'slate'))[0]).toMatchObject({ href: '/engines/demo-fourteen/about#notes' });
  });
});

describe('a photograph of a note', () => {
  test('is kept, taken away and brought back byte for byte, and goes with its note', async () => {
    const { id } = await accepted(keepNoteAction(NOTE));
    const kept = await keepNotePhoto(shop, id, await photo(), 'IH');
    const whole = there(shop.notes.photo(kept.id)).whole;
    expect(notesOn(HEAD)[0]?.photoIds).toEqual([kept.id]);
    const gone = await accepted(removePhotoAction({ photoId: kept.id }));
    expect(shop.notes.photo(kept.id)).toBeUndefined();
    await accepted(undo(gone));
    expect(there(shop.notes.photo(kept.id)).whole.equals(whole)).toBe(true);
    const taken = await accepted(takeAwayAction({ kind: 'note', id, name: 'the note' }));
    expect([notesOn(HEAD), shop.notes.photo(kept.id)]).toEqual([[], undefined]);
    await accepted(undo(taken));
    expect(there(shop.notes.photo(kept.id)).whole.equals(whole)).toBe(true);
    // Put in by mistake, it goes without leaving the picture in the log twice.
    const log = shop.db.prepare("SELECT max(length(after)) AS n FROM act_change WHERE tbl = 'note_photo'").get();
    expect((log as { n: number }).n).toBeLessThan(400);
  });
  test('of a note that is not here is refused', async () =>
    await expect(keepNotePhoto(shop, 'none', await photo())).rejects.toMatchObject({ code: 'not-found' }));
});

test('notes and initials go out with a build and come back as they were, whoever reads it in', () => {
  shop.inNameOf('IH', () =>
    shop.notes.add({
      ...HEAD,
      stepId: null,
      partId: null,
      id: 'a-note',
      fastener: 2,
      words: 'Marked',
      version: 1,
      createdAt: '2026-01-02T10:00:00.000Z',
    }),
  );
  const engine = there(shop.engines.find('demo-fourteen'));
  const text = JSON.stringify(buildFileOf(shop, engine, '2026-05-16T15:00:00.000Z'));
  const other = openShop(temporaryFile());
  other.inNameOf('ZZ', () => readBack(other, parseBuildFile(text).file, Date.now(), () => 'unused'));
  expect(other.notes.ofEngine('demo-fourteen')).toMatchObject([
    { id: 'a-note', words: 'Marked', fastener: 2, who: 'IH' },
  ]);
  expect(other.heat.log('demo-fourteen').cycles.every(({ who }) => who === undefined)).toBe(true);
  const spoilt = JSON.parse(text) as { notes: { jointId: string | null }[] };
  there(spoilt.notes[0]).jointId = null;
  expect(() =>
    readBack(openShop(temporaryFile()), parseBuildFile(JSON.stringify(spoilt)).file, Date.now(), () => 'unused'),
  ).toThrow(/a fastener of no joint/);
});
