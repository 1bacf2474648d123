import type { NotedThing } from '@/model/note';

/** The name of the form that writes a new note of a thing, by which its draft is kept. */
export const noteFormName = ({ jointId, fitId, stepId, partId, engineId }: NotedThing) =>
  `note-${jointId ?? fitId ?? stepId ?? partId ?? engineId}`;
