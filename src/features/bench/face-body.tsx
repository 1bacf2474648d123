'use client';

import { useMounted } from '@mantine/hooks';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import type { PullOutcome, PullReading } from '@/core/tightening';
import type { Purpose } from '@/model/joint/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { useFigures } from '@/interface/figures/preferences';
import { SHEET } from '@/interface/shell/sheet-id';
import { againWords, callWords } from './call-words';
import { FaceCall } from './face-call';
import { FaceDrawing } from './face-drawing';
import { FaceHead } from './face-head';
import { FaceHeld } from './face-held';
import { FaceInstruments, FaceLive } from './face-instruments';
import { FaceKeyRow } from './face-key-row';
import { FaceTroubles } from './face-troubles';
import type { KnownOfPlaces } from './known-of-places';
import { LOCK_LAST, lockingAt, SLOT_MEETS } from './lock-words';
import { LookingOn } from './looking-on';
import { NoSlot, useNoSlot } from './no-slot';
import type { CrankHeld } from '@/model/order/crank';
import type { ChangedSince } from './queries';
import { movedPull } from './read-words';
import { say } from './say';
import { TouchAgain } from './touch-again';
import { useAwake } from './use-awake';
import type { BenchRecord } from './use-bench-record';
import { useFaceKeys } from './use-face-keys';
import { useGap } from './use-gap';
import { useHeardWrench } from './use-heard-wrench';
import type { Hold } from './use-hold';
import { useOnePress } from './use-one-press';
import styles from './face.module.css';

export interface FaceBodyProps {
  readonly jointName: string;
  readonly engineName: string;
  readonly purpose: Purpose;
  readonly plan: TighteningPlan;
  readonly caps: boolean;
  readonly back: string;
  readonly known: KnownOfPlaces;
  /** What the sheet says otherwise since this was begun. */
  readonly changed?: ChangedSince;
  /** What holds the crank: no turn is asked for. */
  readonly crank?: CrankHeld;
  readonly sheet: string;
  readonly openedAt: number;
  /** A wrench that is none may be pulled here: in the demonstration, and where nothing is recorded. */
  readonly standIn: boolean;
  readonly record: BenchRecord;
  readonly hold: Hold;
  /** The way to another round. */
  readonly takeUp?: ReactNode;
  /** Nothing of it is recorded. */
  readonly isRehearsal?: boolean;
  /** What stands under the drawing. */
  readonly beside?: ReactNode;
}

/** One fastener at a time, readable at two metres, worked with a knuckle, a foot, the space bar or the wrench itself. */
export function FaceBody(props: FaceBodyProps) {
  const { plan, purpose, back, record, hold, changed } = props;
  const router = useRouter();
  const { round } = record;
  const [step, isOver] = [plan.steps[round.next], round.over.length > 0];
  // The key opens once the page is alive and knows what a closed one left over: no press before it is taken for a pull.
  const alive = useMounted() && record.ready;
  const held = step?.kind === 'shaft' ? props.crank : undefined;
  useAwake();
  const { plain } = useFigures();
  const press = useOnePress();
  const [lastBefore] = useState(round.last);
  const gap = useGap(lastBefore && props.openedAt - Date.parse(lastBefore.at));
  const isLong = gap.isLong && !hold.looksOn && !round.complete && round.last !== undefined;
  const called = isOver ? plan.steps[round.over[0] ?? -1] : step;
  const pulled = called?.kind === 'pull' ? called : undefined;
  const asksSlot = !isOver && pulled?.final === true && lockingAt(props, pulled.position) === 'pin';
  const noSlot = useNoSlot(record.count);
  const isRead = pulled !== undefined && plan.care !== 'hand';
  const put = (outcome: PullOutcome, words?: string, reading?: PullReading) =>
    isOver ? record.again(outcome, reading) : step?.kind === 'pull' && record.pull(outcome, words, reading);
  const heard = useHeardWrench({
    plan,
    step: isRead && alive && !isLong && !hold.looksOn ? pulled : undefined,
    at: isOver ? (round.over[0] ?? -1) : round.next,
    count: record.count,
    asksSlot,
    isRehearsal: props.isRehearsal ?? false,
    onPull: (outcome, words, reading, byItself) => {
      press.recorded(byItself);
      // A device that slept asks for the last one to be touched again, also where the next was pulled meanwhile.
      const stops = gap.stops();
      if (!stops) put(outcome, words, reading);
      return !stops;
    },
  });
  // After a long gap the first press says that the last one was touched again, and does nothing else.
  const act = (run: () => unknown) => !hold.looksOn && !heard.held && press.act(() => gap.stops() || run());
  const pull = (outcome: PullOutcome, words?: string) => act(() => put(outcome, words));
  const leave = () => router.push(back);
  const main = () => {
    if (hold.looksOn) return hold.seen?.mayTake && press.act(() => hold.move('take'));
    if (round.complete) return press.leave(leave);
    if (isOver || step?.kind !== 'shaft') return pull('pulled', asksSlot ? SLOT_MEETS : undefined);
    return held && !isLong ? undefined : act(() => record.shaftTurned());
  };
  // What recorded itself may be taken back at once: that press means nothing else.
  const strike = () => !hold.looksOn && !heard.held && press.undo(() => gap.stops() || record.strikeLast());
  const call =
    isLong && round.last
      ? againWords(plan, round, round.last)
      : callWords(plan, round, held, plain, props.known.placeNotes);
  const isSlotOpen = asksSlot && !isLong && !hold.looksOn && noSlot.isOpen;
  const meets = (words: string) =>
    heard.held ? heard.decide(heard.held.outcome ?? 'pulled', words) : pull('pulled', words);
  useFaceKeys({
    main,
    strike,
    leave,
    say: () => say(call),
    didNotMove: () => pull('did-not-move'),
    alreadyPast: () => pull('already-past'),
    wentOver: () => pull('went-over'),
  });
  return (
    <main className={styles.face} id={SHEET} data-rehearsal={props.isRehearsal || undefined}>
      <FaceHead {...props} round={round} passedOver={press.passedOver}>
        {plan.care !== 'hand' && !hold.looksOn && !props.isRehearsal && <FaceInstruments heard={heard} />}
        {props.takeUp}
      </FaceHead>
      <FaceDrawing
        plan={plan}
        round={round}
        next={pulled?.position}
        pending={record.pending}
        caps={props.caps}
        placeNotes={props.known.placeNotes}
        purpose={purpose}
        asksLock={(position) => LOCK_LAST[lockingAt(props, position)] !== undefined}
        beside={props.beside}
      />
      <FaceLive heard={heard} />
      {isLong && round.last ? (
        <TouchAgain plan={plan} round={round} last={round.last} openedAt={props.openedAt} />
      ) : pulled && isSlotOpen ? (
        <NoSlot plan={plan} pulled={pulled} known={props.known} onMeets={meets} onLeave={noSlot.close} />
      ) : (
        <FaceCall plan={plan} round={round} purpose={purpose} held={held} known={props.known} />
      )}
      <p className="only-spoken" role="status" aria-atomic>
        {press.passedOver ? 'One press counted. ' : ''}
        {call}
      </p>
      <FaceTroubles
        changed={changed}
        record={record}
        sheet={props.sheet}
        hold={hold}
        heard={heard}
        isOut={noSlot.isOut}
      />
      {hold.looksOn ? (
        <LookingOn hold={hold} openedAt={props.openedAt} onLeave={leave} />
      ) : heard.held && pulled ? (
        <FaceHeld plan={plan} step={pulled} heard={heard} isAgain={isOver} onNoSlot={noSlot.open} />
      ) : (
        <FaceKeyRow
          plan={plan}
          record={record}
          step={step}
          isLong={isLong}
          canPress={alive && (isLong || isOver || held === undefined)}
          held={held}
          asksSlot={asksSlot}
          heard={isRead ? heard : undefined}
          pulled={pulled}
          standIn={props.standIn}
          isSlotOpen={isSlotOpen}
          onNoSlot={noSlot.open}
          asksMoved={purpose === 'retorque' && isRead && pulled.turn === undefined}
          onMoved={(moved) => act(() => put(...movedPull(plan, pulled, moved)))}
          onTurned={(words) => act(() => record.shaftTurned(words))}
          onMain={main}
          onPull={pull}
          onStrike={strike}
          onLeave={leave}
        />
      )}
    </main>
  );
}
