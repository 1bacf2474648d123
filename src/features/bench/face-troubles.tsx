import { Link } from '@/interface/parts/link';
import type { BenchRecord } from './use-bench-record';
import type { ChangedSince } from './queries';
import type { HeardAtBench } from './use-heard-wrench';
import { OUT_OF_REACH } from '@/interface/parts/out-of-reach';
import type { Hold } from './use-hold';
import keys from './face-keys.module.css';
import styles from './face.module.css';

interface Props {
  readonly changed: ChangedSince | undefined;
  readonly record: BenchRecord;
  readonly sheet: string;
  readonly hold: Hold;
  readonly heard: HeardAtBench;
  /** What was pressed is to be fetched first, and nobody answers. */
  readonly isOut: boolean;
}

/** What stands in the way, or is asked from elsewhere. */
export function FaceTroubles({ changed, record, sheet, hold: { seen, move }, heard, isOut }: Props) {
  const isWaiting = record.isWaiting;
  return (
    <div className={styles.troubles}>
      {seen?.askedBy !== undefined && (
        <p className={styles.trouble} data-asked role="alert">
          {seen.askedBy === '' ? 'Another screen asks' : `${seen.askedBy}, at another screen, asks`} for the wrench.{' '}
          <button type="button" className={keys.other} disabled={isWaiting} onClick={() => move('hand-over')}>
            Hand it over
          </button>
          {isWaiting && ' Once what was pulled is on disk.'}
        </p>
      )}
      {changed && !record.round.complete && (
        <p className={styles.trouble} role="alert">
          {changed.words} <Link href={sheet}>{changed.act}</Link>
        </p>
      )}
      {heard.trouble && (
        <p className={styles.trouble} role="alert">
          {heard.trouble}
        </p>
      )}
      {isOut && (
        <p className={styles.trouble} role="alert">
          {OUT_OF_REACH}
        </p>
      )}
      {record.trouble && (
        <p className={styles.trouble} role="alert">
          {record.trouble}
        </p>
      )}
    </div>
  );
}
