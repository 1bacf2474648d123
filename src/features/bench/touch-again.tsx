import type { DoneEvent, RoundState } from '@/core/tightening';
import { agoFrom } from '@/interface/figures/times';
import { lineOf } from '@/interface/words/bench-words';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { rowAgain } from './call-words';
import styles from './face.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  readonly last: DoneEvent;
  readonly openedAt: number;
}

/** After a long gap: what was done last, to be touched again before anything else is pulled; or the whole row of it. */
export function TouchAgain({ plan, round, last, openedAt }: Props) {
  const row = rowAgain(plan, round);
  return (
    <section className={styles.call} data-fresh>
      <p className={styles.lead}>You last did</p>
      <p className={styles.resumed}>{lineOf(plan, last)}</p>
      <p className={styles.resumed}>{agoFrom(last.at, Math.max(openedAt, Date.parse(last.at)))}</p>
      <p className={styles.hint}>
        {row === ''
          ? 'Put the wrench on it again before going on: a nut that was left ' +
            'in the middle of a pull looks like any other.'
          : `The row was broken off, and by house practice it is begun again: put the wrench on ${row} once more, ` +
            'in turn, before going on. None of them should move; one that does was missed.'}
      </p>
    </section>
  );
}
