'use client';

import { useEffect, useRef } from 'react';
import type { PullStep } from '@/core/tightening';
import { useFigures } from '@/interface/figures/preferences';
import { limitsWords, readWords } from '@/interface/words/reading-words';
import type { ReadDoubt } from '@/model/joint/heard-wrench';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { FaceReason } from './face-reason';
import { SLOT_MEETS } from './lock-words';
import type { HeardAtBench } from './use-heard-wrench';
import keys from './face-keys.module.css';

interface Props {
  readonly plan: TighteningPlan;
  readonly step: PullStep;
  readonly heard: HeardAtBench;
  /** It is pulled a second time, for it went over. */
  readonly isAgain: boolean;
  /** No slot meets: what that costs is looked at. */
  readonly onNoSlot: () => void;
}

const SAYS: Readonly<Record<ReadDoubt, string>> = {
  slot: 'It is at its figure. Does a slot meet the hole?',
  short: 'That is short of what was asked for',
  past: 'That is past what was asked for',
  unread: 'What was asked for is not in the reading',
  'over-range': 'The wrench went past the end of its scale',
  late: 'The reading came late: it may be of another pull',
};

/** What the main key does with it: the least that can be wrong. */
const GO_ON: Readonly<Record<ReadDoubt, string>> = {
  slot: 'A slot meets',
  short: 'Pull it on',
  past: 'It went over',
  unread: 'Not recorded: go on',
  'over-range': 'Not recorded: go on',
  late: 'Not recorded: go on',
};

/** In the place of the keys: what was read is not what was asked for, and somebody has to say what it was. */
export function FaceHeld({ plan, step, heard: { held, decide, believe }, isAgain, onNoSlot }: Props) {
  const figures = useFigures();
  const panel = useRef<HTMLDivElement>(null);
  // The focus comes to where the answer is; the space bar alone must not give it.
  useEffect(() => panel.current?.focus(), [held]);
  if (!held) return null;
  const { doubt, reading } = held;
  const goOn = () =>
    doubt === 'slot' ? decide(held.outcome, SLOT_MEETS) : decide(doubt === 'past' ? 'went-over' : undefined);
  return (
    <div
      ref={panel}
      className={keys.keys}
      role="alertdialog"
      aria-label="What was read is not what was asked for"
      tabIndex={-1}
      data-keys={doubt === 'past' ? 'two' : 'one'}
      data-testid="held-reading"
    >
      <div className={keys.others}>
        <p className={keys.held} role="status">
          <b>{SAYS[doubt]}</b>
          {doubt === 'slot' ? ' ' : ': '}
          {readWords(plan, step, reading, figures) || 'no figure'}. {limitsWords(plan, step, figures)}
        </p>
        {!isAgain && (doubt === 'short' || doubt === 'past' || doubt === 'unread') && (
          <FaceReason
            open="Leave it so, with a reason"
            label="Why it is left so"
            act="Leave it so"
            onReason={(words) => decide('pulled', words)}
          />
        )}
        {doubt === 'slot' && (
          <button type="button" className={keys.other} onClick={onNoSlot}>
            No slot meets
          </button>
        )}
        {doubt === 'late' && (
          <button type="button" className={keys.other} onClick={believe}>
            It is this pull
          </button>
        )}
      </div>
      {doubt === 'past' && (
        <button type="button" className={keys.key} data-rank="strike" onClick={() => decide()}>
          Not this pull
        </button>
      )}
      <button type="button" className={keys.key} data-rank="main" onClick={goOn}>
        {GO_ON[doubt]}
      </button>
    </div>
  );
}
