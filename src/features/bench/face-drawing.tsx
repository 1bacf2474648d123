import type { ReactNode } from 'react';
import type { RoundState } from '@/core/tightening';
import { turnNumber } from '@/interface/words/bench-words';
import { fastenerStates, statesLine } from '@/interface/words/state-words';
import { lettersOf } from '@/interface/words/kind-words';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { boxNear } from '@/interface/pattern/pattern-geometry';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import type { PlaceNote } from '@/model/joint/place-note';
import type { Purpose } from '@/model/joint/tightening';
import styles from './face.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  readonly next: number | undefined;
  readonly pending: ReadonlySet<number>;
  readonly caps: boolean;
  readonly placeNotes: readonly PlaceNote[];
  readonly purpose: Purpose;
  /** Whether a fastener is locked once it is at its figure. */
  readonly asksLock: (position: number) => boolean;
  /** What stands under it. */
  readonly beside?: ReactNode;
}

const STATES = 'face-states';

/** The joint as it lies; of a large one the next fastener and its neighbours, with the whole as a strip. */
export function FaceDrawing({ plan, round, next, pending, caps, placeNotes, purpose, asksLock, beside }: Props) {
  const shown = { plan, round, isRepull: purpose === 'retorque', asksLock };
  const near = beside === undefined ? boxNear(plan.positions, next) : undefined;
  const drawing = {
    positions: plan.positions,
    order: plan.order,
    marks: round.marks,
    next,
    pending,
    caps,
    noted: new Set(placeNotes.map(({ place }) => place)),
    letters: lettersOf(plan.positions.length, plan.kinds),
    states: fastenerStates(shown),
  };
  const label =
    next === undefined
      ? 'The fasteners of the joint'
      : `The fasteners; next is number ${turnNumber(plan, next)} of ${plan.positions.length}`;
  return (
    <div className={styles.pattern} data-parted={beside === undefined ? near !== undefined || undefined : 'beside'}>
      <PatternDrawing {...drawing} box={near} label={label} describedBy={STATES} />
      <p className="only-spoken" id={STATES}>
        {statesLine(shown)}
      </p>
      {beside}
      {near && (
        <div className={styles.whole}>
          <PatternDrawing {...drawing} near={near} label="The whole joint" />
        </div>
      )}
    </div>
  );
}
