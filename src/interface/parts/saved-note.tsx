import { clockTime } from '../figures/times';
import styles from './saved-note.module.css';

interface Props {
  /** When it was last on disk, ms since 1970. */
  readonly at: number | undefined;
  readonly saving: boolean;
}

/** A quiet word by a sheet that saves by itself. */
export const SavedNote = ({ at, saving }: Props) => (
  <p className={styles.note} role="status">
    {saving ? 'Saving …' : at === undefined ? '' : `Saved ${clockTime(at)}`}
  </p>
);
