'use client';

import { Link } from '@/interface/parts/link';
import type { FitLine } from '@/model/fit/fit';
import type { FitState } from '@/model/fit/place-state';
import type { Engine } from '@/model/engine/engine';
import type { EngineMeasure, MeasureKind } from '@/model/engine/engine-measure';
import { cameTo } from '@/interface/figures/came-to';
import { useFigures, useLengths } from '@/interface/figures/preferences';
import { fullDate } from '@/interface/figures/times';
import { Button } from '@/interface/parts/button';
import { RunningHead } from '@/interface/parts/running-head';
import { SignLine } from '@/interface/parts/sign-line';
import { Section, Screen } from '@/interface/parts/screen';
import table from '@/interface/parts/table.module.css';
import { lineWords } from '@/interface/words/fit-line-words';
import { METHOD_WORDS, STATE_WORDS } from '@/interface/words/fit-words';
import type { NoteWithPhotos } from '@/model/note';
import { measureWords } from '@/interface/words/measure-words';
import { NotesPrinted } from './notes-printed';
import styles from './fits-record-page.module.css';

export interface FitsRecord {
  readonly engine: Engine;
  readonly fits: readonly { readonly state: FitState; readonly lines: readonly FitLine[] }[];
  readonly measures: readonly EngineMeasure[];
  /** Of the engine itself, and of its fits. */
  readonly notes: readonly NoteWithPhotos[];
}

function FitRecord({ state, lines, notes }: FitsRecord['fits'][number] & Pick<FitsRecord, 'notes'>) {
  const told = useLengths(state.kind.isSize);
  const { fit, page } = state;
  const decided = lines.filter(({ kind }) => !['reading', 'affirm', 'strip-in', 'strip-out', 'strike'].includes(kind));
  const readings = lines.filter((line) => line.kind === 'reading');
  const instruments = [...new Set(readings.map(({ body }) => body.instrument).filter(Boolean))];
  const people = [
    ...new Set(
      readings.flatMap(({ body }) => [body.by, body.reportedBy && `reported by ${body.reportedBy}`]).filter(Boolean),
    ),
  ];
  return (
    <section className={styles.fit}>
      <h2>{fit.name}</h2>
      <p className="soft">
        {page
          ? `${page.says}.${page.corrected ? ` Corrected since: ${page.corrected.says}.` : ''}`
          : fit.wanted.limits
            ? 'Limits of our own.'
            : fit.wanted.rule
              ? 'By a rule on the diameter.'
              : 'Nothing says what is wanted.'}{' '}
        {readings.length} readings
        {instruments.length > 0 && ` with ${instruments.join(', ')}`}
        {people.length > 0 && `, by ${people.join(', ')}`}
        {readings[0] && `, ${fullDate(readings[0].at)}`}.
      </p>
      <div className={table.frame} tabIndex={0} role="group" aria-label={fit.name}>
        <table className={table.table}>
          <thead>
            <tr>
              <th scope="col">Place</th>
              <th scope="col">Came to</th>
              <th scope="col">Wanted</th>
              <th scope="col">Stands</th>
            </tr>
          </thead>
          <tbody>
            {state.places.map((place) => {
              const { figures, wanted } = place.result;
              return (
                <tr key={place.place}>
                  <th scope="row">{place.name}</th>
                  <td className="figure">
                    {figures
                      .map((one) => `${cameTo(told, one)}${figures.length > 1 ? ` ${METHOD_WORDS[one.method]}` : ''}`)
                      .join('; ')}
                  </td>
                  <td className="figure">{wanted && told.span(wanted.hard.min_mm, wanted.hard.max_mm)}</td>
                  <td>
                    {STATE_WORDS[place.state].words}
                    {place.accepted && `: ${place.accepted}`}
                    {place.why && `. ${place.why}`}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {decided.length > 0 && (
        <ul className={`points ${styles.decided}`}>
          {decided.map((line) => (
            <li key={line.id}>
              {fullDate(line.at)}, {line.place === null ? 'everywhere' : fit.places[line.place]}:{' '}
              {lineWords(line, fit, told.gap)}
            </li>
          ))}
        </ul>
      )}
      {notes.length > 0 && <NotesPrinted notes={notes} />}
    </section>
  );
}

const MEASURE_NAMES: Readonly<Record<MeasureKind, string>> = {
  volumes: 'Volumes',
  weights: 'Weights',
  balance: 'Balance',
  clocking: 'Ring clocking',
  bearings: 'Bearing sizes',
  marks: 'Match marks',
};

/** The record of what was measured: sizes, clearances, weights, balance, volumes; to read and to print. */
export function FitsRecordPage({ engine, fits, measures, notes }: FitsRecord) {
  const figures = useFigures();
  return (
    <Screen
      plain
      title="Fits, weights and volumes"
      lead={`${engine.name}${engine.engineNumber ? `, No. ${engine.engineNumber}` : ''}`}
      aside={
        <span className={styles.acts}>
          <Link href={`/engines/${engine.id}/record`}>The record</Link> <Button onClick={() => print()}>Print</Button>
        </span>
      }
    >
      <RunningHead words={[engine.name, engine.engineNumber, 'fits'].filter(Boolean).join(', ')} />
      {fits.map((one) => (
        <FitRecord key={one.state.fit.id} {...one} notes={notes.filter(({ fitId }) => fitId === one.state.fit.id)} />
      ))}
      {notes.some(({ fitId }) => fitId === null) && (
        <Section title="Notes">
          <NotesPrinted notes={notes.filter(({ fitId }) => fitId === null)} />
        </Section>
      )}
      {measures.length > 0 && (
        <Section title="Of the whole engine">
          <dl className={`label-value ${styles.sheets}`}>
            {measures.map((measure) => (
              <div key={measure.id}>
                <dt>{MEASURE_NAMES[measure.kind]}</dt>
                <dd>
                  {measureWords(measure, figures)} <span className="soft">{fullDate(measure.at)}</span>
                </dd>
              </div>
            ))}
          </dl>
        </Section>
      )}
      <SignLine />
    </Screen>
  );
}
