'use client';

import type { Purpose } from '@/model/joint/tightening';
import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { BenchEvent, PullOutcome } from '@/core/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { useFigures } from '@/interface/figures/preferences';
import { agoFrom } from '@/interface/figures/times';
import { callWords } from './call-words';
import { FaceCall } from './face-call';
import { FaceDrawing } from './face-drawing';
import { FaceHead } from './face-head';
import { FaceKeyRow } from './face-key-row';
import { FaceTroubles } from './face-troubles';
import { LookingOn } from './looking-on';
import { TouchAgain } from './touch-again';
import { lineOf } from '@/interface/words/bench-words';
import { SHEET } from '@/interface/shell/sheet-id';
import type { KnownOfPlaces } from './known-of-places';
import { lockingAt } from './lock-words';
import { say } from './say';
import { useAwake } from './use-awake';
import { useBenchRecord } from './use-bench-record';
import type { ChangedSince } from './queries';
import { useChangedSheet } from './use-changed-sheet';
import { useFaceKeys } from './use-face-keys';
import { useGap } from './use-gap';
import { useHold } from './use-hold';
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

/** The face: one fastener at a time, readable at two metres, worked with a knuckle, a foot or the space bar. */
export function Face(props: Props) {
  const { plan, jointName, engineName, purpose, back } = props;
  const router = useRouter();
  const record = useBenchRecord(props.tighteningId, plan, props.events);
  const { round } = record;
  const hold = useHold(props.tighteningId, record.written);
  const step = plan.steps[round.next];
  // The key opens once the page is alive, so that no press before it is taken for a pull.
  const alive = useMounted();
  const held = step?.kind === 'shaft' && props.strips.length > 0;
  useAwake();
  const changed = useChangedSheet(props.tighteningId, props.changed);
  const isOver = round.over.length > 0;
  const { plain } = useFigures();
  const press = useOnePress();
  const [lastBefore] = useState(round.last);
  const gap = useGap(lastBefore && props.openedAt - Date.parse(lastBefore.at));
  const isLong = gap.isLong && !hold.looksOn && !round.complete && round.last !== undefined;
  // After a long gap the first press says that the last one was touched again, and does nothing else.
  const act = (run: () => unknown) => !hold.looksOn && press.act(() => gap.stops() || run());
  const pull = (outcome: PullOutcome, words?: string) =>
    act(() => (isOver ? record.again(outcome) : step?.kind === 'pull' && record.pull(outcome, words)));
  const leave = () => router.push(back);
  const main = () => {
    if (hold.looksOn) return hold.seen?.mayTake && press.act(() => hold.move('take'));
    if (round.complete) return press.leave(leave);
    if (isOver || step?.kind !== 'shaft') return pull('pulled');
    return held && !isLong ? undefined : act(record.shaftTurned);
  };
  const strike = () => act(record.strikeLast);
  const call =
    isLong && round.last
      ? `You last did ${lineOf(plan, round.last)}. Touch it again before going on`
      : callWords(plan, round, held, plain, props.known.placeNotes);
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
      <FaceHead
        jointName={jointName}
        engineName={engineName}
        purpose={purpose}
        plan={plan}
        round={round}
        passedOver={press.passedOver}
        openedAt={props.openedAt}
      />
      <FaceDrawing
        plan={plan}
        round={round}
        next={nextPosition}
        pending={record.pending}
        caps={props.caps}
        placeNotes={props.known.placeNotes}
      />
      {isLong && round.last ? (
        <TouchAgain
          done={lineOf(plan, round.last)}
          ago={agoFrom(round.last.at, Math.max(props.openedAt, Date.parse(round.last.at)))}
        />
      ) : (
        <FaceCall plan={plan} round={round} purpose={purpose} strips={props.strips} known={props.known} />
      )}
      <p className="only-spoken" role="status" aria-atomic>
        {press.passedOver ? 'One press counted. ' : ''}
        {call}
      </p>
      <FaceTroubles changed={changed} record={record} sheet={props.sheet} hold={hold} />
      {hold.looksOn ? (
        <LookingOn hold={hold} openedAt={props.openedAt} onLeave={leave} />
      ) : (
        <FaceKeyRow
          record={record}
          step={step}
          isLong={isLong}
          canPress={alive && (isLong || isOver || !held)}
          isPinned={nextPosition !== undefined && lockingAt(props, nextPosition) === 'pin'}
          onSlot={(words) => pull('pulled', words)}
          onMain={main}
          onPull={pull}
          onStrike={strike}
          onLeave={leave}
        />
      )}
    </main>
  );
}
