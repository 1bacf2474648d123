import { torqueToSi } from '@/core/units';
import type { PullOutcome, PullStep, Step } from '@/core/tightening';
import { figureAt, type TighteningPlan } from '@/model/joint/tightening-plan';
import type { CrankHeld } from '@/model/order/crank';
import { FaceReason } from './face-reason';
import { FaceStandIn } from './face-stand-in';
import {
  NO_FIGURE_READ,
  NO_MOVE_READ,
  NO_TURN_READ,
  figureRead,
  movedRead,
  turnRead,
  type MovedRead,
} from './read-words';
import type { BenchRecord } from './use-bench-record';
import type { HeardAtBench } from './use-heard-wrench';
import keys from './face-keys.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly record: BenchRecord;
  readonly step: Step | undefined;
  /** The work was left for long, and the last fastener is to be touched again first. */
  readonly isLong: boolean;
  readonly canPress: boolean;
  /** The crank is to be turned now, and this holds it. */
  readonly held: CrankHeld | undefined;
  /** Once it is pulled a pin goes through this one: a slot has to meet the hole. */
  readonly asksSlot: boolean;
  /** What may be read of it; undefined where it goes by feel. */
  readonly heard: HeardAtBench | undefined;
  /** The pull whose turn it is. */
  readonly pulled: PullStep | undefined;
  readonly standIn: boolean;
  /** What a slot further costs is looked at: that is the question now, and none of the others. */
  readonly isSlotOpen: boolean;
  /** No slot meets: what that costs is looked at. */
  readonly onNoSlot: () => void;
  /** It is gone over again: how far it moved, from mark to mark, tells whether the joint has settled. */
  readonly asksMoved: boolean;
  readonly onMoved: (moved: MovedRead) => void;
  /** The crank went round, with what was read at it. */
  readonly onTurned: (words: string) => void;
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
function keyWords({
  step,
  asksSlot,
  isOver,
  isLong,
  binds,
}: Pick<Props, 'step' | 'asksSlot' | 'isLong'> & { readonly isOver: boolean; readonly binds: boolean }): string {
  if (isLong) return 'It is as I left it';
  if (binds) return 'It turns freely now';
  if (isOver) return 'Pulled again';
  if (step?.kind === 'shaft') return 'Crank turned';
  if (asksSlot) return step?.turn ? 'Turned: a slot meets' : 'Pulled: a slot meets';
  return step?.turn ? 'Turned' : 'Pull';
}

// A pointer must not leave the focus on a key: the next space bar belongs to the pull.
const keepFocus = (event: React.PointerEvent | React.MouseEvent) => event.preventDefault();

/** What somebody read of the pull themselves: the figure, or of a turn the angle. */
function ReadByEye({
  plan,
  pulled,
  heard,
  at,
}: Pick<Props, 'plan'> & Record<'pulled', PullStep> & { readonly heard: HeardAtBench; readonly at: number }) {
  const { unit } = figureAt(plan, pulled.position);
  return pulled.turn ? (
    <FaceReason
      key={`turn ${at}`}
      open="How far it turned"
      label="How far it was turned, degrees"
      act="Turned so far"
      short
      check={(typed) => (turnRead(typed) === undefined ? NO_TURN_READ : undefined)}
      onReason={(typed) => heard.read({ turned_deg: turnRead(typed) })}
    />
  ) : (
    <FaceReason
      key={`read ${at}`}
      open="What it read"
      label={`What the wrench read, ${unit}`}
      act="Read so"
      short
      check={(typed) => (figureRead(typed) === undefined ? NO_FIGURE_READ : undefined)}
      onReason={(typed) => heard.read({ read_Nm: torqueToSi(figureRead(typed) ?? 0, unit) })}
    />
  );
}

/** How it went, if not plainly. */
function Others({
  plan,
  record,
  asksSlot,
  asksMoved,
  heard,
  pulled,
  standIn,
  onNoSlot,
  onMoved,
  onPull,
}: Omit<Props, 'step'>) {
  const { round } = record;
  return (
    <div className={keys.others} aria-label="How it went, if not a plain pull" role="group">
      {OTHERS.map(([outcome, words, letter]) => (
        <button
          key={outcome}
          type="button"
          className={keys.other}
          onMouseDown={keepFocus}
          onClick={() => onPull(outcome)}
        >
          {words} <kbd>{letter}</kbd>
        </button>
      ))}
      {asksMoved && (
        <FaceReason
          key={`moved ${round.next}`}
          open="Pulled, and how far it moved"
          label="How far it moved, in degrees; and the figure at which it broke away: 8 at 24"
          act="It moved so far"
          short
          check={(typed) => (movedRead(typed) === undefined ? NO_MOVE_READ : undefined)}
          onReason={(typed) => onMoved(movedRead(typed) ?? {})}
        />
      )}
      {heard && pulled && <ReadByEye plan={plan} pulled={pulled} heard={heard} at={round.next} />}
      {asksSlot && (
        <button type="button" className={keys.other} onClick={onNoSlot}>
          No slot meets
        </button>
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
      {standIn && heard && pulled && <FaceStandIn plan={plan} step={pulled} heard={heard} />}
    </div>
  );
}

/** What may be said of the crank beside that it went round. */
const AtShaft = ({ record, onTurned }: Pick<Props, 'record' | 'onTurned'>) => (
  <div className={keys.others}>
    <FaceReason
      key={`turned ${record.count}`}
      open="Turned, with what was read"
      label="What was read or felt: float, gap, how the rods fall"
      act="Turned"
      onReason={onTurned}
    />
    <FaceReason
      key={`binds ${record.count}`}
      open="It does not turn freely"
      label="What is felt, and since when"
      act="It binds"
      onReason={record.shaftBinds}
    />
  </div>
);

/** The keys of the face: what is done at a step, how it went if not plainly, and the way back. */
export function FaceKeyRow(props: Props) {
  const { plan, record, step, asksSlot, isLong, canPress, heard, pulled, standIn, held } = props;
  const { onTurned, onMain, onStrike, onLeave } = props;
  const { round } = record;
  const isOver = round.over.length > 0;
  // The main key leaves then.
  const isDone = round.complete && held === undefined;
  return (
    <div className={keys.keys} {...(isDone && { 'data-keys': 'two' })}>
      {isOver && !isLong && (
        <div className={keys.others}>
          {heard && pulled && <ReadByEye plan={plan} pulled={pulled} heard={heard} at={-1} />}
          <FaceReason
            open="Leave it as it is, with a reason"
            label="Why it is left as it is"
            act="Leave it so"
            onReason={record.leaveOver}
          />
          {standIn && heard && pulled && <FaceStandIn plan={plan} step={pulled} heard={heard} />}
        </div>
      )}
      {!isOver && !isLong && !props.isSlotOpen && step?.kind === 'pull' && <Others {...props} />}
      {!isOver && !isLong && held?.by === 'order' && (
        <div className={keys.others}>
          <FaceReason
            key={`unturned ${round.next}`}
            open="Go on without turning it, with a reason"
            label="Why it is not turned"
            act="Go on so"
            onReason={record.skip}
          />
        </div>
      )}
      {!isOver && !isLong && step?.kind === 'shaft' && canPress && <AtShaft record={record} onTurned={onTurned} />}
      <button
        type="button"
        className={keys.key}
        data-rank="strike"
        onMouseDown={keepFocus}
        onClick={onStrike}
        disabled={!round.last}
      >
        Undo last
      </button>
      <button
        type="button"
        className={keys.key}
        data-rank="main"
        data-main
        disabled={!canPress}
        onMouseDown={keepFocus}
        onClick={onMain}
      >
        {round.complete
          ? 'Leave the bench'
          : keyWords({ step, asksSlot, isOver, isLong, binds: round.binds !== undefined })}
      </button>
      {!isDone && (
        <button type="button" className={keys.key} data-rank="leave" onMouseDown={keepFocus} onClick={onLeave}>
          Leave
        </button>
      )}
    </div>
  );
}
