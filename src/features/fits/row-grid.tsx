'use client';

import { cellGroups, runout, type Part, type ReadingPlan } from '@/core/fits';
import type { FitStanding, PlaceStanding } from '@/db/fit-standing';
import { useLengths } from '@/interface/figures/preferences';
import table from '@/interface/parts/table.module.css';
import { PART_WORDS, partName, stationName } from '@/interface/words/fit-words';
import { ReadingCell } from './reading-cell';
import styles from './readings.module.css';
import type { Entry } from './use-fit-entry';

interface Props {
  readonly standing: FitStanding;
  readonly plan: ReadingPlan;
  readonly entry: Entry;
}

const ROW_WORDS = { float: 'Time', feelers: 'At', length: 'Reading', runout: 'At', pair: '' } as const;

/** What one row comes to, where it comes to something by itself. */
function rowFigure(place: PlaceStanding, station: number, parts: readonly Part[]): readonly [low: number, high: number] | undefined {
  const read = (part: Part) => place.current.get(`${part}.${station}.0`)?.value_mm;
  const [push, pull, goes, stops, high, low] = [read('push'), read('pull'), read('goes'), read('stops'), read('high'), read('low')];
  if (parts.includes('push') && push !== undefined && pull !== undefined && pull >= push) return [pull - push, pull - push];
  if (parts.includes('goes') && goes !== undefined && stops !== undefined) return [goes, stops];
  if (high !== undefined && low !== undefined && high >= low) {
    const { fullIndicatorReading_mm } = runout(high, low);
    return [fullIndicatorReading_mm, fullIndicatorReading_mm];
  }
  return undefined;
}

/** Play, gaps, lengths and runout: a row a repeat or a spot, a column a part of the reading. */
export function RowGrid({ standing, plan, entry }: Props) {
  const { span } = useLengths();
  const groups = cellGroups(plan).map((cells) => [...new Set(cells.map(({ part }) => part))]);
  const { shape, sides } = plan.kind;
  const isSize = standing.kind.id === 'spring-height';
  return groups.map((parts) => (
    <div key={parts.join()} className={table.frame} role="group" aria-label={parts.map((part) => partName(part, sides)).join(', ')}>
      <table className={`${table.table} ${styles.rows}`}>
        <thead>
          <tr>
            {standing.places.length > 1 && <th scope="col">Place</th>}
            {plan.stations > 1 && <th scope="col">{ROW_WORDS[shape]}</th>}
            {parts.map((part) => <th key={part} scope="col">{part === 'journal' || part === 'bore' ? '' : PART_WORDS[part]}</th>)}
            {shape !== 'length' && <th scope="col">Comes to</th>}
          </tr>
        </thead>
        <tbody>
          {standing.places.flatMap((place) =>
            Array.from({ length: plan.stations }, (_, station) => {
              const figure = rowFigure(place, station, parts);
              const at = shape === 'feelers' || shape === 'runout' ? stationName(station) : `${station + 1}`;
              return (
                <tr key={`${place.place} ${station}`}>
                  {standing.places.length > 1 && station === 0 && <th scope="rowgroup" rowSpan={plan.stations}>{place.name}</th>}
                  {plan.stations > 1 && <td>{at}</td>}
                  {parts.map((part) => (
                    <td key={part}>
                      <ReadingCell
                        cell={{ part, station, angle: 0, place: place.place }}
                        label={[standing.places.length > 1 ? place.name : '', partName(part, sides), plan.stations > 1 ? at : ''].filter(Boolean).join(', ')}
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
  )); // prettier-ignore
}
