'use client';

import { PURPOSE_WORDS } from '@/interface/words/purpose-words';
import type { Ladder, Rung } from '@/core/joint';
import { turnsOfLeaf } from '@/model/book/leaf-figure';
import { turnsWords } from '@/model/joint/turns-words';
import type { PullStep } from '@/core/tightening';
import type { TighteningState } from '@/model/joint/joint-state';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { formatPieces } from '@/interface/figures/format';
import { useFigures } from '@/interface/figures/preferences';
import { fullTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { doneWords, overLine, pullWords, turnNumber, turnsOfPlan } from '@/interface/words/bench-words';
import { NotesPrinted } from './notes-printed';
import type { JointRecord } from './queries';
import { RunningHead } from '@/interface/parts/running-head';
import { SignLine } from '@/interface/parts/sign-line';
import { SHEET } from '@/interface/shell/sheet-id';
import styles from './joint-record-page.module.css';

/** The working as a table: a line a rung, from the page to the wrench. */
function WorkingTable({ ladder }: { readonly ladder: Pick<Ladder, 'rungs'> }) {
  const { torque, significant, decimalSign } = useFigures();
  const line = (rung: Rung) =>
    rung.working.map((one) => `${one.formula}: ${formatPieces(one.figures, decimalSign)}`).join('; ');
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">Rung</th>
          <th scope="col">Working</th>
          <th scope="col">Why, and from where</th>
          <th scope="col" className={styles.right}>
            Factor
          </th>
          <th scope="col" className={styles.right}>
            Figure
          </th>
        </tr>
      </thead>
      <tbody>
        {ladder.rungs.map((rung) => (
          <tr key={rung.id} data-aside={rung.override !== undefined || undefined}>
            <th scope="row">{rung.title}</th>
            <td className={styles.working}>{line(rung)}</td>
            <td>
              {rung.override && (
                <b>
                  {rung.override.value_Nm === null ? 'Taken out' : `Overruled by ${torque(rung.override.value_Nm, 4)}`}:{' '}
                  {rung.override.reason}.{' '}
                </b>
              )}
              {sentences(rung.school, rung.source, `Spread: ${rung.spread}`)}
            </td>
            <td className={styles.right}>{rung.factor === undefined ? '' : significant(rung.factor, 4)}</td>
            <td className={styles.right}>{torque(rung.value_Nm, 4)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Parts of a line as sentences, each said once and ended once. */
function sentences(...parts: readonly string[]): string {
  const said = parts.map((part) => part.trim().replace(/\.$/, '')).filter(Boolean);
  return said
    .filter((part, i) => !said.some((other, j) => j !== i && other.length > part.length && other.startsWith(part)))
    .map((part) => `${part}.`)
    .join(' ');
}

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

/** Every line of one going-round, struck ones struck through. */
function Lines({ round }: { readonly round: TighteningState }) {
  const { plain } = useFigures();
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
            : `Left at step ${state.next + 1} of ${plan.steps.length}.`}{' '}
        Wrench: {plan.wrenchName}. Lubricant: {plan.filmName}. From “{plan.leaf.printedText}”, {plan.leaf.source}, p.{' '}
        {plan.leaf.page}.
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
            const step =
              event.kind === 'strike' || event.kind === 'shaft' ? undefined : (plan.steps[event.step] as PullStep);
            return (
              <tr key={event.id} data-struck={state.struck.has(event.id) || undefined} className={styles.line}>
                <td className="figure">
                  {fullTime(event.at)}
                  {event.who && `, ${event.who}`}
                </td>
                <td>{step ? turnNumber(plan, step.position) : ''}</td>
                <td>{step ? step.stage + 1 : ''}</td>
                <td className={styles.right}>{step ? pullWords(plan, step, plain(step.setting)) : ''}</td>
                <td>
                  {event.kind === 'shaft'
                    ? 'crank turned'
                    : event.kind === 'strike'
                      ? 'line above cancelled'
                      : doneWords(event, step)}
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
export function JointRecordPage({ engine, inputs, state, worked, heat, notes }: JointRecord) {
  const { plain, kilonewtons } = useFigures();
  const { joint, source, leaf } = inputs;
  const { ladder, wrench } = worked;
  const shown = state.final ?? state.tightenings[0];
  const kept = shown?.tightening.plan;
  // What was tightened keeps its own reason; a leaf chosen since says nothing of it.
  const turns = kept ? turnsOfPlan(kept) : turnsOfLeaf(leaf);
  const leafReason = kept ? kept.leaf.reason : joint.detail.leafReason;
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
          {engine.engineNumber ? `, engine ${engine.engineNumber}` : ''}. Head {engine.headMetal}, block{' '}
          {engine.blockMetal}.
        </p>
      </header>
      <dl className={`label-value ${styles.facts}`}>
        <div>
          <dt>Printed</dt>
          <dd className="printed" lang={source.language || undefined}>
            “{kept?.leaf.printedText ?? leaf.printedText}”
          </dd>
        </div>
        <div>
          <dt>Source</dt>
          <dd>
            {kept?.leaf.source ?? [source.title, source.edition, source.year].filter(Boolean).join(', ')}, p.{' '}
            {kept?.leaf.page ?? leaf.page}
          </dd>
        </div>
        {leafReason && (
          <div>
            <dt>Lower-ranked entry</dt>
            <dd>taken because: {leafReason}</dd>
          </div>
        )}
        <div>
          <dt>Fasteners</dt>
          <dd>
            {joint.fasteners} × {kept?.thread ?? joint.thread}
          </dd>
        </div>
        <div>
          <dt>Wrench</dt>
          <dd>
            {kept?.care === 'hand' ? 'by hand, by feel; a wrench would be ' : ''}
            {kept?.wrenchName ?? wrench.name}, set to {plain((kept?.ladder ?? ladder).setting.rounded)}{' '}
            {kept?.unit ?? wrench.unit}
            {turns.length > 0 && `, then turned ${turnsWords(turns)} further`}
          </dd>
        </div>
        <div>
          <dt>{turns.length > 0 ? 'Clamp load before the turn' : 'Clamp load'}</dt>
          <dd>
            {kilonewtons((kept?.ladder ?? ladder).band.p50_N)}; {kilonewtons((kept?.ladder ?? ladder).band.p5_N)} to{' '}
            {kilonewtons((kept?.ladder ?? ladder).band.p95_N)} (5th to 95th percentile)
          </dd>
        </div>
      </dl>
      {shown && (
        <div className={styles.drawing}>
          <PatternDrawing
            positions={shown.tightening.plan.positions}
            order={shown.tightening.plan.order}
            marks={shown.state.marks}
            caps={joint.pattern === 'caps'}
            label="The fasteners, numbered in the turn in which they were pulled"
          />
        </div>
      )}
      <h2>Working</h2>
      <WorkingTable ladder={kept?.ladder ?? ladder} />
      {state.tightenings.map((round) => (
        <Lines key={round.tightening.id} round={round} />
      ))}
      {heat.cycles.length > 0 && (
        <section className={styles.round}>
          <h2>Heat</h2>
          <ul className="points">
            {heat.cycles.map((cycle) => (
              <li key={cycle.id}>
                Ran {fullTime(cycle.ranFrom)} to {fullTime(cycle.ranTo)}, highest {plain(cycle.highest_C)} °C, air{' '}
                {plain(cycle.ambient_C)} °C{cycle.who && `, ${cycle.who}`}.
                {heat.readings
                  .filter((one) => one.cycleId === cycle.id)
                  .map(
                    (one) => ` Head ${plain(one.head_C)} °C at ${fullTime(one.at)}${one.who ? `, ${one.who}` : ''}.`,
                  )}
              </li>
            ))}
          </ul>
        </section>
      )}
      {notes.length > 0 && (
        <section className={styles.round}>
          <h2>Notes</h2>
          <NotesPrinted notes={notes} />
        </section>
      )}
      <SignLine />
      <p className={styles.foot}>
        A figure reckoned here is help for a competent person, not authority over the manual or the maker of the part.
      </p>
    </main>
  );
}
