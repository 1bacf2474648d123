import type { RoundState } from '@/core/tightening';
import { agoFrom } from '@/interface/figures/times';
import { lineOf } from '@/interface/words/bench-words';
import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { Purpose } from '@/model/joint/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import styles from './face.module.css';

interface Props {
  readonly jointName: string;
  readonly engineName: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  /** A press was taken for the same as the one before it. */
  readonly passedOver: boolean;
  readonly openedAt: number;
}

/** What is worked on, and what was done last. */
export const FaceHead = ({ jointName, engineName, purpose, plan, round: { last }, passedOver, openedAt }: Props) => (
  <header className={styles.head}>
    <h1 className={styles.title} title={jointName}>
      {jointName}
      {PURPOSE_WORDS[purpose].title && <span className={styles.purpose}> {PURPOSE_WORDS[purpose].title}</span>}
    </h1>
    <p className={styles.engine} title={engineName}>
      {engineName}
    </p>
    <p className={styles.last}>
      {passedOver
        ? 'One press counted: a second within a third of a second is taken for the same.'
        : last
          ? `Last done: ${lineOf(plan, last)}, ${agoFrom(last.at, Math.max(openedAt, Date.parse(last.at)))}`
          : PURPOSE_WORDS[purpose].before}
    </p>
  </header>
);
