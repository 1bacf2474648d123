import type { RoundState } from '@/core/tightening';
import type { CrankHeld } from '@/model/order/crank';
import styles from './face.module.css';

/** What is done first, by what holds the crank. */
const HELD_WAY: Readonly<Record<CrankHeld['by'], string>> = {
  strip: 'Loosen the caps, read it and take it out on the fits sheet; then go on here.',
  order: 'Free it in the order first, then go on here; or go on without turning it, and say why.',
};

interface Props {
  readonly round: RoundState;
  readonly held: CrankHeld | undefined;
}

/** The crank is to be turned, and what is said where it cannot or does not. */
export function ShaftCall({ round, held }: Props) {
  if (held)
    return (
      <section className={styles.call}>
        <p className={styles.lead}>The crank is held</p>
        <p className={styles.words}>Do not turn it</p>
        <p className={styles.hint}>
          {held.why}. {HELD_WAY[held.by]}
        </p>
      </section>
    );
  if (round.binds)
    return (
      <section className={styles.call} data-over>
        <p className={styles.lead}>It does not turn freely</p>
        <p className={styles.words}>Stop</p>
        <p className={styles.unit}>{round.binds.words}</p>
        <p className={styles.hint}>
          Slacken what was pulled last and find out which one holds it: a cap the wrong way round, a shell, dirt under
          it, a clearance. Go on here once it turns as freely as before.
        </p>
      </section>
    );
  return (
    <section className={styles.call} data-shaft>
      <p className={styles.lead}>Before the next stage</p>
      <p className={styles.words}>Turn the crank</p>
      <p className={styles.hint}>
        Two full turns by hand. It must go round as freely as before; if it does not, say so below and find out why.
      </p>
    </section>
  );
}
