import type { ReactNode } from 'react';
import type { Difference } from '@/model/result';
import styles from './conflict-notice.module.css';

interface Props {
  readonly what: string;
  readonly differences: readonly Difference[];
  /** The ways out of it. */
  readonly children: ReactNode;
}

/** Two values stand for one thing: both are shown, and a person chooses. Nothing was written. */
export const ConflictNotice = ({ what, differences, children }: Props) => (
  <section className={styles.conflict} role="alert" aria-label="Changed elsewhere">
    <p>{what}</p>
    {differences.length > 0 && (
      <table className={styles.values}>
        <thead>
          <tr>
            <th scope="col">What</th>
            <th scope="col">On disk</th>
            <th scope="col">Here</th>
          </tr>
        </thead>
        <tbody>
          {differences.map(({ field, onDisk, sent }) => (
            <tr key={field}>
              <th scope="row">{field}</th>
              <td>{onDisk}</td>
              <td>{sent}</td>
            </tr>
          ))}
        </tbody>
      </table>
    )}
    <p className={styles.acts}>{children}</p>
  </section>
);
