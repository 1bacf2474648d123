'use client';

import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { Purpose } from '@/model/joint/tightening';
import { useMounted } from '@mantine/hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect } from 'react';
import type { BenchEvent, PullOutcome, Step } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { useFigures } from '@/interface/figures/preferences';
import { agoFrom } from '@/interface/figures/times';
import { callWords } from './call-words';
import { FaceCall, type KnownOfPlaces } from './face-call';
import { FaceDrawing } from './face-drawing';
import { LeaveOver } from './leave-over';
import { lineOf } from '@/interface/words/bench-words';
import { SHEET } from '@/interface/shell/sheet-id';
import { say } from './say';
import { useAwake } from './use-awake';
import { useBenchRecord } from './use-bench-record';
import type { ChangedSince } from './queries';
import { useChangedSheet } from './use-changed-sheet';
import { useFaceKeys } from './use-face-keys';
import { useOnePress } from './use-one-press';
import styles from './face.module.css';

interface Props {
  readonly tighteningId: string;
  readonly jointName: string;
  readonly engineName: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly events: readonly BenchEvent[];
  readonly caps: boolean;
  readonly back: string;
  /** Where a strip lies: the crank is held, and no turn is asked for. */
  readonly strips: readonly string[];
  /** What the sheet says otherwise since this was begun. */
  readonly known: KnownOfPlaces;
  readonly changed?: ChangedSince;
  readonly sheet: string;
  readonly openedAt: number;
}

const OTHERS: readonly (readonly [PullOutcome, string, string])[] = [
  ['did-not-move', 'Did not move', 'M'],
  ['already-past', 'Already past', 'P'],
  ['went-over', 'Went over', 'O'],
];

/** What the main key says. */
function keyWords(step: Step | undefined, isOver: boolean): string {
  if (isOver) return 'Pulled again';
  if (step?.kind === 'shaft') return 'Crank turned';
  return step?.turn ? 'Turned' : 'Pull';
}

// A pointer must not leave the focus on a key: the next space bar belongs to the pull.
const keepFocus = (event: React.PointerEvent | React.MouseEvent) => event.preventDefault();

/** The face: one fastener at a time, readable at two metres, worked with a knuckle, a foot or the space bar. */
export function Face(props: Props) {
  const { plan, jointName, engineName, purpose, back } = props;
  const router = useRouter();
  const record = useBenchRecord(props.tighteningId, plan, props.events);
  const { round } = record;
  const step = plan.steps[round.next];
  // The key opens once the page is alive, so that no press before it is taken for a pull.
  const alive = useMounted();
  const held = step?.kind === 'shaft' && props.strips.length > 0;
  useAwake();
  const changed = useChangedSheet(props.tighteningId, props.changed);
  const isOver = round.over.length > 0;
  const { plain } = useFigures();
  const press = useOnePress();
  const pull = (outcome: PullOutcome) =>
    press.act(() => (isOver ? record.again(outcome) : step?.kind === 'pull' && record.pull(outcome)));
  const leave = () => router.push(back);
  const main = () => {
    if (round.complete) return press.leave(leave);
    if (isOver || step?.kind !== 'shaft') return pull('pulled');
    return held ? undefined : press.act(record.shaftTurned);
  };
  const strike = () => press.act(record.strikeLast);
  const call = callWords(plan, round, held, plain, props.known.placeNotes);
  useFaceKeys({
    main,
    strike,
    leave,
    say: () => say(call),
    didNotMove: () => pull('did-not-move'),
    alreadyPast: () => pull('already-past'),
    wentOver: () => pull('went-over'),
  });
  useEffect(() => {
    router.prefetch(back);
  }, [router, back]);
  const called = isOver ? plan.steps[round.over[0] ?? -1] : step;
  const nextPosition = called?.kind === 'pull' ? called.position : undefined;
  return (
    <main className={styles.face} id={SHEET}>
      <header className={styles.head}>
        <h1 className={styles.title} title={jointName}>
          {jointName}
          {PURPOSE_WORDS[purpose].title && <span className={styles.purpose}> {PURPOSE_WORDS[purpose].title}</span>}
        </h1>
        <p className={styles.engine} title={engineName}>
          {engineName}
        </p>
        <p className={styles.last}>
          {press.passedOver
            ? 'One press counted: a second within a third of a second is taken for the same.'
            : round.last
              ? `Last done: ${lineOf(plan, round.last)}, ${agoFrom(round.last.at, Math.max(props.openedAt, Date.parse(round.last.at)))}`
              : PURPOSE_WORDS[purpose].before}
        </p>
      </header>
      <FaceDrawing
        plan={plan}
        round={round}
        next={nextPosition}
        pending={record.pending}
        caps={props.caps}
        placeNotes={props.known.placeNotes}
      />
      <FaceCall plan={plan} round={round} purpose={purpose} strips={props.strips} known={props.known} />
      <p className="only-spoken" role="status" aria-atomic>
        {press.passedOver ? 'One press counted. ' : ''}
        {call}
      </p>
      <div className={styles.troubles}>
        {changed && !round.complete && (
          <p className={styles.trouble} role="alert">
            {changed.words} <Link href={props.sheet}>{changed.act}</Link>
          </p>
        )}
        {record.trouble && (
          <p className={styles.trouble} role="alert">
            {record.trouble}
          </p>
        )}
      </div>
      <div className={styles.keys}>
        {isOver && <LeaveOver onLeave={record.leaveOver} />}
        {!isOver && step?.kind === 'pull' && (
          <div className={styles.others} aria-label="How it went, if not a plain pull" role="group">
            {OTHERS.map(([outcome, words, letter]) => (
              <button
                key={outcome}
                type="button"
                className={styles.other}
                onMouseDown={keepFocus}
                onClick={() => pull(outcome)}
              >
                {words} <kbd>{letter}</kbd>
              </button>
            ))}
          </div>
        )}
        <button
          type="button"
          className={styles.key}
          data-rank="strike"
          onMouseDown={keepFocus}
          onClick={strike}
          disabled={!round.last}
        >
          Undo last
        </button>
        <button
          type="button"
          className={styles.key}
          data-rank="main"
          data-main
          disabled={!alive || (held && !isOver)}
          onMouseDown={keepFocus}
          onClick={main}
        >
          {round.complete ? 'Leave the bench' : keyWords(step, isOver)}
        </button>
        <button type="button" className={styles.key} data-rank="leave" onMouseDown={keepFocus} onClick={leave}>
          Leave
        </button>
      </div>
    </main>
  );
}
