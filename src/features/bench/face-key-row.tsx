import type { PullOutcome, Step } from '@/core/tightening';
import { FaceReason } from './face-reason';
import { NO_SLOT_TURN, slotTurnWords } from './lock-words';
import type { BenchRecord } from './use-bench-record';
import styles from './face.module.css';

interface Props {
  readonly record: BenchRecord;
  readonly step: Step | undefined;
  /** The work was left for long, and the last fastener is to be touched again first. */
  readonly isLong: boolean;
  readonly canPress: boolean;
  /** A pin goes through this one once it is at its figure. */
  readonly isPinned: boolean;
  readonly onSlot: (words: string) => void;
  readonly onMain: () => void;
  readonly onPull: (outcome: PullOutcome) => void;
  readonly onStrike: () => void;
  readonly onLeave: () => void;
}

const OTHERS: readonly (readonly [PullOutcome, string, string])[] = [
  ['did-not-move', 'Did not move', 'M'],
  ['already-past', 'Already past', 'P'],
  ['went-over', 'Went over', 'O'],
];

/** What the main key says. */
function keyWords(step: Step | undefined, isOver: boolean, isLong: boolean): string {
  if (isLong) return 'It is as I left it';
  if (isOver) return 'Pulled again';
  if (step?.kind === 'shaft') return 'Crank turned';
  return step?.turn ? 'Turned' : 'Pull';
}

// A pointer must not leave the focus on a key: the next space bar belongs to the pull.
const keepFocus = (event: React.PointerEvent | React.MouseEvent) => event.preventDefault();

/** The keys of the face: what is done at a step, how it went if not plainly, and the way back. */
export function FaceKeyRow({
  record,
  step,
  isLong,
  canPress,
  isPinned,
  onSlot,
  onMain,
  onPull,
  onStrike,
  onLeave,
}: Props) {
  const { round } = record;
  const isOver = round.over.length > 0;
  return (
    <div className={styles.keys}>
      {isOver && (
        <div className={styles.others}>
          <FaceReason
            open="Leave it as it is, with a reason"
            label="Why it is left as it is"
            act="Leave it so"
            onReason={record.leaveOver}
          />
        </div>
      )}
      {!isOver && !isLong && step?.kind === 'pull' && (
        <div className={styles.others} aria-label="How it went, if not a plain pull" role="group">
          {OTHERS.map(([outcome, words, letter]) => (
            <button
              key={outcome}
              type="button"
              className={styles.other}
              onMouseDown={keepFocus}
              onClick={() => onPull(outcome)}
            >
              {words} <kbd>{letter}</kbd>
            </button>
          ))}
          {isPinned && step.final && (
            <FaceReason
              key={`slot ${round.next}`}
              open="On to a slot"
              label="How far it was turned on, degrees"
              act="Pulled, and turned on"
              check={(typed) => (slotTurnWords(typed) === undefined ? NO_SLOT_TURN : undefined)}
              onReason={(typed) => onSlot(slotTurnWords(typed) ?? '')}
            />
          )}
          {!round.isOwed && (
            <FaceReason
              key={round.next}
              open="Later, with a reason"
              label="Why it is passed over; it comes back at the end"
              act="Pass it over"
              onReason={record.skip}
            />
          )}
        </div>
      )}
      <button
        type="button"
        className={styles.key}
        data-rank="strike"
        onMouseDown={keepFocus}
        onClick={onStrike}
        disabled={!round.last}
      >
        Undo last
      </button>
      <button
        type="button"
        className={styles.key}
        data-rank="main"
        data-main
        disabled={!canPress}
        onMouseDown={keepFocus}
        onClick={onMain}
      >
        {round.complete ? 'Leave the bench' : keyWords(step, isOver, isLong)}
      </button>
      <button type="button" className={styles.key} data-rank="leave" onMouseDown={keepFocus} onClick={onLeave}>
        Leave
      </button>
    </div>
  );
}
