import { fullTime } from '@/interface/figures/times';
import type { NoteWithPhotos } from '@/model/note';
import styles from './notes-printed.module.css';

/** Notes as a record has them: words, whose they are, and their photographs. */
export const NotesPrinted = ({ notes }: { readonly notes: readonly NoteWithPhotos[] }) => (
  <ul className={styles.list}>
    {notes.map(({ id, words, fastener, who, createdAt, photoIds }) => (
      <li key={id}>
        <p className={styles.words}>
          {fastener !== null && <b>Number {fastener}: </b>}
          {words}{' '}
          <span className="soft">
            {fullTime(createdAt)}
            {who && `, ${who}`}
          </span>
        </p>
        {photoIds.map((photo, i) => (
          // The thumbnail is made and served by this program; next/image would make another.
          // oxlint-disable-next-line nextjs/no-img-element
          <img key={photo} src={`/api/photos/${photo}?small`} alt={`Photograph ${i + 1} of the note`} height={140} />
        ))}
      </li>
    ))}
  </ul>
);
