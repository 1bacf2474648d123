import type { Database } from 'better-sqlite3';
import type { Note, NoteWithPhotos } from '@/model/note';
import { initials, table, type Row } from '../table';

export const NOTE = table<Note>('note', {
  id: 'id',
  engineId: 'engine_id',
  jointId: 'joint_id',
  fitId: 'fit_id',
  stepId: 'step_id',
  partId: 'part_id',
  fastener: 'fastener',
  words: 'words',
  who: initials,
  version: 'version',
  createdAt: 'created_at',
});

/** A photograph that belongs to a note. */
export interface NotePhoto {
  readonly id: string;
  readonly noteId: string;
  readonly name: string;
  readonly type: string;
  readonly whole: Buffer;
  readonly thumbnail: Buffer;
  readonly createdAt: string;
}

/** The ids of a note’s photographs, as a JSON list. */
export const PHOTO_IDS = `(SELECT json_group_array(note_photo.id ORDER BY note_photo.created_at, note_photo.id)
  FROM note_photo WHERE note_photo.note_id = note.id)`;

const toNote = (row: Row): NoteWithPhotos => ({
  ...NOTE.fromRow(row),
  photoIds: JSON.parse(row.photos as string) as string[],
});

export const createNoteRepository = (db: Database) => {
  const byId = db.prepare<[string], Row>(`SELECT ${NOTE.columns} FROM note WHERE id = ?`);
  const ofEngine = db.prepare<[string], Row>(
    `SELECT ${NOTE.columns}, ${PHOTO_IDS} AS photos FROM note WHERE engine_id = ? ORDER BY created_at, id`,
  );
  const insert = db.prepare(NOTE.insert);
  const update = db.prepare<object>(
    `UPDATE note SET words = @words, fastener = @fastener, who = who(), version = version + 1
     WHERE id = @id AND version = @version`,
  );
  const insertPhoto = db.prepare<[NotePhoto]>(
    `INSERT INTO note_photo (id, note_id, name, type, whole, thumbnail, created_at)
     VALUES (@id, @noteId, @name, @type, @whole, @thumbnail, @createdAt)`,
  );
  const photoById = db.prepare<[string], Pick<NotePhoto, 'type' | 'whole' | 'thumbnail'>>(
    'SELECT type, whole, thumbnail FROM note_photo WHERE id = ?',
  );
  const removePhoto = db.prepare<[string]>('DELETE FROM note_photo WHERE id = ?');
  return {
    find: (id: string): Note | undefined => {
      const row = byId.get(id);
      return row && NOTE.fromRow(row);
    },
    /** Every note of an engine, its joints and its fits. */
    ofEngine: (engineId: string): readonly NoteWithPhotos[] => ofEngine.all(engineId).map(toNote),
    add: (note: Note): void => void insert.run(NOTE.toRow(note)),
    /** Alters a note that is still of the version given; false where it was altered meanwhile. */
    alter: ({ id, words, fastener, version }: Note): boolean =>
      update.run({ id, words, fastener, version }).changes === 1,
    addPhoto: (photo: NotePhoto): void => void insertPhoto.run(photo),
    photo: (id: string) => photoById.get(id),
    /** False where it was gone already. */
    removePhoto: (id: string): boolean => removePhoto.run(id).changes === 1,
  };
};
