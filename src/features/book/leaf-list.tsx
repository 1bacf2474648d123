'use client';

import { Link } from '@/interface/parts/link';
import type { ReactNode } from 'react';
import type { Leaf } from '@/model/book/leaf';
import { useConverted } from '@/interface/figures/use-converted';
import { TakeAway } from '@/interface/parts/take-away';
import { useFigures } from '@/interface/figures/preferences';
import { tidy } from '@/core/units';
import { Photographs } from '@/interface/parts/photographs';
import type { LeafWithHistory } from './queries';
import styles from './leaf-list.module.css';

const useFigureOf = () => {
  const converted = useConverted();
  const { unit, plain } = useFigures();
  return (leaf: Leaf): string => {
    const range = (low: number, high: number, unit: string) =>
      low === high ? `${plain(low)}${unit}` : `${plain(low)} to ${plain(high)}${unit}`;
    if (leaf.min_mm !== null && leaf.max_mm !== null) return range(tidy(leaf.min_mm), tidy(leaf.max_mm), ' mm');
    const turn = leaf.min_deg !== null && leaf.max_deg !== null ? range(leaf.min_deg, leaf.max_deg, '°') : '';
    if (leaf.min_Nm === null || leaf.max_Nm === null) return turn;
    return `${converted({ min_Nm: leaf.min_Nm, max_Nm: leaf.max_Nm }, unit)}${turn && ` + ${turn}`}`;
  };
};

const KIND_WORDS: Readonly<Record<Leaf['kind'], string>> = {
  torque: '',
  'lever-pull': '',
  turn: 'a turn',
  stretch: 'a stretch',
  clearance: 'a clearance',
  'end-float': 'an end float',
  order: 'an order',
  note: 'a note',
};

interface Props {
  readonly engineId: string;
  /** Of the source’s print, where somebody said. */
  readonly language: string;
  readonly leaves: readonly LeafWithHistory[];
  /** The leaf whose correction is open, in its place. */
  readonly correcting: string | undefined;
  readonly onCorrect: (leafId: string) => void;
  readonly form: (leaf: Leaf) => ReactNode;
}

/** The leaves of one source, each as printed and as read. */
export function LeafList({ engineId, language, leaves, correcting, onCorrect, form }: Props) {
  const figureOf = useFigureOf();
  if (leaves.length === 0) return <p className="soft">No entry from it yet.</p>;
  return (
    <ul>
      {leaves.map((leaf) => (
        <li key={leaf.id} className={styles.leaf}>
          <span className={styles.page}>p. {leaf.page}</span>
          <span className={styles.subject}>{leaf.subject}</span>
          <span className={styles.printed} lang={language || undefined}>
            “{leaf.printedText}”
          </span>
          <span className={styles.figure}>{figureOf(leaf)}</span>
          <span className={styles.condition}>
            {leaf.kind === 'torque' || leaf.kind === 'lever-pull'
              ? `threads: ${leaf.conditionText ?? 'not said'}`
              : KIND_WORDS[leaf.kind]}
          </span>
          <span className={styles.acts}>
            {(leaf.kind === 'torque' || leaf.kind === 'lever-pull') && (
              <Link href={`/engines/${engineId}/joints/new?leaf=${leaf.id}`}>
                {leaf.jointNames.length > 0 ? 'Another joint' : 'Make a joint'}
              </Link>
            )}
            <button
              type="button"
              className={`text-button ${styles.act}`}
              onClick={() => onCorrect(leaf.id)}
              aria-expanded={leaf.id === correcting}
              aria-label={`Correct ${leaf.subject}`}
            >
              Correct
            </button>
          </span>
          {leaf.id === correcting && (
            <span className={styles.used}>
              <TakeAway kind="leaf" id={leaf.id} name={leaf.subject} />
            </span>
          )}
          {leaf.jointNames.length > 0 && <span className={styles.used}>used by {leaf.jointNames.join(', ')}</span>}
          {leaf.id === correcting && <div className={styles.form}>{form(leaf)}</div>}
          <span className={styles.photos}>
            <Photographs
              address={`/api/leaves/${leaf.id}/photo`}
              of={`the page of ${leaf.subject}`}
              photoIds={leaf.photoIds}
              testId={`photo-${leaf.id}`}
              addWords="Photograph of the page"
            />
          </span>
          {leaf.earlier.map((before) => (
            <s key={before.id} className={styles.earlier}>
              “{before.printedText}”, p. {before.page}
            </s>
          ))}
        </li>
      ))}
    </ul>
  );
}
