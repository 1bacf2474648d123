import styles from './face.module.css';

interface Props {
  /** What was done last, in words. */
  readonly done: string;
  readonly ago: string;
}

/** After a long gap: what was done last, to be touched again before anything else is pulled. */
export const TouchAgain = ({ done, ago }: Props) => (
  <section className={styles.call} data-fresh>
    <p className={styles.lead}>You last did</p>
    <p className={styles.resumed}>{done}</p>
    <p className={styles.resumed}>{ago}</p>
    <p className={styles.hint}>
      Put the wrench on it again before going on: a nut that was left in the middle of a pull looks like any other.
    </p>
  </section>
);
