import { Link } from '@/interface/parts/link';
import type { NoteWithPhotos } from '@/model/note';
import styles from './notes-seen.module.css';

interface Props {
  /** Where they are written. */
  readonly href: string;
  readonly notes: readonly NoteWithPhotos[];
}

/** Notes and photographs of a thing in passing: their first words, small pictures, and the way to where they are written. */
export const NotesSeen = ({ href, notes }: Props) => (
  <div className={styles.seen}>
    {notes.map(({ id, words, photoIds }) => (
      <p key={id} className={styles.note}>
        {words}
        {photoIds.map((photo, i) => (
          <a key={photo} href={`/api/photos/${photo}`} target="_blank" rel="noreferrer">
            {/* The thumbnail is made and served by this program; next/image would make another. */}
            {/* oxlint-disable-next-line nextjs/no-img-element */}
            <img
              src={`/api/photos/${photo}?small`}
              alt={`Photograph ${i + 1} of the note`}
              height={72}
              loading="lazy"
            />
          </a>
        ))}
      </p>
    ))}
    <Link href={href}>{notes.length === 0 ? 'Write a note, add a photograph' : 'Notes and photographs'}</Link>
  </div>
);
