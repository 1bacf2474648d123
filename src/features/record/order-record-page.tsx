'use client';

import type { Engine } from '@/model/engine/engine';
import { fullDate, fullTime } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { RunningHead } from '@/interface/parts/running-head';
import { Notice, Screen, Section } from '@/interface/parts/screen';
import { SignLine } from '@/interface/parts/sign-line';
import table from '@/interface/parts/table.module.css';
import { seenWords } from '@/interface/words/seen-words';
import { ANSWER_WORDS, START_WORDS } from '@/interface/words/start-words';
import { partWords, STEP_STATE_WORDS, surfaceWords } from '@/interface/words/order-words';
import type { NoteWithPhotos } from '@/model/note';
import { NotesPrinted } from './notes-printed';
import type { BuildLine } from '@/model/order/build-line';
import type { OrderState } from '@/model/order/order-state';
import type { StepState } from '@/model/order/step-state';
import type { TrayPart } from '@/model/order/tray';

export interface OrderRecord extends Pick<OrderState, 'steps' | 'tray' | 'loose' | 'aids' | 'lines'> {
  /** Of its steps and its parts. */
  readonly notes: readonly NoteWithPhotos[];
  readonly engine: Engine;
  /** The page that a step is from, by the step. */
  readonly pages: Readonly<Record<string, string>>;
}

/** What was written of a step beside that it was done: what was felt and read, how it lies, what it passed and why. */
function saidOf({ step, done, why, state }: StepState, page: string | undefined): readonly string[] {
  const { set, felt, turnsAt, marks, passed } = done?.line?.body ?? {};
  return [
    page && `from ${page}`,
    step.detail.lies,
    ...(state === 'done' ? step.detail.surfaces.map((surface) => `on its faces: ${surfaceWords(surface)}`) : []),
    set && `set: ${set}`,
    felt && `felt: ${felt}`,
    turnsAt && `turns over at ${turnsAt}`,
    marks && `marks read: ${marks[0]} on the part, ${marks[1]} where it goes`,
    passed && `passed with a reason: ${passed.reason} (${passed.bars.join(' ')})`,
    state === 'done' ? '' : why,
  ].filter((said): said is string => Boolean(said));
}

const whenOf = ({ done }: StepState): string => {
  const at = done?.line ? (done.line.recordedAt ?? done.line.at) : done?.movedAt;
  return at === undefined ? '' : fullDate(at);
};

function StepTable({ steps, pages }: Pick<OrderRecord, 'steps' | 'pages'>) {
  return (
    <div className={table.frame} tabIndex={0} role="group" aria-label="The steps">
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">Step</th>
            <th scope="col">Stands</th>
            <th scope="col">Done</th>
            <th scope="col">Who</th>
          </tr>
        </thead>
        <tbody>
          {steps.map((one) => (
            <tr key={one.step.id}>
              <th scope="row">
                {one.step.name}
                {saidOf(one, pages[one.step.id]).map((said, i) => (
                  <span key={i} className="soft">
                    {' '}
                    · {said}
                  </span>
                ))}
              </th>
              <td>{STEP_STATE_WORDS[one.state]}</td>
              <td className={table.whole}>{whenOf(one)}</td>
              <td>{one.done?.line?.who}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

const PartRow = ({ one }: { readonly one: TrayPart }) => (
  <tr>
    <th scope="row">
      {one.part.name} {one.part.mark && <span className="soft">marked {one.part.mark}</span>}{' '}
      {one.part.serial && <span className="soft">number {one.part.serial}</span>}
    </th>
    <td className={table.right}>{one.part.need}</td>
    <td className={table.right}>{one.used}</td>
    <td className={table.right}>{one.left}</td>
    <td>{partWords(one).join('; ')}</td>
  </tr>
);

function TrayTable({ tray }: { readonly tray: readonly TrayPart[] }) {
  return (
    <div className={table.frame} tabIndex={0} role="group" aria-label="The tray">
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">Part</th>
            <th scope="col" className={table.right}>
              Needed
            </th>
            <th scope="col" className={table.right}>
              Built in
            </th>
            <th scope="col" className={table.right}>
              Left
            </th>
            <th scope="col">Said of it</th>
          </tr>
        </thead>
        <tbody>
          {tray.map((one) => (
            <PartRow key={one.part.id} one={one} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What of the lines is history of the build and stands at no step. */
function eventWords(line: BuildLine): string | undefined {
  switch (line.kind) {
    case 'trial':
      return 'A trial build was begun';
    case 'stripped':
      return 'The trial build was taken apart';
    case 'cleaned':
      return 'What was tried was cleaned';
    case 'swarf':
      return `Cut, honed or filed: ${line.body.words}`;
    case 'exchanged':
      return `Exchanged: ${line.body.words}`;
    case 'undone':
      return `Opened up again: ${line.body.reason}`;
    case 'looked':
      return `Looked at: ${line.body.words}`;
    case 'start-look':
      return `First start, ${START_WORDS[line.body.check]}: ${ANSWER_WORDS[line.body.is]}${line.body.words && `, ${line.body.words}`}`;
    case 'start-wrong':
      return `A start that went wrong, ${fullTime(line.body.on)}: ${line.body.seen.map(seenWords).join('; ')}`;
    case 'start-passed':
      return `Started all the same: ${line.body.reason} (${line.body.bars.join(' ')})`;
    case 'paused':
      return `Laid still${line.body.covered && `, covered: ${line.body.covered}`}`;
    case 'resumed':
      return `Taken up again${line.body.words && `: ${line.body.words}`}`;
    default:
      return undefined;
  }
}

/** The order of a build as it is printed: every step with who and when, the tray, and what happened between. */
export function OrderRecordPage({ engine, steps, tray, loose, aids, lines, notes, pages }: OrderRecord) {
  const open = [...loose.map(({ words }) => words), ...aids.map(({ name }) => `in: ${name}`)];
  const events = lines.flatMap((line) => {
    const words = eventWords(line);
    const step = 'stepId' in line ? steps.find((one) => one.step.id === line.stepId)?.step.name : undefined;
    return words === undefined ? [] : [{ id: line.id, at: line.recordedAt ?? line.at, who: line.who, words, step }];
  });
  return (
    <Screen
      plain
      title="Record of the order"
      lead={[engine.name, engine.engineNumber].filter(Boolean).join(', ')}
      aside={<Button onClick={() => window.print()}>Print</Button>}
    >
      <RunningHead words={[engine.name, engine.engineNumber, 'order of the build'].filter(Boolean).join(', ')} />
      {open.length > 0 && <Notice kind="wait">Unfinished: {open.join('; ')}.</Notice>}
      <Section title="Steps">
        <StepTable steps={steps} pages={pages} />
      </Section>
      {tray.length > 0 && (
        <Section title="Parts">
          <TrayTable tray={tray} />
        </Section>
      )}
      {events.length > 0 && (
        <Section title="What happened between">
          <ul className="points">
            {events.map(({ id, at, who, words, step }) => (
              <li key={id}>
                {fullDate(at)}
                {who && `, ${who}`}: {step && `${step}. `}
                {words}
              </li>
            ))}
          </ul>
        </Section>
      )}
      {notes.length > 0 && (
        <Section title="Notes">
          {[...steps.map(({ step }) => step), ...tray.map(({ part }) => part)].map(({ id, name }) => {
            const own = notes.filter(({ stepId, partId }) => (stepId ?? partId) === id);
            return (
              own.length > 0 && (
                <div key={id}>
                  <h3>{name}</h3>
                  <NotesPrinted notes={own} />
                </div>
              )
            );
          })}
        </Section>
      )}
      <SignLine />
    </Screen>
  );
}
