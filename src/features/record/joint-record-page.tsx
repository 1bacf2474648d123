'use client';

import { Fragment } from 'react';
import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { TighteningState } from '@/model/joint/joint-state';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { useFigures } from '@/interface/figures/preferences';
import { fullTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { readWords } from '@/interface/words/reading-words';
import { shaftWords, doneWords, overLine, owedLine, pullWords, turnNumber } from '@/interface/words/bench-words';
import { kindLetter, lettersOf } from '@/interface/words/kind-words';
import { FigureFacts, WorkingTable } from './figure-printed';
import { NotesPrinted } from './notes-printed';
import type { JointRecord } from './queries';
import { RunningHead } from '@/interface/parts/running-head';
import { SignLine } from '@/interface/parts/sign-line';
import { SHEET } from '@/interface/shell/sheet-id';
import { METAL_WORDS } from '@/interface/words/metal-words';
import { usesWords } from '@/interface/words/uses-words';
import { usesOf } from '@/model/joint/uses';
import { HeatRecord } from './heat-record';
import { StretchRecord } from './stretch-record';
import { retorqueRule } from '@/interface/words/retorque-words';
import { HELP_ALONE } from '@/interface/words/reach-of-tool';
import styles from './joint-record-page.module.css';

/** What stood against the figure when it was begun, and why it was pulled all the same. */
function Against({ plan }: { readonly plan: TighteningPlan }) {
  if (!plan.guards || plan.guards.length === 0) return null;
  return (
    <div>
      <p>What stood against it:</p>
      <ul className="points">
        {plan.guards.map((guard) => (
          <li key={guard.code + guard.message}>
            {guard.severity === 'stop' ? '▲' : '△'} {guard.message}
          </li>
        ))}
      </ul>
      {plan.reason && (
        <p>
          Pulled all the same: <b>{plan.reason}</b>
        </p>
      )}
    </div>
  );
}

/** What was not known when it was begun, so that nobody takes it for judged. */
function NotKnown({ plan }: { readonly plan: TighteningPlan }) {
  if (plan.unknown === undefined || plan.unknown.length === 0) return null;
  return (
    <div>
      <p>Not known when it was begun ({plan.unknown.length}):</p>
      <ul className="points">
        {plan.unknown.map(({ code, what, unjudged }) => (
          <li key={code}>
            {what}: {unjudged}
          </li>
        ))}
      </ul>
    </div>
  );
}

/** `, read 31.2 lbf·ft, by Wrench 7` */
const withRead = (...of: Parameters<typeof readWords>): string => {
  const words = readWords(...of);
  return words && `, ${words}`;
};

/** Every line of one going-round, struck ones struck through. */
function Lines({ round }: { readonly round: TighteningState }) {
  const figures = useFigures();
  const { plain } = figures;
  const { tightening, events, state } = round;
  const { plan } = tightening;
  return (
    <section className={styles.round}>
      <h2>
        {PURPOSE_WORDS[tightening.purpose].name}, begun {fullTime(tightening.startedAt)}
      </h2>
      <p>
        {plan.care === 'hand' && <b>By hand, by feel. </b>}
        {state.complete
          ? `All ${plan.positions.length} to their figure.`
          : state.next >= plan.steps.length
            ? overLine(plan, state.over)
            : state.isOwed
              ? owedLine(plan, state.owed)
              : `Left at step ${state.next + 1} of ${plan.steps.length}.`}{' '}
        {[{ ...plan, name: '' }, ...(plan.kinds ?? [])].map((one, i) => (
          <Fragment key={one.name}>
            {one.name && `${kindLetter(i)}, ${one.name}: `}Wrench: {one.wrenchName}. Lubricant: {one.filmName}. From “
            {one.leaf.printedText}”, {one.leaf.source}, p. {one.leaf.page}.{' '}
          </Fragment>
        ))}
      </p>
      <Against plan={plan} />
      <NotKnown plan={tightening.plan} />
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Time</th>
            <th scope="col">Number</th>
            <th scope="col">Stage</th>
            <th scope="col" className={styles.right}>
              Set to
            </th>
            <th scope="col">How it went</th>
          </tr>
        </thead>
        <tbody>
          {events.map((event) => {
            const at = event.kind === 'strike' ? undefined : plan.steps[event.step];
            const step = at?.kind === 'pull' ? at : undefined;
            return (
              <tr key={event.id} data-struck={state.struck.has(event.id) || undefined} className={styles.line}>
                <td className="figure">
                  {fullTime(event.at)}
                  {event.who && `, ${event.who}`}
                </td>
                <td>
                  {step ? turnNumber(plan, step.position) : ''}
                  {step &&
                    plan.kinds &&
                    ` ${kindLetter(plan.kinds.findIndex(({ places }) => places.includes(step.position)) + 1)}`}
                </td>
                <td>{step ? step.stage + 1 : ''}</td>
                <td className={styles.right}>{step ? pullWords(plan, step, plain(step.setting)) : ''}</td>
                <td>
                  {event.kind === 'shaft' || event.kind === 'bind'
                    ? shaftWords(event)
                    : event.kind === 'strike'
                      ? 'line above cancelled'
                      : doneWords(event, at)}
                  {(event.kind === 'pull' || event.kind === 'again') && step && withRead(plan, step, event, figures)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </section>
  );
}

/** The record of one joint, laid out to be printed. */
export function JointRecordPage({ engine, joint, language, state, own, kinds, heat, bolts, notes }: JointRecord) {
  const shown = state.final ?? state.tightenings[0];
  const kept = shown?.tightening.plan;
  const uses = usesOf(state);
  const again = retorqueRule(state);
  return (
    <main className={styles.page} id={SHEET} data-plain>
      <RunningHead words={[engine.name, engine.engineNumber, joint.name].filter(Boolean).join(', ')} />
      <div className={styles.acts}>
        <Button rank="main" onClick={() => window.print()}>
          Print
        </Button>
        <a href={`/api/engines/${engine.id}/build?joint=${joint.id}`} download>
          The same as JSON
        </a>
      </div>
      <header className={styles.head}>
        <p className={styles.book}>Book of the build</p>
        <h1>{joint.name}</h1>
        <p>
          {engine.name}
          {engine.year ? `, ${engine.year}` : ''}
          {engine.engineNumber ? `, engine ${engine.engineNumber}` : ''}. Head {METAL_WORDS[engine.headMetal]}, block{' '}
          {METAL_WORDS[engine.blockMetal]}.
        </p>
      </header>
      <FigureFacts
        figure={own}
        count={joint.fasteners - kinds.reduce((sum, { places }) => sum + places.length, 0)}
        language={language}
        care={kept?.care}
      />
      {uses.count > 1 && <p>{usesWords(uses)}</p>}
      {again.length > 0 && (
        <p>
          <b>Gone over again.</b> {again.join(' ')}
        </p>
      )}
      {shown && (
        <div className={styles.drawing}>
          <PatternDrawing
            positions={shown.tightening.plan.positions}
            order={shown.tightening.plan.order}
            marks={shown.state.marks}
            caps={joint.pattern === 'caps'}
            letters={lettersOf(shown.tightening.plan.positions.length, kinds)}
            label="The fasteners, numbered in the turn in which they were pulled"
          />
        </div>
      )}
      <h2>{kinds.length > 0 ? `Working of ${kindLetter(0)}, the joint’s own` : 'Working'}</h2>
      <WorkingTable ladder={own.ladder} />
      {kinds.map((kind, i) => (
        <section key={kind.name} className={styles.round}>
          <h2>
            {kindLetter(i + 1)}, {kind.name}
          </h2>
          <FigureFacts figure={kind} count={kind.places.length} care={kept?.care} />
          <WorkingTable ladder={kind.ladder} />
        </section>
      ))}
      {state.tightenings.map((round) => (
        <Lines key={round.tightening.id} round={round} />
      ))}
      <StretchRecord bolts={bolts} />
      <HeatRecord heat={heat} />
      {notes.length > 0 && (
        <section className={styles.round}>
          <h2>Notes</h2>
          <NotesPrinted notes={notes} />
        </section>
      )}
      <SignLine />
      <p className={styles.foot}>{HELP_ALONE}</p>
    </main>
  );
}
