import type { OtherNumber } from '@/core/print';
import styles from './torque-reading.module.css';

const WORDS: Readonly<Record<OtherNumber['kind'], string>> = {
  replaced: 'out of force',
  temperature: 'a temperature',
  size: 'a size',
  count: 'a count',
  'engine-number': 'engine numbers',
  reference: 'a reference',
  position: 'a position',
  year: 'a year',
};

/** The numbers of a line that were not taken for its figure, struck through, each with what it was taken for. */
export function NotTaken({ others }: { readonly others: readonly OtherNumber[] }) {
  if (others.length === 0) return null;
  return (
    <p className={styles.notTaken}>
      Not taken for the figure:{' '}
      {others.map(({ kind, text, start }, i) => (
        <span key={start}>
          {i > 0 && ', '}
          <s>{text}</s> ({WORDS[kind]})
        </span>
      ))}
    </p>
  );
}
