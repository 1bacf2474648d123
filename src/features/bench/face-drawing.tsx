import type { ReactNode } from 'react';
import type { RoundState } from '@/core/tightening';
import { turnNumber } from '@/interface/words/bench-words';
import { lettersOf } from '@/interface/words/kind-words';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { boxNear } from '@/interface/pattern/pattern-geometry';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import type { PlaceNote } from '@/model/joint/place-note';
import styles from './face.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly round: RoundState;
  readonly next: number | undefined;
  readonly pending: ReadonlySet<number>;
  readonly caps: boolean;
  readonly placeNotes: readonly PlaceNote[];
  /** What stands under it. */
  readonly beside?: ReactNode;
}

/** The joint as it lies; of a large one the next fastener and its neighbours, with the whole as a strip. */
export function FaceDrawing({ plan, round, next, pending, caps, placeNotes, beside }: Props) {
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
  };
  const label =
    next === undefined
      ? 'The fasteners of the joint'
      : `The fasteners; next is number ${turnNumber(plan, next)} of ${plan.positions.length}`;
  return (
    <div className={styles.pattern} data-parted={beside === undefined ? near !== undefined || undefined : 'beside'}>
      <PatternDrawing {...drawing} box={near} label={label} />
      {beside}
      {near && (
        <div className={styles.whole}>
          <PatternDrawing {...drawing} near={near} label="The whole joint" />
        </div>
      )}
    </div>
  );
}
