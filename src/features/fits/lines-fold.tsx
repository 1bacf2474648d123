'use client';

import { nanoid } from 'nanoid';
import { CHANGES, REMEDIES } from '@/core/fits';
import type { FitLine } from '@/db/fit';
import { kindOf } from '@/db/fit-standing';
import type { Fit } from '@/db/fit';
import { useLengths } from '@/interface/figures/preferences';
import { fullTime } from '@/interface/figures/times';
import { Fold } from '@/interface/parts/fold';
import table from '@/interface/parts/table.module.css';
import { angleName, partName, stationName } from './fit-words';
import styles from './places.module.css';

type Tell = (mm: number) => string;

/** A line in words. */
export function wordsOf(line: FitLine, fit: Fit, told: Tell): string {
  switch (line.kind) {
    case 'reading': {
      const { body, part, station, angle, typed, value_mm } = line;
      const where = [partName(part, kindOf(fit).sides), fit.stations > 1 || part === 'strip' ? stationName(station) : '', fit.angles > 1 && (part === 'journal' || part === 'bore') ? angleName(angle, fit.angles) : ''].filter(Boolean).join(' ');
      const from = [body.instrument, body.by && `read by ${body.by}`, body.reportedBy && `reported by ${body.reportedBy}`, body.part_C === undefined ? '' : `part at ${body.part_C} °C`].filter(Boolean).join(', ');
      return `${where}: “${typed}”, ${told(value_mm)}${from ? ` (${from})` : ''}`;
    }
    case 'felt':
      return `Felt: ${line.body.words}`;
    case 'affirm':
      return 'Conditions said to hold';
    case 'change':
      return `Changed: ${CHANGES[line.body.change].name}${line.body.words ? `, ${line.body.words}` : ''}`;
    case 'accept':
      return `Accepted: ${line.body.reason}`;
    case 'remedy':
      return `${REMEDIES[line.body.remedy].name}${line.body.words ? `: ${line.body.words}` : ''}`;
    case 'order':
      return `On order: ${line.body.words}`;
    case 'strip-in':
      return 'Strip laid in; the crank is held';
    case 'strip-out':
      return 'Strip taken out';
    case 'strike':
      return 'Struck';
  }
} // prettier-ignore

/** Every line of the fit, the newest first. A line is never taken away: it is struck by another. */
export function LinesFold({ fit, lines, add }: { readonly fit: Fit; readonly lines: readonly FitLine[]; readonly add: (line: FitLine) => void }) {
  const { size, gap } = useLengths();
  const struck = new Set(lines.flatMap((line) => (line.kind === 'strike' ? [line.strikes] : [])));
  const strike = (line: FitLine) =>
    add({ id: nanoid(), kind: 'strike', place: line.place, strikes: line.id, at: new Date().toISOString(), body: {} });
  const told = (line: FitLine): Tell => (line.kind === 'reading' && (line.part === 'journal' || line.part === 'bore') ? size : gap);
  return (
    <Fold title="Every line" line={lines.length === 1 ? 'one line' : `${lines.length} lines, the newest first`}>
      <div className={table.frame} tabIndex={0} role="group" aria-label="Every line of the fit">
        <table className={table.table}>
          <tbody>
            {lines.toReversed().filter(({ kind }) => kind !== 'strike').map((line) => (
              <tr key={line.id}>
                <td>{line.place === null ? 'everywhere' : fit.places[line.place]}</td>
                <td>{struck.has(line.id) ? <s>{wordsOf(line, fit, told(line))}</s> : wordsOf(line, fit, told(line))}</td>
                <td className="soft">{fullTime(line.at)}</td>
                <td>{!struck.has(line.id) && <button type="button" className={styles.decide} onClick={() => strike(line)}>Strike<span className="only-spoken"> {wordsOf(line, fit, told(line))}</span></button>}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </Fold>
  ); // prettier-ignore
}
