'use client';

import {
  notesToAgree,
  readTorqueLine,
  type PrintedStage,
  type TorqueLine,
  type TorqueReading,
  type TurnPrint,
} from '@/core/print';
import { TORQUE_UNITS, isDomainError, type TorqueUnit } from '@/core/units';
import { otherUnitOf } from '../figures/figures';
import { useFigures } from '../figures/preferences';
import { useConverted } from '../figures/use-converted';
import { NotTaken } from './not-taken';
import styles from './torque-reading.module.css';

export type ReadPrint =
  | { readonly ok: true; readonly print: TorqueLine }
  | { readonly ok: false; readonly code: string; readonly message: string };

/** Reads printed text without throwing: what was understood, or why not. */
export function readPrint(text: string): ReadPrint {
  try {
    return { ok: true, print: readTorqueLine(text) };
  } catch (error) {
    if (isDomainError(error)) return { ok: false, code: error.code, message: error.message };
    throw error;
  }
}

/** How a reading is spoken of: its printed figures in its printed unit. */
export function useReadingText() {
  const { plain } = useFigures();
  const range = (low: number, high: number) => (low === high ? plain(low) : `${plain(low)} to ${plain(high)}`);
  return (reading: TorqueReading): string => {
    if (reading.unit) return `${range(reading.printedMin, reading.printedMax)} ${reading.unit}`;
    const { force, lever } = reading;
    return force && lever ? `${range(force.min, force.max)} ${force.unit} on ${plain(lever.length)} ${lever.unit}` : '';
  };
}

const UnderstoodTurn = ({ print }: { readonly print: TurnPrint }) => {
  const { plain } = useFigures();
  const same = print.min_deg === print.max_deg;
  return (
    <p className={styles.big}>
      {same ? `${plain(print.min_deg)}°` : `${plain(print.min_deg)}° to ${plain(print.max_deg)}°`} of turn
    </p>
  );
};

/** Stages in the order in which they are pulled. */
function UnderstoodStages({ stages }: { readonly stages: readonly PrintedStage[] }) {
  const { plain, unit } = useFigures();
  const converted = useConverted();
  const turn = (low: number, high: number) => `${low === high ? plain(low) : `${plain(low)} to ${plain(high)}`}°`;
  return (
    <ol className={styles.stages}>
      {stages.map((stage, i) => (
        <li key={i} className="figure">
          {'min_Nm' in stage ? converted(stage, unit) : turn(stage.min_deg, stage.max_deg)}
        </li>
      ))}
    </ol>
  );
}

interface Props {
  readonly read: ReadPrint;
  readonly chosen: number;
  readonly onChoose: (index: number) => void;
  /** Shows every unit instead of SI and the shop's own. */
  readonly everyUnit?: boolean;
  /** What is to be agreed to is asked beside it, and not said here as well. */
  readonly asksBeside?: boolean;
}

/** What was understood of a printed figure, with its notes and, where there is one, the choice. */
export function TorqueReadingView({ read, chosen, onChoose, everyUnit = false, asksBeside = false }: Props) {
  const converted = useConverted();
  const readingText = useReadingText();
  const { unit } = useFigures();
  if (!read.ok) return <p className={styles.refused}>{read.message}</p>;
  const { print } = read;
  const asked = asksBeside ? notesToAgree(print.notes) : [];
  const notes = print.notes.filter((note) => !asked.includes(note));
  const reading = print.kind === 'stages' ? (print.final ?? print.snug) : print.readings[chosen];
  const shown = everyUnit ? TORQUE_UNITS : [...new Set<TorqueUnit>(['N·m', unit, otherUnitOf(unit)])];
  return (
    <div className={styles.reading}>
      {print.kind === 'turn' && <UnderstoodTurn print={print} />}
      {print.kind === 'stages' && <UnderstoodStages stages={print.stages} />}
      {print.kind !== 'turn' && print.ambiguous && (
        <fieldset className={styles.choices}>
          <legend>This can be read more than one way. Which does the page mean?</legend>
          {print.readings.map((one, i) => (
            <label key={i} className={styles.choice}>
              <input type="radio" name="reading" checked={chosen === i} onChange={() => onChoose(i)} />
              <span>{readingText(one)}</span> <span className="figure soft">{converted(one, 'N·m')}</span>
            </label>
          ))}
        </fieldset>
      )}
      {reading && (
        <dl className={styles.units} data-every={everyUnit || undefined}>
          {shown.map((one) => (
            <div key={one}>
              <dt className="only-spoken">{one}</dt>
              <dd className={styles.figure}>{converted(reading, one)}</dd>
            </div>
          ))}
        </dl>
      )}
      <NotTaken others={print.notTaken} />
      {print.condition && <p>Threads as printed: {print.condition}.</p>}
      {'crossCheck' in print && print.crossCheck && (
        <p className={styles.check} data-agrees={print.crossCheck.agrees}>
          Second printed unit: {converted(print.crossCheck, 'N·m')}, {print.crossCheck.differencePct.toFixed(1)} % off.
        </p>
      )}
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
