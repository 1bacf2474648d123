import { Link } from '@/interface/parts/link';
import type { Bar, BarPlace } from '@/model/order/gate';
import styles from './order-screen.module.css';

const hrefOf = (engineId: string, to: BarPlace): string => {
  const at = `/engines/${engineId}`;
  switch (to.at) {
    case 'fit':
      return `${at}/fits/${to.id}`;
    case 'joint':
      return `${at}/joints/${to.id}`;
    case 'step':
      return `${at}/order?step=${to.id}`;
    case 'start':
      return `${at}/run-in`;
    case 'tray':
      return `${at}/order/tray`;
    default:
      return `${at}/order#${to.at}`;
  }
};

/** What stands against a step, each with the way to where it is put right. */
export const Bars = ({ bars, engineId }: { readonly bars: readonly Bar[]; readonly engineId: string }) =>
  bars.length === 0 ? null : (
    <ul className={styles.bars} aria-label="What stands against it">
      {bars.map(({ code, message, absolute, to }) => (
        <li key={`${code} ${message}`} data-absolute={absolute || undefined}>
          {message} {absolute && <b>No reason passes this. </b>}
          <Link href={hrefOf(engineId, to)}>
            Put it right<span className="only-spoken"> {message}</span>
          </Link>
        </li>
      ))}
    </ul>
  );
