'use client';

import type { Cell, ReadingPlan } from '@/core/fits';
import type { FitLine } from '@/model/fit/fit';
import type { FitState, FitPlace } from '@/model/fit/place-state';
import { angleName, partName, stationName } from '@/interface/words/fit-words';
import { AngleDrawing, LengthDrawing, PartDrawing } from './part-drawing';
import { StripKey } from './place-acts';
import { CellProblems, ReadingCell } from './reading-cell';
import styles from './readings.module.css';
import type { Entry } from './use-fit-entry';

interface SideProps {
  readonly part: 'journal' | 'bore';
  readonly judged: FitState;
  readonly place: FitPlace;
  readonly plan: ReadingPlan;
  readonly entry: Entry;
}

const degreesOf = (angle: number, angles: number) => (angles <= 2 ? angle * 90 : (180 / angles) * angle);

/** One side of a pair, drawn as the part: a column a station, a row an angle. */
function SideGrid({ part, judged, place, plan, entry }: SideProps) {
  const { stations, angles, kind } = plan;
  const name = partName(part, kind.sides);
  const columns = { '--stations': stations } as React.CSSProperties;
  const cells = (angle: number): readonly Cell[] =>
    Array.from({ length: stations }, (_, station) => ({ part, station, angle }));
  return (
    <div
      className={styles.side}
      style={columns}
      role="group"
      aria-label={`${name}, ${judged.fit.places.length > 1 ? place.name : judged.fit.name}`}
    >
      <span className={styles.sideName}>{name}</span>
      {kind.along ? (
        <LengthDrawing side={part === 'journal' ? 'inner' : 'outer'} />
      ) : (
        <PartDrawing side={part === 'journal' ? 'inner' : 'outer'} stations={stations} />
      )}
      <span />
      {Array.from({ length: stations }, (_, station) => (
        <span key={station} className={styles.stationName} aria-hidden>
          {kind.along && stations === 1 ? '' : stationName(station)}
        </span>
      ))}
      {Array.from({ length: angles }, (_, angle) => [
        <span key={`angle ${angle}`} className={styles.angleName} aria-hidden>
          {!kind.along && <AngleDrawing degrees={degreesOf(angle, angles)} />}
          {!kind.along && angleName(angle, angles)}
        </span>,
        ...cells(angle).map((cell) => (
          <ReadingCell
            key={`${cell.station} ${angle}`}
            cell={{ ...cell, place: place.place }}
            label={
              kind.along
                ? `${name} ${place.name}, ${stationName(cell.station)}`
                : `${name} ${place.name}, station ${stationName(cell.station)}, ${angleName(angle, angles)}`
            }
            place={place}
            entry={entry}
            apart
          />
        )),
      ])}
      <div className={styles.problems}>
        <CellProblems
          cells={Array.from({ length: angles }, (_, angle) => cells(angle))
            .flat()
            .map((cell) => ({ ...cell, place: place.place }))}
          entry={entry}
        />
      </div>
    </div>
  );
}

const STRIP_ENDS = ['one end', 'the other end'];

/** Crushed strip, read at both ends of where it lay. */
const StripRow = ({
  place,
  entry,
  add,
}: {
  readonly place: FitPlace;
  readonly entry: Entry;
  readonly add: (line: FitLine) => void;
}) => (
  <div className={styles.strip} role="group" aria-label={`Strip, ${place.name}`}>
    <span className={styles.sideName}>
      Strip{place.stripIn && <b className={styles.stripIn}> lies in: the crank is held</b>}
    </span>
    <svg className={styles.stripDrawing} viewBox="0 0 200 20" aria-hidden preserveAspectRatio="none">
      <path className={styles.metal} d="M4 6 q96 -5 192 0 v8 q-96 5 -192 0 z" />
    </svg>
    {STRIP_ENDS.map((end, station) => (
      <ReadingCell
        key={end}
        cell={{ part: 'strip', station, angle: 0, place: place.place }}
        label={`Strip ${place.name}, ${end}`}
        place={place}
        entry={entry}
        small
        apart
      />
    ))}
    <StripKey place={place} add={add} />
    <div className={styles.problems}>
      <CellProblems
        cells={STRIP_ENDS.map((_, station) => ({ part: 'strip', station, angle: 0, place: place.place }))}
        entry={entry}
      />
    </div>
  </div>
);

interface Props {
  readonly judged: FitState;
  readonly plan: ReadingPlan;
  readonly entry: Entry;
  readonly add: (line: FitLine) => void;
}

/** Every place of a pair with both its sides beside one another, and the strip beneath where one is used. */
export const PairGrid = ({ judged, plan, entry, add }: Props) =>
  judged.places.map((place) => (
    <section key={place.place} className={styles.place} aria-label={place.name}>
      {judged.places.length > 1 && (
        <h3 className={styles.placeName} data-long={place.name.length > 3 || undefined}>
          {place.name}
        </h3>
      )}
      {plan.methods.includes('micrometer') && (
        <div className={styles.sides}>
          <SideGrid part="journal" judged={judged} place={place} plan={plan} entry={entry} />
          <SideGrid part="bore" judged={judged} place={place} plan={plan} entry={entry} />
        </div>
      )}
      {plan.methods.includes('strip') && <StripRow place={place} entry={entry} add={add} />}
    </section>
  ));
