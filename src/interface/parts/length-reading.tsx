'use client';

import { isDomainError, THOU_MM } from '@/core/units';
import { readLength, type LengthPrint } from '@/core/print';
import { useFigures } from '../figures/preferences';
import styles from './torque-reading.module.css';

export type ReadLength =
  { readonly ok: true; readonly print: LengthPrint } | { readonly ok: false; readonly message: string };

/** Reads a printed length without throwing. */
export function readPrintedLength(text: string): ReadLength {
  try {
    return { ok: true, print: readLength(text) };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}

/** What was understood of a printed length: in mm and in thou, with its notes. */
export function LengthReadingView({ read }: { readonly read: ReadLength }) {
  const { significant } = useFigures();
  if (!read.ok) return <p className={styles.refused}>{read.message}</p>;
  const { min_mm, max_mm, notes } = read.print;
  const range = (factor: number, unit: string) =>
    min_mm === max_mm
      ? `${significant(min_mm / factor, 4)} ${unit}`
      : `${significant(min_mm / factor, 4)} to ${significant(max_mm / factor, 4)} ${unit}`;
  return (
    <div className={styles.reading}>
      <dl className={styles.units}>
        <div>
          <dt className="only-spoken">mm</dt>
          <dd className={styles.figure}>{range(1, 'mm')}</dd>
        </div>
        <div>
          <dt className="only-spoken">thousandths of an inch</dt>
          <dd className={styles.figure}>{range(THOU_MM, 'thou')}</dd>
        </div>
      </dl>
      {notes.length > 0 && (
        <ul className={`points ${styles.notes}`}>
          {notes.map((note) => (
            <li key={note.code}>{note.message}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
