import styles from './sheet.module.css';

/** Room for a name and a day on paper. */
export const SignLine = () => (
  <p className={styles.sign} aria-hidden>
    <span>Done by</span>
    <span>Looked over by</span>
    <span>Date</span>
  </p>
);
