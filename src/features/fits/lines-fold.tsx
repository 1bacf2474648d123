'use client';

import { nanoid } from 'nanoid';
import type { Fit, FitLine } from '@/model/fit/fit';
import { cancelledIn } from '@/model/fit/fit-fold';
import { kindOf } from '@/model/fit/kind-of-fit';
import { useLengths } from '@/interface/figures/preferences';
import { fullTime } from '@/interface/figures/times';
import { Disclosure } from '@/interface/parts/disclosure';
import table from '@/interface/parts/table.module.css';
import { lineWords, type Tell } from '@/interface/words/fit-line-words';
import styles from './places.module.css';

/** Every line of the fit, the newest first. A line is never taken away: it is struck by another. */
export function LinesFold({
  fit,
  lines,
  add,
}: {
  readonly fit: Fit;
  readonly lines: readonly FitLine[];
  readonly add: (line: FitLine) => void;
}) {
  const { size, gap } = useLengths(kindOf(fit).isSize);
  const struck = cancelledIn(lines);
  // What a line that was cancelled is put back by: the standing line that cancels it is cancelled in turn.
  const cancelling = ({ id }: FitLine) =>
    lines.find((line) => line.kind === 'strike' && line.strikes === id && !struck.has(line.id));
  const strike = (line: FitLine) =>
    add({ id: nanoid(), kind: 'strike', place: line.place, strikes: line.id, at: new Date().toISOString(), body: {} });
  const told = (line: FitLine): Tell =>
    line.kind === 'reading' && (line.part === 'journal' || line.part === 'bore') ? size : gap;
  return (
    <Disclosure title="Every line" line={lines.length === 1 ? 'one line' : `${lines.length} lines, the newest first`}>
      <div className={table.frame} tabIndex={0} role="group" aria-label="Every line of the fit">
        <table className={table.table}>
          <tbody>
            {lines
              .toReversed()
              .filter(({ kind }) => kind !== 'strike')
              .map((line) => (
                <tr key={line.id}>
                  <td>{line.place === null ? 'everywhere' : fit.places[line.place]}</td>
                  <td>
                    {struck.has(line.id) ? <s>{lineWords(line, fit, told(line))}</s> : lineWords(line, fit, told(line))}
                  </td>
                  <td className="soft">
                    {fullTime(line.at)}
                    {line.who && `, ${line.who}`}
                  </td>
                  <td>
                    <button
                      type="button"
                      className={`text-button ${styles.decide}`}
                      onClick={() => strike(cancelling(line) ?? line)}
                    >
                      {struck.has(line.id) ? 'Put back' : 'Undo'}
                      <span className="only-spoken"> {lineWords(line, fit, told(line))}</span>
                    </button>
                  </td>
                </tr>
              ))}
          </tbody>
        </table>
      </div>
    </Disclosure>
  );
}
