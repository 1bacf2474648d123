'use client';

import { useMemo, useState, type ReactNode } from 'react';
import { turnOf } from '@/model/joint/joint-shape';
import { ownPlaces } from '@/model/joint/kind-places';
import { tryCore } from '@/model/try-core';
import { judgedKinds } from '@/model/joint/joint-result';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { RunningHead } from '@/interface/parts/running-head';
import { SavedNote } from '@/interface/parts/saved-note';
import { Notice, Screen } from '@/interface/parts/screen';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { placesChanged } from '@/model/joint/sheet-changes';
import { FigureFolds } from './figure-folds';
import { JointConflict } from './joint-conflict';
import type { JointSheet } from './joint-sheet';
import { KindFolds } from './kind-folds';
import { KindSwitch } from './kind-switch';
import { workingOfRung } from './rung-working';
import { PrintCard } from './print-card';
import { SourcesFold } from './sources-fold';
import { StartControls } from './start-controls';
import { useKeptJoint } from './use-kept-joint';
import { useWholeJoint } from './use-whole-joint';
import { WholeFolds } from './whole-folds';

/** One joint: its ladder, what stands against it, what it is made of, its plan, and the way to the face. */
export const JointScreen = sentInColumns<JointSheet, { readonly notes: ReactNode }>(function Joint(props) {
  const { inputs, resume, tight, status, ranked, otherLeaves, torques, against, answers, pulledWith, engineLine } =
    props;
  const kept = useKeptJoint(inputs.joint);
  const { joint, change, changeDetail, settled } = kept;
  const { plain } = useFigures();
  const now = useMemo(() => ({ ...inputs, kindLeaves: torques, joint }), [inputs, torques, joint]);
  const { own, kinds, refusal } = useWholeJoint(now);
  const [wanted, setShown] = useState<number>();
  const shown = wanted === undefined ? undefined : kinds[wanted];
  const figure = shown ?? own;
  const filmRung = figure.worked?.ladder.rungs.find((rung) => rung.id === 'film');
  const caution = figure.worked?.guards.map((guard) => guard.message).join(' ') || undefined;
  useDefaultWorking(useMemo(() => filmRung && workingOfRung(filmRung, caution), [filmRung, caution]));
  const ofKinds = judgedKinds(kinds.flatMap(({ kind, worked }) => (worked ? [{ kind, worked }] : []))).guards;
  const turn = tryCore(() => turnOf(joint));
  const stops = [...(own.worked?.guards ?? []), ...ofKinds].filter((guard) => guard.severity === 'stop');
  const leaves = torques.map(({ leaf }) => leaf);
  return (
    <Screen
      title={joint.name}
      lead={`${joint.fasteners} ${kinds.length > 0 ? 'fasteners, ' : '× '}${joint.detail.today?.thread ?? joint.thread}${kinds.length > 0 ? ' and others' : ''}. ${status}`}
      aside={
        <StartControls
          joint={joint}
          resume={resume}
          tight={tight}
          stops={stops}
          against={against}
          ready={refusal === undefined && kept.conflict === undefined}
          settled={settled}
        />
      }
    >
      <RunningHead words={`${engineLine}, ${joint.name}`} />
      <SavedNote at={kept.savedAt} saving={kept.saving} />
      {kept.problem && <Notice kind="stop">{kept.problem}</Notice>}
      {kept.conflict && <JointConflict kept={kept} conflict={kept.conflict} shelves={inputs.shelves} />}
      {refusal !== undefined && refusal !== kept.problem && <Notice kind="stop">{refusal}</Notice>}
      <HydrationGate>
        <KindSwitch joint={joint} shown={shown && wanted} onShow={setShown} />
        {shown && wanted !== undefined ? (
          <KindFolds
            kept={kept}
            at={wanted}
            worked={shown}
            leaves={leaves}
            pulledWith={pulledWith}
            answers={answers}
            slopes={props.slopes}
          />
        ) : (
          <>
            <FigureFolds
              setting={own.setting}
              worked={own.worked}
              pulled={pulledWith}
              against={[...against, ...ofKinds, ...(pulledWith ? placesChanged(pulledWith, joint) : [])]}
              uses={props.uses}
              answers={answers}
              slopeSeen={props.slopes['']}
              pages={
                <SourcesFold
                  joint={joint}
                  ranked={ranked}
                  otherLeaves={otherLeaves}
                  settled={settled}
                  onDetail={changeDetail}
                />
              }
              onChange={change}
              onDetail={changeDetail}
            />
            <WholeFolds
              kept={kept}
              own={own}
              kinds={kinds}
              leaves={leaves}
              pulled={props.pulled}
              halfPulled={props.halfPulled}
              others={props.others}
              stretch={props.stretch}
              asPulled={props.asPulled}
              answers={answers}
              onShow={setShown}
            />
          </>
        )}
        {props.notes}
      </HydrationGate>
      {own.worked && turn.ok && (
        <PrintCard
          kinds={[
            { ...own, places: ownPlaces(joint) },
            ...kinds.map((one) => ({ ...one, places: one.kind.places })),
          ].map(({ stageList, worked, places }) => ({ stageList, places, unit: worked?.wrench.unit ?? '' }))}
          turn={turn.result}
          plain={plain}
        />
      )}
    </Screen>
  );
});
