'use client';

import { isDomainError, THOU_MM } from '@/core/units';
import { readLengthLine, type LengthLine, type LengthPrint } from '@/core/print';
import { NotTaken } from './not-taken';
import { useFigures } from '../figures/preferences';
import styles from './torque-reading.module.css';

export type ReadLength =
  { readonly ok: true; readonly line: LengthLine } | { readonly ok: false; readonly message: string };

/** Reads a printed length without throwing. */
export function readPrintedLength(text: string): ReadLength {
  try {
    return { ok: true, line: readLengthLine(text) };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, message: error.message };
    throw error;
  }
}

/** One length, in mm and in thou. */
function Units({ print: { min_mm, max_mm } }: { readonly print: LengthPrint }) {
  const { significant } = useFigures();
  const range = (factor: number, unit: string) =>
    min_mm === max_mm
      ? `${significant(min_mm / factor, 4)} ${unit}`
      : `${significant(min_mm / factor, 4)} to ${significant(max_mm / factor, 4)} ${unit}`;
  return (
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
  );
}

const UNIT_WORDS: Readonly<Partial<Record<LengthPrint['unit'], string>>> = { in: 'inches', mm: 'millimetres' };

interface Props {
  readonly read: ReadLength;
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
}

/** What was understood of a printed length: in mm and in thou, with its notes and, where there is one, the choice. */
export function LengthReadingView({ read, chosen, onChoose }: Props) {
  if (!read.ok) return <p className={styles.refused}>{read.message}</p>;
  const { ambiguous, readings, notTaken } = read.line;
  const print = readings[chosen];
  const notes = readings[0]?.notes ?? [];
  return (
    <div className={styles.reading}>
      {ambiguous && (
        <fieldset className={styles.choices}>
          <legend>The line says no unit. Which does the page mean?</legend>
          {readings.map(({ unit }, i) => (
            <label key={unit} className={styles.choice}>
              <input type="radio" name="reading" checked={chosen === i} onChange={() => onChoose(i)} />
              <span>{UNIT_WORDS[unit] ?? unit}</span>
            </label>
          ))}
        </fieldset>
      )}
      {print && <Units print={print} />}
      <NotTaken others={notTaken} />
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
