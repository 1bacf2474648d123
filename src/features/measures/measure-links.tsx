import { Link } from '@/interface/parts/link';
import type { EngineMeasure, MeasureKind } from '@/model/engine/engine-measure';
import { fullDate } from '@/interface/figures/times';
import styles from './measures.module.css';

const SHEETS: readonly {
  readonly path: string;
  readonly kinds: readonly MeasureKind[];
  readonly name: string;
  readonly says: string;
}[] = [
  {
    path: 'bearings',
    kinds: ['bearings', 'marks'],
    name: 'Bearing sizes and match marks',
    says: 'which shell, and what belongs to what',
  },
  { path: 'rings', kinds: ['clocking'], name: 'Ring clocking', says: 'where the gaps lie' },
  { path: 'weights', kinds: ['weights', 'balance'], name: 'Weights and balance', says: 'matched end by end' },
  { path: 'volumes', kinds: ['volumes'], name: 'Displacement and compression', says: 'with its overbore' },
];

/** The sheets that are of the whole engine, with when each was last kept. */
export const MeasureLinks = ({
  engineId,
  measures,
}: {
  readonly engineId: string;
  readonly measures: readonly EngineMeasure[];
}) => (
  <ul className={styles.links}>
    {SHEETS.map(({ path, kinds, name, says }) => {
      const last = measures.findLast(({ kind }) => kinds.includes(kind));
      return (
        <li key={path} className={styles.link}>
          <Link href={`/engines/${engineId}/fits/${path}`}>{name}</Link>
          <span className={styles.small}>{last ? `kept ${fullDate(last.at)}` : says}</span>
        </li>
      );
    })}
  </ul>
);
