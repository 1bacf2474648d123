import type { ReactNode } from 'react';
import type { DoneEvent, RoundState } from '@/core/tightening';
import { useFigures } from '@/interface/figures/preferences';
import { readWords } from '@/interface/words/reading-words';
import { agoFrom } from '@/interface/figures/times';
import { lineOf } from '@/interface/words/bench-words';
import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { Purpose } from '@/model/joint/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import type { PassedOver } from './use-one-press';
import styles from './face.module.css';

interface Props {
  readonly jointName: string;
  readonly engineName: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  /** A press was taken for the same as what went before it. */
  readonly passedOver: PassedOver | undefined;
  readonly openedAt: number;
  /** Nothing of it is recorded. */
  readonly isRehearsal?: boolean;
  /** What stands at the end of it. */
  readonly children?: ReactNode;
}

const ONE_COUNTED: Readonly<Record<PassedOver, string>> = {
  press: 'One press counted: a second within a third of a second is taken for the same.',
  reading: 'That pull recorded itself: a press right after it is taken for the same.',
};

/** What was done last, with what was read at it. */
function LastDone({ plan, last, openedAt }: Pick<Props, 'plan' | 'openedAt'> & { readonly last: DoneEvent }) {
  const figures = useFigures();
  const step = plan.steps[last.step];
  const read =
    step?.kind === 'pull' && (last.kind === 'pull' || last.kind === 'again')
      ? readWords(plan, step, last, figures)
      : '';
  return (
    <>
      Last done: {lineOf(plan, last)}
      {read && `, ${read}`}, {agoFrom(last.at, Math.max(openedAt, Date.parse(last.at)))}
    </>
  );
}

/** What is worked on, and what was done last. */
export const FaceHead = ({
  jointName,
  engineName,
  purpose,
  plan,
  round: { last },
  passedOver,
  openedAt,
  isRehearsal,
  children,
}: Props) => (
  <header className={styles.head}>
    <h1 className={styles.title} title={jointName}>
      {jointName}
      {isRehearsal && <span className={styles.purpose}> rehearsed</span>}
      {PURPOSE_WORDS[purpose].title && <span className={styles.purpose}> {PURPOSE_WORDS[purpose].title}</span>}
    </h1>
    <p className={styles.engine} title={engineName}>
      {engineName}
    </p>
    <p className={styles.last}>
      {passedOver ? (
        ONE_COUNTED[passedOver]
      ) : last ? (
        <LastDone plan={plan} last={last} openedAt={openedAt} />
      ) : (
        PURPOSE_WORDS[purpose].before
      )}
    </p>
    {children}
  </header>
);
