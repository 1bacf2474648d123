'use client';

import type { SlotBasis } from '@/model/joint/slotted-nut';
import { useFigures } from '@/interface/figures/preferences';
import { Notice } from '@/interface/parts/screen';
import { SlotFields, SlotOutcome, useSlotCost } from '@/interface/parts/slot-cost';
import { FaceReason } from './face-reason';
import { NO_SLOT_TURN, remedyWords, SLOT_REMEDIES, slotTurnWords } from './lock-words';
import keys from './face-keys.module.css';
import styles from './face.module.css';

interface Props {
  readonly number: number;
  /** Undefined where no figure tells what it holds. */
  readonly basis: SlotBasis | undefined;
  /** The nut is at its figure and a slot meets: what is to be recorded of how. */
  readonly onMeets: (words: string) => void;
  readonly onLeave: () => void;
}

const ALLOWED = 'Otherwise one of the ways below.';
const INSTEAD = 'Take one of the ways below. Back to a hole it is never turned.';

function TurnedOn({ basis, onMeets }: Pick<Props, 'onMeets'> & { readonly basis: SlotBasis }) {
  const { significant } = useFigures();
  const { found, ...fields } = useSlotCost(basis);
  const cost = found?.ok ? found.result : undefined;
  const turned = cost && cost.turn_deg > 0 ? slotTurnWords(String(Number(cost.turn_deg.toFixed(1)))) : undefined;
  return (
    <>
      <SlotFields {...fields} isBrief />
      <div aria-live="polite">
        {found && !found.ok && <Notice kind="stop">{found.error.message}</Notice>}
        {cost && (
          <SlotOutcome
            found={cost}
            from_N={basis.preload_N}
            remedies={cost.further.notes.length > 0 ? INSTEAD : ALLOWED}
          />
        )}
      </div>
      {cost && turned !== undefined && cost.further.notes.length === 0 && (
        <button type="button" className={keys.other} onClick={() => onMeets(turned)}>
          Turned on by {significant(cost.turn_deg)}°: a slot meets
        </button>
      )}
    </>
  );
}

/** In the place of the call: a nut at its figure has no slot at the hole. What it costs to go on, and what else is done. */
export function FaceSlot({ number, basis, onMeets, onLeave }: Props) {
  return (
    <section className={styles.slot} aria-label="No slot meets the hole" data-testid="face-slot">
      <h2>Number {number}: no slot meets the hole</h2>
      {basis ? (
        <TurnedOn basis={basis} onMeets={onMeets} />
      ) : (
        <>
          <p>What it holds no figure tells, and so not what a slot further would cost.</p>
          <FaceReason
            open="Turned on to a slot"
            label="How far it was turned on, degrees"
            act="Turned on so far"
            short
            check={(typed) => (slotTurnWords(typed) === undefined ? NO_SLOT_TURN : undefined)}
            onReason={(typed) => onMeets(slotTurnWords(typed) ?? '')}
          />
        </>
      )}
      <p>Or slacken it, put it right, pull it to its figure again, and say what was done, once a slot meets:</p>
      <p className={styles.ways}>
        {SLOT_REMEDIES.map((remedy) => (
          <button key={remedy} type="button" className={keys.other} onClick={() => onMeets(remedyWords(remedy))}>
            Pulled again with {remedy}
          </button>
        ))}
        <button type="button" className={keys.other} onClick={onLeave}>
          Not after all
        </button>
      </p>
    </section>
  );
}
