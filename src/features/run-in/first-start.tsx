'use client';

import { Checkbox, TextInput } from '@mantine/core';
import { Link } from '@/interface/parts/link';
import { useState } from 'react';
import { nearTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { Notice } from '@/interface/parts/screen';
import { useLine } from '@/interface/record/use-line';
import { ANSWER_WORDS, START_CHECK_CHOICES, START_WORDS } from '@/interface/words/start-words';
import { MAY_BE_NONE, START_CHECKS } from '@/model/order/start-checks';
import { type AnsweredCheck } from '@/model/order/start-sheet';
import type { FirstStart as Start } from './starts';
import styles from './run-in-screen.module.css';

/** As many as are read before a start; the rest stand in the order. */
const MOST = 6;

const AGAIN = { old: 'too long ago: look at it again', 'went-wrong': 'a start went wrong since: look at it again' };

const LABELS = new Map(START_CHECK_CHOICES.map(({ value, label }) => [value, label]));

/** How a line was answered, by whom and when; why it is asked again. */
function Said({ answer: { line, again }, now }: { readonly answer: AnsweredCheck; readonly now: number }) {
  if (!line) return null;
  const { is, words } = line.body;
  return (
    <span className={again ? styles.again : 'soft'}>
      {ANSWER_WORDS[is]}
      {words && `: ${words}`}, {nearTime(line.recordedAt ?? line.at, now)}
      {line.who && `, ${line.who}`}
      {again && `; ${AGAIN[again]}`}
    </span>
  );
}

/** One thing that is looked at by hand: ticked, or left out with a reason; a tick is taken off again by a press. */
function Check({
  engineId,
  answer,
  now,
}: {
  readonly engineId: string;
  readonly answer: AnsweredCheck;
  readonly now: number;
}) {
  const { write, pending, problem } = useLine(engineId);
  const [reason, setReason] = useState<string>();
  // The tick follows the finger; what is on disk has the last word.
  const [ticked, setTicked] = useState(false);
  const { check, line, again } = answer;
  const holds = line !== undefined && !again;
  const say = (is: 'done' | 'none' | 'left-out', words = '') => {
    if (!pending) write({ kind: 'start-look', body: { check, is, words } }, () => setReason(undefined));
  };
  const takeBack = () => {
    if (line && !pending) write({ kind: 'strike', strikes: line.id, body: {} });
  };
  return (
    <li className={styles.check}>
      <Checkbox
        classNames={{ labelWrapper: styles.checkLabel }}
        label={LABELS.get(check)}
        checked={pending ? ticked : holds && line.body.is === 'done'}
        onChange={(event) => {
          setTicked(event.currentTarget.checked);
          if (holds) takeBack();
          else say('done');
        }}
      />
      <Said answer={answer} now={now} />
      {!holds && reason === undefined && (
        <span className={styles.checkActs}>
          {MAY_BE_NONE.has(check) && (
            <button type="button" className="text-button" onClick={() => say('none')}>
              It has none<span className="only-spoken">: {START_WORDS[check]}</span>
            </button>
          )}
          <button type="button" className="text-button" onClick={() => setReason('')}>
            Leave out<span className="only-spoken">: {START_WORDS[check]}</span>
          </button>
        </span>
      )}
      {holds && line.body.is !== 'done' && (
        <button type="button" className="text-button" onClick={takeBack}>
          Take back<span className="only-spoken">: {START_WORDS[check]}</span>
        </button>
      )}
      {!holds && reason !== undefined && (
        <span className={styles.answers}>
          <TextInput
            aria-label={`Why it is left out: ${START_WORDS[check]}`}
            placeholder="why it is left out"
            value={reason}
            autoFocus
            onChange={(event) => setReason(event.currentTarget.value)}
            onKeyDown={(event) => event.key === 'Enter' && reason.trim() !== '' && say('left-out', reason)}
          />
          <Button disabled={reason.trim() === ''} onClick={() => say('left-out', reason)}>
            Leave it out
          </Button>
          <Button onClick={() => setReason(undefined)}>Close</Button>
        </span>
      )}
      {problem && <span role="alert"> {problem.message}</span>}
    </li>
  );
}

interface Props {
  readonly engineId: string;
  readonly start: Start;
  readonly now: number;
}

/** Before the first start: its sheet, what stands against it in the order of the work, and the cautions where they bite. */
export function FirstStart({ engineId, start: { bars, checks, isReady, href }, now }: Props) {
  const open = checks.filter(({ line, again }) => !line || again).length;
  return (
    <>
      <Notice kind="stop">
        Belts, fans and hot metal; fumes; fire at first start. Nobody stands in line with the fan. No pressure within a
        minute: stop it.
      </Notice>
      {bars.length > 0 && (
        <>
          <Notice kind="stop">
            {bars.length} {bars.length === 1 ? 'thing stands' : 'things stand'} against the start: it is put right, or
            passed with a written reason. <Link href={href}>To the order</Link>
          </Notice>
          <ul className="points">
            {bars.slice(0, MOST).map((words, i) => (
              <li key={i}>{words}</li>
            ))}
            {bars.length > MOST && <li>{bars.length - MOST} more.</li>}
          </ul>
        </>
      )}
      <ul className={styles.sheetLines} aria-label="The first start’s sheet">
        {checks.map((answer) => (
          <Check key={answer.check} engineId={engineId} answer={answer} now={now} />
        ))}
      </ul>
      <Notice kind={isReady ? 'done' : 'wait'}>
        {isReady
          ? 'All of it was looked at, and nothing stands against it: it may be started, by the manual and with care.'
          : open === 0
            ? 'All of it was looked at.'
            : `${open} of ${START_CHECKS.length} to be looked at.`}
      </Notice>
    </>
  );
}
