/** What somebody wrote down of an engine, a joint, a fit, a step, a part, or one fastener of a joint. */
export interface Note {
  readonly id: string;
  readonly engineId: string;
  readonly jointId: string | null;
  readonly fitId: string | null;
  readonly stepId: string | null;
  readonly partId: string | null;
  /** Of one fastener: its number in the turn. */
  readonly fastener: number | null;
  readonly words: string;
  /** Initials of whoever wrote it. */
  readonly who?: string;
  readonly version: number;
  readonly createdAt: string;
}

/** A note with its photographs, by id. */
export interface NoteWithPhotos extends Note {
  readonly photoIds: readonly string[];
}

/** What notes are of; the engine itself where nothing else is said. */
export type NotedThing = Pick<Note, 'engineId'> & Partial<Pick<Note, 'jointId' | 'fitId' | 'stepId' | 'partId'>>;

const OF = ['jointId', 'fitId', 'stepId', 'partId'] as const;

/** Whether a note is of a thing, and not of what belongs to it. */
export const isNoteOf =
  (of: NotedThing) =>
  (note: NotedThing): boolean =>
    OF.every((key) => (note[key] ?? null) === (of[key] ?? null));

export const MAX_NOTE_CHARACTERS = 4000;
