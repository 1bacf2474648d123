'use client';

import { nanoid } from 'nanoid';
import { Link } from '@/interface/parts/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import { canTellInside, cellGroups, type Answers, type ConditionId } from '@/core/fits';
import { fitState } from '@/model/fit/fit-state';
import { kindOf, planOfFit } from '@/model/fit/kind-of-fit';
import { isHolding, worstPlaceOf, type FitState } from '@/model/fit/place-state';
import { useLengths } from '@/interface/figures/preferences';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useSingleKeys } from '@/interface/shell/use-single-keys';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Button } from '@/interface/parts/button';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import { Refusal } from '@/interface/parts/action-form';
import { useAct } from '@/interface/parts/use-act';
import { useRecord } from '@/interface/record/use-record';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { takeCorrectedAction } from './actions';
import { ChangesFold } from './changes-fold';
import { workingOfPlace } from './fit-working';
import { LinesFold } from './lines-fold';
import { PairGrid } from './pair-grid';
import { PlaceList } from './place-list';
import type { FitPage } from './queries';
import { RowGrid } from './row-grid';
import { RunoutDrawing } from './runout-drawing';
import { ScaleFold } from './scale-fold';
import { Conditions, SessionBar } from './session-bar';
import { startSession } from './session';
import { ShimFold } from './shim-fold';
import { isOfFit, useFitEntry } from './use-fit-entry';
import { useInstruments } from '@/interface/instruments/use-instruments';
import { WantedFold } from './wanted-fold';
import styles from './readings.module.css';

const REFRESH_MS = 600;

/**
 * The rail and the strip are drawn anew once the last line is on disk; not while the program does not answer, for
 * then the page would be lost.
 */
function useRefreshAfter(waiting: number, address: string) {
  const router = useRouter();
  const wrote = useRef(false);
  useEffect(() => {
    if (waiting > 0) wrote.current = true;
    if (waiting > 0 || !wrote.current) return;
    wrote.current = false;
    const timer = setTimeout(
      () =>
        void fetch(address).then(
          ({ ok }) => ok && router.refresh(),
          () => undefined,
        ),
      REFRESH_MS,
    );
    return () => clearTimeout(timer);
  }, [waiting, router, address]);
}

const conditionsOf = ({ fit, kind }: FitState): readonly ConditionId[] => [
  ...new Set(cellGroups(planOfFit(fit)).flatMap((cells) => cells.flatMap(({ part }) => kind.conditions[part] ?? []))),
];

/** Where what is wanted comes from, in one line. */
function useWantedLine({ fit, kind, page }: FitState): string {
  const { span } = useLengths(kind.isSize);
  const { limits, rule } = fit.wanted;
  const aside = page?.aside === undefined ? '' : `; its source was set aside: ${page.aside}`;
  if (limits) return `${span(limits.min_mm, limits.max_mm)}, from ${page?.says ?? 'limits of your own'}${aside}`;
  if (rule) return `${rule.perDiameter[0]} to ${rule.perDiameter[1]} of the diameter, by a rule`;
  return 'nothing says yet what is wanted';
}

/**
 * Where the leaf was corrected since: the fit goes on with what it was taken from until the corrected figure is
 * taken.
 */
function Corrected({ judged: { fit, page } }: { readonly judged: FitState }) {
  const { act, pending, problem } = useAct();
  if (!page?.corrected) return null;
  const take = () => act(() => takeCorrectedAction({ fitId: fit.id, version: fit.version }));
  return (
    <>
      <Notice kind="wait">The page was corrected since these limits were taken from it: {page.corrected.says}.</Notice>
      <Refusal problem={problem} />
      <p>
        <Button onClick={take} disabled={pending}>
          Take the corrected figure
        </Button>
      </p>
    </>
  );
}

function Holding({ judged, joints }: { readonly judged: FitState; readonly joints: FitPage['joints'] }) {
  const held = joints.filter(({ id }) => judged.fit.holds.includes(id)).map(({ name }) => name);
  if (!isHolding(judged.state)) return null;
  return (
    <Notice kind="stop">
      Out of limits.{' '}
      {held.length > 0
        ? `May not be closed yet: ${held.join(', ')}. What is done about it reopens the reading; they may be closed when it is inside.`
        : 'It keeps no joint open yet: say below what it closes up.'}
    </Notice>
  );
}

/** Where no reading of the instrument in hand can come out inside: said before ten good rings are judged one by one. */
function TooCoarse({ judged, resolution_mm }: { readonly judged: FitState; readonly resolution_mm: number }) {
  const told = useLengths(judged.kind.isSize);
  const hard = judged.places.find(({ result }) => result.wanted)?.result.wanted?.hard;
  if (!hard || canTellInside(hard, resolution_mm)) return null;
  return (
    <Notice kind="wait">
      Between {told.span(hard.min_mm, hard.max_mm)} an instrument that reads to {told.gap(resolution_mm)} cannot tell
      inside from outside: no reading with it comes out as inside. Take a finer one, or limits from a page; else each is
      accepted with its reason.
    </Notice>
  );
}

interface Beside {
  readonly engineId: string;
  readonly notes: ReactNode;
}

/** One fit: what it comes to place by place, its readings drawn as the part, what is wanted, and every line. */
export const FitScreen = sentInColumns<FitPage, Beside>(function Fit({
  fit,
  lines: onDisk,
  context,
  leaves,
  joints,
  shims,
  engineId,
  notes,
}) {
  const told = useLengths(kindOf(fit).isSize);
  const address = `/api/fits/${fit.id}/lines`;
  const { lines, waiting, ready, trouble, add } = useRecord(`fit-${fit.id}`, address, onDisk, 'go-on');
  const judged = useMemo(() => fitState(fit, lines, context), [fit, lines, context]);
  const [session, setSession] = useState(() => startSession(judged.kind, onDisk, told.inch));
  const entry = useFitEntry(judged, session, context.bolts, add);
  const instruments = useInstruments((reading) => isOfFit(reading) && entry.receive(reading));
  const line = useWantedLine(judged);
  useRefreshAfter(waiting.length, address);
  useSingleKeys({ n: entry.goOn });
  const worst = worstPlaceOf(judged);
  useDefaultWorking(useMemo(() => worst && workingOfPlace(judged, worst, told), [judged, worst, told]));
  const answer = (answers: Answers) => {
    setSession((before) => ({ ...before, answers }));
    // Readings that were taken before it was said are covered by what is said now.
    if (lines.some(({ kind }) => kind === 'reading'))
      add({ id: nanoid(), kind: 'affirm', place: null, at: new Date().toISOString(), body: { answers } });
  };
  const plan = planOfFit(fit);
  return (
    <Screen
      title={fit.name}
      lead={
        <>
          <Link href={`/engines/${engineId}/fits`}>All fits</Link>. Wanted: {line}.
        </>
      }
    >
      <HydrationGate isOpen={ready}>
        {trouble && <Notice kind="stop">{trouble}</Notice>}
        <Holding judged={judged} joints={joints} />
        <Corrected judged={judged} />
        <PlaceList judged={judged} add={add} />
        <Section title="Readings">
          <SessionBar
            kind={judged.kind}
            session={session}
            change={(part) => setSession((before) => ({ ...before, ...part }))}
          />
          <TooCoarse judged={judged} resolution_mm={session.resolution_mm} />
          <Conditions conditions={conditionsOf(judged)} answers={session.answers} change={answer} />
          <p className={styles.go}>
            <Button rank={entry.left > 0 ? 'main' : 'plain'} onClick={entry.goOn} disabled={entry.left === 0}>
              {entry.left === 0 ? 'All read' : 'Go on reading'}
            </Button>
            <Button onClick={instruments.toggle} aria-pressed={instruments.on}>
              {instruments.ready ? 'Listening to instruments' : 'Listen to instruments'}
            </Button>
            <span className="soft" aria-live="polite">
              {entry.left === 0
                ? 'Type over a figure to read it again.'
                : `${entry.left} still to read. A value, then Enter or the next cell.`}
            </span>
          </p>
          {judged.kind.shape === 'runout' && <RunoutDrawing judged={judged} />}
          {judged.kind.shape === 'pair' ? (
            <PairGrid judged={judged} plan={plan} entry={entry} add={add} />
          ) : (
            <RowGrid judged={judged} plan={plan} entry={entry} />
          )}
        </Section>
        {judged.kind.remedies.includes('shim') && <ShimFold judged={judged} drawer={shims} add={add} />}
        <ChangesFold judged={judged} add={add} />
        <WantedFold key={fit.version} fit={fit} leaves={leaves} joints={joints} line={line} />
        <ScaleFold judged={judged} />
        <LinesFold fit={fit} lines={lines} add={add} />
        {notes}
      </HydrationGate>
    </Screen>
  );
});
