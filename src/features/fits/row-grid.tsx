'use client';

import { cellGroups, runout, type Part, type ReadingPlan } from '@/core/fits';
import type { FitState, FitPlace } from '@/model/fit/place-state';
import { useLengths } from '@/interface/figures/preferences';
import table from '@/interface/parts/table.module.css';
import { PART_WORDS, partName, stationName } from '@/interface/words/fit-words';
import { ReadingCell } from './reading-cell';
import styles from './readings.module.css';
import type { Entry } from './use-fit-entry';

interface Props {
  readonly judged: FitState;
  readonly plan: ReadingPlan;
  readonly entry: Entry;
}

const ROW_WORDS = { float: 'Time', feelers: 'At', length: 'Reading', runout: 'At', pair: '' } as const;

/** What one row comes to, where it comes to something by itself. */
function rowFigure(
  place: FitPlace,
  station: number,
  parts: readonly Part[],
): readonly [low: number, high: number] | undefined {
  const read = (part: Part) => place.current.get(`${part}.${station}.0`)?.value_mm;
  const [push, pull, goes, stops, high, low] = [
    read('push'),
    read('pull'),
    read('goes'),
    read('stops'),
    read('high'),
    read('low'),
  ];
  if (parts.includes('push') && push !== undefined && pull !== undefined && pull >= push)
    return [pull - push, pull - push];
  if (parts.includes('goes') && goes !== undefined && stops !== undefined) return [goes, stops];
  if (high !== undefined && low !== undefined && high >= low) {
    const { fullIndicatorReading_mm } = runout(high, low);
    return [fullIndicatorReading_mm, fullIndicatorReading_mm];
  }
  return undefined;
}

/** How a part is marked, where parts must not change places. Left empty, its place alone tells it. */
const PieceCell = ({
  piece,
  place,
  entry,
}: {
  readonly piece: string;
  readonly place: FitPlace;
  readonly entry: Entry;
}) => (
  <input
    className={styles.piece}
    aria-label={`${piece} marked, ${place.name}`}
    autoComplete="off"
    maxLength={20}
    value={entry.pieceAt(place.place)}
    onChange={(event) => entry.markPiece(place.place, event.currentTarget.value)}
  />
);

/** Play, gaps, lengths and runout: a row a repeat or a spot, a column a part of the reading. */
export function RowGrid({ judged, plan, entry }: Props) {
  const { span } = useLengths();
  const groups = cellGroups(plan).map((cells) => [...new Set(cells.map(({ part }) => part))]);
  const { shape, sides, piece, isSize } = plan.kind;
  return groups.map((parts) => (
    <div
      key={parts.join()}
      className={table.frame}
      role="group"
      aria-label={parts.map((part) => partName(part, sides)).join(', ')}
    >
      <table className={`${table.table} ${styles.rows}`}>
        <thead>
          <tr>
            {judged.places.length > 1 && <th scope="col">Place</th>}
            {piece && <th scope="col">{piece} marked</th>}
            {plan.stations > 1 && <th scope="col">{ROW_WORDS[shape]}</th>}
            {parts.map((part) => (
              <th key={part} scope="col">
                {part === 'journal' || part === 'bore' ? '' : PART_WORDS[part]}
              </th>
            ))}
            {shape !== 'length' && <th scope="col">Comes to</th>}
          </tr>
        </thead>
        <tbody>
          {judged.places.flatMap((place) =>
            Array.from({ length: plan.stations }, (_, station) => {
              const figure = rowFigure(place, station, parts);
              const at = shape === 'feelers' || shape === 'runout' ? stationName(station) : `${station + 1}`;
              return (
                <tr key={`${place.place} ${station}`}>
                  {judged.places.length > 1 && station === 0 && (
                    <th scope="rowgroup" rowSpan={plan.stations}>
                      {place.name}
                    </th>
                  )}
                  {piece && (
                    <td>
                      <PieceCell piece={piece} place={place} entry={entry} />
                    </td>
                  )}
                  {plan.stations > 1 && <td>{at}</td>}
                  {parts.map((part) => (
                    <td key={part}>
                      <ReadingCell
                        cell={{ part, station, angle: 0, place: place.place }}
                        label={[
                          judged.places.length > 1 ? place.name : '',
                          partName(part, sides),
                          plan.stations > 1 ? at : '',
                        ]
                          .filter(Boolean)
                          .join(', ')}
                        place={place}
                        entry={entry}
                        small={!isSize}
                      />
                    </td>
                  ))}
                  {shape !== 'length' && <td className="figure">{figure && span(figure[0], figure[1])}</td>}
                </tr>
              );
            }),
          )}
        </tbody>
      </table>
    </div>
  ));
}
