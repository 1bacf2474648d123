'use client';

import { NativeSelect } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useState } from 'react';
import { evenness } from '@/core/interaction';
import { useFigures } from '@/interface/figures/preferences';
import { ClampDrawing } from '@/interface/pattern/clamp-drawing';
import { turnNumber } from '@/interface/words/bench-words';
import { drawnWords } from '@/interface/words/clamp-words';
import { drawnByRule } from '@/model/joint/clamp-left';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import type { Rehearsed } from './use-rehearsed-record';
import keys from './face-keys.module.css';
import styles from './rehearsal.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly rehearsed: Rehearsed;
  /** What is left in each, as a share of its own figure; undefined where the map has not been told enough. */
  readonly shares: readonly number[] | undefined;
  readonly refusal: string | undefined;
  readonly sheet: string;
}

/** The step at which a fastener is pulled at the stage that is under way, or the last it has before; -1 where none. */
const pullNow = (plan: TighteningPlan, place: number, stage: number): number =>
  plan.steps.findLastIndex(
    (step) => step.kind === 'pull' && step.position === place && step.stage <= stage && !step.turn,
  );

/** In words: where it is least and most, and how uneven. */
function LeftWords({ plan, shares }: { readonly plan: TighteningPlan; readonly shares: readonly number[] }) {
  const { significant } = useFigures();
  const held = shares.map((share, place) => ({ share, place })).filter(({ share }) => share > 0);
  if (held.length === 0) return <>Nothing is pulled yet.</>;
  const [least, most] = [
    held.reduce((a, b) => (b.share < a.share ? b : a)),
    held.reduce((a, b) => (b.share > a.share ? b : a)),
  ];
  const percent = (share: number) => `${Math.round(share * 100)}\u00a0%`;
  return (
    <>
      Least in number {turnNumber(plan, least.place)}: {percent(least.share)}; most in number{' '}
      {turnNumber(plan, most.place)}: {percent(most.share)} of its own final clamp load
      {held.length === shares.length && `; uneven by ${significant(evenness(shares).variation_pct, 2)}\u00a0%`}.
    </>
  );
}

/** Under the drawing: what is left in each nut, and the slips that may be tried. */
export function RehearsalBeside({ plan, rehearsed, shares, refusal, sheet }: Props) {
  const { record, done, outOfTurn, skipStage, again } = rehearsed;
  const { round } = record;
  const [place, setPlace] = useState('0');
  const at = plan.steps[round.next];
  const stage =
    at?.kind === 'pull' ? at.stage : Math.max(...plan.steps.map((step) => (step.kind === 'pull' ? step.stage : 0)));
  const wrong = pullNow(plan, Number(place), stage);
  const isUnderWay = at?.kind === 'pull' && !round.isOwed;
  return (
    <section className={styles.beside} aria-label="What is left in each, and slips to try">
      <div className={styles.map}>
        {shares && (
          <ClampDrawing
            positions={plan.positions}
            shares={shares}
            label={`Left in each, per cent: ${plan.order
              .map((one, i) => `${i + 1}: ${Math.round((shares[one] ?? 0) * 100)}`)
              .join(', ')}.`}
          />
        )}
        <p className={styles.words}>
          <b>Nothing here is recorded.</b>{' '}
          {shares ? (
            <>
              <LeftWords plan={plan} shares={shares} /> A picture of what to expect. {drawnWords(drawnByRule(done))}
            </>
          ) : (
            (refusal ?? (
              <>
                What the other nuts do is drawn once the <Link href={sheet}>joint’s sheet</Link> says what is clamped,
                under “What the other nuts are doing”.
              </>
            ))
          )}
        </p>
      </div>
      <div className={styles.slips}>
        <NativeSelect
          aria-label="Which one is pulled out of turn"
          data={plan.order.map((one, i) => ({ value: String(one), label: `Number ${i + 1}` }))}
          value={place}
          onChange={(event) => setPlace(event.currentTarget.value)}
        />
        <button type="button" className={keys.other} disabled={wrong < 0} onClick={() => outOfTurn(wrong)}>
          Pull it out of turn
        </button>
        <button type="button" className={keys.other} disabled={!isUnderWay} onClick={skipStage}>
          Skip the rest of this stage
        </button>
        <button type="button" className={keys.other} disabled={done.length === 0} onClick={again}>
          From the beginning
        </button>
      </div>
    </section>
  );
}
