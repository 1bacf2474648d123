'use client';

import { Link } from '@/interface/parts/link';
import type { Act } from '@/model/act';
import { fullTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { Refusal } from '@/interface/parts/action-form';
import { Notice, Screen } from '@/interface/parts/screen';
import { useAct } from '@/interface/parts/use-act';
import { undoAction } from './actions';
import styles from './acts-screen.module.css';

interface Props {
  readonly acts: readonly Act[];
  /** The engine's name; left out for what belongs to the whole shop. */
  readonly of?: string;
}

/** What was done last, the latest first; each can be taken back, and done again. */
export function ActsScreen({ acts, of }: Props) {
  const { act, pending, problem } = useAct();
  return (
    <Screen
      plain
      title="Last acts"
      lead={
        <>
          {of ? `On ${of}, the` : 'On the shelves and engines taken off, the'} latest first. Pulls at the bench and
          readings of fits are not here: they are undone where they stand.{' '}
          {of && <Link href="/shelves/acts">Of the shop itself</Link>}
        </>
      }
    >
      <Refusal problem={problem} />
      {acts.length === 0 ? (
        <Notice kind="done">Nothing was done here that can be taken back.</Notice>
      ) : (
        <ol className={styles.list}>
          {acts.map(({ id, words, who, at, isUndone, tip }) => (
            <li key={id} className={styles.line} data-undone={isUndone || undefined}>
              <span className={styles.when}>
                {fullTime(at)}
                {who && `, ${who}`}
              </span>
              <span className={styles.words}>
                {words}
                {isUndone && <b className={styles.sign}> taken back</b>}
              </span>
              <Button busy={pending} onClick={() => act(() => undoAction({ token: tip }))}>
                {isUndone ? 'Do it again' : 'Take it back'}
                <span className="only-spoken">: {words}</span>
              </Button>
            </li>
          ))}
        </ol>
      )}
    </Screen>
  );
}
