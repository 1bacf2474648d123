'use client';

import { useState } from 'react';
import type { FitLine } from '@/model/fit/fit';
import type { FitState, FitPlace } from '@/model/fit/place-state';
import { cameTo } from '@/interface/figures/came-to';
import { useLengths } from '@/interface/figures/preferences';
import { useShowWorking } from '@/interface/shell/working-margin';
import { FitBand } from './fit-band';
import { METHOD_WORDS, STATE_WORDS } from '@/interface/words/fit-words';
import { toFile_mm } from './figure-working';
import { workingOfPlace } from './fit-working';
import { PlaceActs } from './place-acts';
import styles from './places.module.css';

const NOTABLE_MM = 0.0127;
const LONG = 6;

function Figures({ place, kind }: { readonly place: FitPlace; readonly kind: FitState['kind'] }) {
  const told = useLengths(kind.isSize);
  const { figures, read, asked, stripDifference_mm: off_mm } = place.result;
  const file_mm = toFile_mm(place, kind);
  return (
    <div className={styles.figures}>
      {figures.map((one) => (
        <span key={one.method}>
          <span className={styles.figure}>{cameTo(told, one)}</span>
          {figures.length > 1 && <span className="soft"> {METHOD_WORDS[one.method]}</span>}
        </span>
      ))}
      {read < asked && (
        <span className="soft">
          {read} of {asked} read
        </span>
      )}
      {off_mm !== undefined && (
        <span className={Math.abs(off_mm) > NOTABLE_MM ? styles.apart : 'soft'}>
          They differ by {told.gap(Math.abs(off_mm))}
          {Math.abs(off_mm) > NOTABLE_MM ? ': find out which is wrong' : ''}; shown, not averaged.
        </span>
      )}
      {file_mm > 0 && <span>File {told.gap(file_mm)} off this ring, in this bore only.</span>}
    </div>
  );
}

interface Props {
  readonly judged: FitState;
  readonly add: (line: FitLine) => void;
}

/** Each place as a band with its verdict, what stands against it, and what can be decided. */
export function PlaceList({ judged, add }: Props) {
  const told = useLengths(judged.kind.isSize);
  const workings = judged.places.map((place) => workingOfPlace(judged, place, told));
  const show = useShowWorking(workings);
  const [deciding, setDeciding] = useState<number>();
  return (
    <ul className={styles.places} data-named={judged.places.some(({ name }) => name.length > LONG) || undefined}>
      {judged.places.map((place, i) => {
        const working = workings[i];
        const { sign, words, kind } = STATE_WORDS[place.state];
        const { wanted, figures } = place.result;
        const isOpen = deciding === place.place;
        const name = judged.places.length > 1 ? place.name : judged.fit.name;
        return (
          <li
            key={place.place}
            className={styles.line}
            data-kind={kind}
            data-state={place.state}
            data-testid={`place-${place.place}`}
            {...(working && show(working))}
          >
            <span className={styles.name}>{judged.places.length > 1 ? place.name : ''}</span>
            <div className={styles.bands}>
              {wanted &&
                figures.map((one) => (
                  <FitBand
                    key={one.method}
                    figure={one}
                    wanted={wanted}
                    kind={kind}
                    label={name}
                    whole={judged.kind.isSize}
                  />
                ))}
            </div>
            <Figures place={place} kind={judged.kind} />
            <div className={styles.state}>
              <b>
                <span aria-hidden>{sign}</span> {words}
              </b>
              {place.why && <span>{place.why}</span>}
              {place.remedy && <span>{place.remedy}. To be read again; the old reading stays beneath.</span>}
              {place.accepted && <span>Because: {place.accepted}</span>}
              {place.order && <span>On order: {place.order}</span>}
              {place.felt && <span>Felt: {place.felt}</span>}
            </div>
            <div className={styles.keys}>
              {(place.result.read > 0 || judged.kind.shape === 'float') && (
                <button
                  type="button"
                  className={`text-button ${styles.decide}`}
                  aria-expanded={isOpen}
                  onClick={() => setDeciding(isOpen ? undefined : place.place)}
                >
                  Put right…<span className="only-spoken"> on {name}</span>
                </button>
              )}
            </div>
            {isOpen && <PlaceActs judged={judged} place={place} add={add} onDone={() => setDeciding(undefined)} />}
          </li>
        );
      })}
    </ul>
  );
}
