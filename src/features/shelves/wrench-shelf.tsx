'use client';

import { useState } from 'react';
import { hangsHere } from '@/model/shelf/shelves';
import type { Wrench } from '@/model/shelf/wrench';
import { dayOf } from '@/model/wall-day';
import { useFigures } from '@/interface/figures/preferences';
import { fullDate } from '@/interface/figures/times';
import { useDrafts } from '@/interface/parts/use-draft';
import { Button } from '@/interface/parts/button';
import styles from './shelves.module.css';
import { DrawnWrenchForm } from './wrench-form-box';

export interface ShelvedWrench {
  readonly wrench: Wrench;
  readonly overdue: boolean;
}

/** The torque wrenches of the shop: scale, accuracy, last check; each can be changed, and a new one entered. */
export function WrenchShelf({ wrenches }: { readonly wrenches: readonly ShelvedWrench[] }) {
  const { plain } = useFigures();
  const [changing, setChanging] = useState<string>();
  useDrafts((names) => {
    const left = names.find((name) => /^wrench(-|$)/.test(name));
    if (left !== undefined) setChanging(left === 'wrench' ? 'new' : left.slice('wrench-'.length));
  });
  return (
    <>
      <ul className={styles.rows}>
        {wrenches.map(({ wrench: one, overdue }) => (
          <li key={one.id} className={styles.row}>
            <span>
              <b>{one.name}</b>,{' '}
              <span className="figure">
                {plain(one.min)} to {plain(one.max)} {one.unit}
              </span>
              , marked every {plain(one.graduation)}, ±{plain(one.accuracy_pct)} %
              <span className={styles.remark} data-warns={overdue || undefined}>
                {one.checkedAt ? `checked ${fullDate(dayOf(one.checkedAt))}` : 'never checked'}
                {one.calibration.length > 0 &&
                  ` at ${one.calibration.map((point) => plain(point.set)).join(', ')} ${one.unit}`}
                {overdue && ': overdue'}
                {!hangsHere(one) && '; came with a build, and serves that engine alone until it is changed here'}
              </span>
            </span>
            <Button
              onClick={() => setChanging(changing === one.id ? undefined : one.id)}
              aria-expanded={changing === one.id}
            >
              Change<span className="only-spoken"> {one.name}</span>
            </Button>
            {changing === one.id && (
              <div className={styles.change}>
                <DrawnWrenchForm wrench={one} focus onDone={() => setChanging(undefined)} />
              </div>
            )}
          </li>
        ))}
      </ul>
      {changing === 'new' || wrenches.length === 0 ? (
        <DrawnWrenchForm onDone={() => setChanging(undefined)} />
      ) : (
        <Button onClick={() => setChanging('new')}>Another wrench</Button>
      )}
    </>
  );
}
