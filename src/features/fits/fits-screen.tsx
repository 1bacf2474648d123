'use client';

import { Link } from '@/interface/parts/link';
import { useRouter } from 'next/navigation';
import { useMemo, type ReactNode } from 'react';
import { isHolding, isProven, worstPlaceOf, type FitState, type FitPlace } from '@/model/fit/place-state';
import { cameTo } from '@/interface/figures/came-to';
import { useLengths } from '@/interface/figures/preferences';
import { useRest } from '@/interface/parts/use-rest';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import key from '@/interface/parts/button.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { useShowWorking, useDefaultWorking } from '@/interface/shell/working-margin';
import { FitBand } from './fit-band';
import { STATE_WORDS } from '@/interface/words/fit-words';
import { workingOfPlace } from './fit-working';
import type { FitsPage } from './queries';
import styles from './fits-screen.module.css';

const MAX_BANDS = 5;
/** So many bands, from the head of the list, come with the page: what a screen shows at first. */
const IN_SIGHT = 16;

/** Places that are drawn: all of a short fit, else the worst of it. */
function drawnOf({ places }: FitState): readonly FitPlace[] {
  const read = places.filter(({ result }) => result.wanted && result.figures.length > 0);
  if (read.length <= MAX_BANDS) return read;
  return [...read].sort((a, b) => Number(isProven(a.state)) - Number(isProven(b.state))).slice(0, MAX_BANDS);
}

/** How many fits, from the head of the list, stand within the first screen or begin there. */
function inSightOf(fits: readonly FitState[]): number {
  let bands = 0;
  for (const [i, judged] of fits.entries()) {
    if (bands >= IN_SIGHT) return i;
    bands += drawnOf(judged).length;
  }
  return fits.length;
}

function FitLine({
  judged,
  engineId,
  joints,
  bare,
}: {
  readonly judged: FitState;
  readonly engineId: string;
  readonly joints: FitsPage['joints'];
  readonly bare: boolean;
}) {
  const told = useLengths(judged.kind.isSize);
  const { fit, places } = judged;
  const worst = worstPlaceOf(judged);
  const working = worst && workingOfPlace(judged, worst, told);
  const show = useShowWorking(working ? [working] : []);
  const { sign, words, kind } = STATE_WORDS[judged.state];
  const drawn = drawnOf(judged);
  const proven = places.filter(({ state }) => isProven(state)).length;
  const held = isHolding(judged.state) ? joints.filter(({ id }) => fit.holds.includes(id)) : [];
  const at = places.length > 1 && worst && !isProven(judged.state) ? `${worst.name}: ` : '';
  return (
    <li className={styles.line} data-kind={kind} {...(working && show(working))}>
      <div>
        <Link href={`/engines/${engineId}/fits/${fit.id}`} className={styles.name}>
          {fit.name}
        </Link>
        <span className={styles.small}>{places.length === 1 ? '' : `${proven} of ${places.length} proven`}</span>
      </div>
      <div className={styles.bands}>
        {drawn.map((place) => {
          const [figure] = place.result.figures;
          const { wanted } = place.result;
          return figure && wanted ? (
            <div key={place.place} className={styles.bandLine}>
              <span className={styles.placeName}>{places.length > 1 ? place.name : ''}</span>
              <FitBand
                figure={figure}
                wanted={wanted}
                kind={STATE_WORDS[place.state].kind}
                label={`${fit.name} ${place.name}`}
                whole={judged.kind.isSize}
                bare={bare}
              />
              <span className={styles.figure}>{cameTo(told, figure)}</span>
            </div>
          ) : null;
        })}
        {places.length > drawn.length && drawn.length > 0 && (
          <span className={styles.small}>and {places.length - drawn.length} more</span>
        )}
      </div>
      <div className={styles.state}>
        <b>
          <span aria-hidden>{sign}</span> {at}
          {words}
        </b>
        {worst?.order && <span>On order: {worst.order}</span>}
        {worst?.why && <span>{worst.why}</span>}
        {judged.page?.aside !== undefined && <span>The source of its limits was set aside.</span>}
        {judged.page?.corrected && <span>Its page was corrected since.</span>}
        {held.length > 0 && (
          <span className={styles.holds}>{held.map(({ name }) => name).join(', ')} may not be closed yet</span>
        )}
      </div>
    </li>
  );
}

/** Every fit of the engine, the worst first, as bands whose limits stand beneath one another. */
export const FitsScreen = sentInColumns<FitsPage, { readonly children: ReactNode }>(function Fits({
  engine,
  fits,
  joints,
  children,
}) {
  const router = useRouter();
  const all = useRest();
  const inSight = useMemo(() => inSightOf(fits), [fits]);
  const first = fits[0];
  const worst = first && worstPlaceOf(first);
  const told = useLengths(first?.kind.isSize);
  useDefaultWorking(useMemo(() => first && worst && workingOfPlace(first, worst, told), [first, worst, told]));
  const to = (path: string) => `/engines/${engine.id}/fits/${path}`;
  useSingleKeys({ n: () => router.push(to('new')) });
  const out = fits.filter(({ state }) => isHolding(state)).length;
  return (
    <Screen
      title="Fits"
      lead="Proven before it is closed up; the worst first."
      aside={
        <Link href={to('new')} className={key.key} data-rank="main">
          New fits
        </Link>
      }
    >
      {out > 0 && (
        <Notice kind="stop">
          {out === 1 ? 'One fit is out of limits' : `${out} fits are out of limits`}: what closes{' '}
          {out === 1 ? 'it' : 'them'} up waits.
        </Notice>
      )}
      {fits.length === 0 && (
        <Notice kind="plain">
          Nothing is measured yet.{' '}
          <Link href={to('new')}>Choose from the list fitted to this engine, or make a fit of your own.</Link>
        </Notice>
      )}
      {fits.length > 0 && (
        <ul>
          {fits.map((judged, i) => (
            <FitLine
              key={judged.fit.id}
              judged={judged}
              engineId={engine.id}
              joints={joints}
              bare={!all && i >= inSight}
            />
          ))}
        </ul>
      )}
      <Section title="Of the whole engine">{children}</Section>
      <p className={styles.ends}>
        <Link href={to('import')} className={key.key}>
          Readings in (CSV)
        </Link>
        {fits.length > 0 && (
          <a href={`/api/engines/${engine.id}/fits`} download className={key.key}>
            The readings as CSV
          </a>
        )}
      </p>
    </Screen>
  );
});
