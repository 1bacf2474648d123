'use client';

import { useEffect, useState } from 'react';
import { fullTime } from '@/interface/figures/times';
import { Disclosure } from '@/interface/parts/disclosure';
import { fetchedPart } from '@/interface/parts/fetched-part';
import { Photographs } from '@/interface/parts/photographs';
import { TakeAway } from '@/interface/parts/take-away';
import type { NotedThing, NoteWithPhotos } from '@/model/note';
import { noteFormName } from './note-form-name';
import styles from './notes-fold.module.css';

const NoteForm = fetchedPart(() => import('./note-form').then((module) => module.NoteForm));

interface Props {
  readonly of: NotedThing;
  readonly notes: readonly NoteWithPhotos[];
  readonly fasteners?: number;
  /** It is what the page is for. */
  readonly open?: boolean;
}

const lineOf = (notes: readonly NoteWithPhotos[]): string => {
  const [last] = notes.slice(-1);
  if (!last) return 'none yet';
  const photographs = notes.reduce((sum, { photoIds }) => sum + photoIds.length, 0);
  const count = notes.length === 1 ? '1 note' : `${notes.length} notes`;
  const pictures = photographs === 0 ? '' : photographs === 1 ? ', 1 photograph' : `, ${photographs} photographs`;
  return `${count}${pictures}. ${last.words.slice(0, 80)}${last.words.length > 80 ? ' …' : ''}`;
};

const signOf = ({ fastener, createdAt, who }: NoteWithPhotos): string =>
  [fastener === null ? undefined : `Number ${fastener}`, fullTime(createdAt), who].filter(Boolean).join(', ');

/** One note with its photographs. */
function NoteItem({ note, of, fasteners }: Omit<Props, 'notes'> & { readonly note: NoteWithPhotos }) {
  const [changing, setChanging] = useState(false);
  if (changing) return <NoteForm of={of} fasteners={fasteners} note={note} onDone={() => setChanging(false)} />;
  return (
    <>
      <p className={styles.words}>{note.words}</p>
      <p className={styles.sign}>
        {signOf(note)}
        <span className={styles.acts}>
          <button type="button" className="text-button" onClick={() => setChanging(true)}>
            Change<span className="only-spoken"> the note {note.words.slice(0, 40)}</span>
          </button>
          <TakeAway kind="note" id={note.id} name={note.words.slice(0, 40)} />
        </span>
      </p>
      <Photographs
        address={`/api/notes/${note.id}/photo`}
        of={`the note ${note.words.slice(0, 40)}`}
        photoIds={note.photoIds}
        testId={`note-photo-${note.id}`}
        addWords="Add a photograph"
      />
    </>
  );
}

/** What was written down of an engine, a joint, a fit or one fastener, with photographs. */
export function NotesFold({ of, notes, fasteners, open }: Props) {
  // A note is written wherever one stands: also where the program has gone out of reach since.
  useEffect(() => NoteForm.ahead(), []);
  return (
    <Disclosure
      open={open}
      title="Notes and photographs"
      id="notes"
      line={lineOf(notes)}
      forms={[noteFormName(of), ...notes.map(({ id }) => `note-${id}`)]}
    >
      {notes.length > 0 && (
        <ul className={styles.list}>
          {notes.map((note) => (
            <li key={note.id} className={styles.note}>
              <NoteItem note={note} of={of} fasteners={fasteners} />
            </li>
          ))}
        </ul>
      )}
      <NoteForm of={of} fasteners={fasteners} onDone={() => undefined} />
    </Disclosure>
  );
}
