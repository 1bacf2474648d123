import { Link } from '@/interface/parts/link';
import type { DueLine, DuePart } from './due';
import styles from './due-list.module.css';

const SIGNS: Readonly<Record<DuePart, string>> = { overdue: '▲', stopped: '▲', now: '●', waits: '◔', later: '○' };
const WORDS: Readonly<Record<DuePart, string>> = {
  overdue: 'Overdue',
  stopped: 'Stopped',
  now: 'To be done now',
  waits: 'Waits',
  later: 'Later',
};

/** What is due, each line leading to where it is done. */
export const DueList = ({ lines }: { readonly lines: readonly DueLine[] }) => (
  <ul className={styles.list}>
    {lines.map(({ part, of, what, href }, i) => (
      <li key={i}>
        <Link href={href} className={styles.line} data-part={part}>
          <span className={styles.part}>
            <span aria-hidden>{SIGNS[part]}</span> {WORDS[part]}
          </span>
          <span className={styles.of}>{of}</span>
          <span>{what}</span>
        </Link>
      </li>
    ))}
  </ul>
);
