'use client';

import { Link } from '@/interface/parts/link';
import { useMemo, useState, type ReactNode } from 'react';
import type { Guard } from '@/core/joint';
import { todayFacts } from '@/model/joint/joint-ladder';
import { keyOfShape, turnOf } from '@/model/joint/joint-shape';
import { ownPlaces } from '@/model/joint/kind-places';
import { tryCore } from '@/model/try-core';
import { kindAmong } from '@/model/joint/kind-places';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { judgedKinds } from '@/model/joint/joint-result';
import type { RankedLeaf } from '@/model/book/source-precedence';
import type { Leaf } from '@/model/book/leaf';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Disclosure } from '@/interface/parts/disclosure';
import { RunningHead } from '@/interface/parts/running-head';
import { SavedNote } from '@/interface/parts/saved-note';
import { Notice, Screen } from '@/interface/parts/screen';
import { sentInColumns } from '@/interface/shell/sent-in-columns';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import { placesChanged, type PulledWith } from '@/model/joint/sheet-changes';
import { ClampMapFold } from './clamp-map-fold';
import type { AsPulled } from './clamp-works';
import { ofOtherLeaf } from '@/model/joint/fastener-kind';
import { FigureFolds } from './figure-folds';
import type { AnswerSource } from './known-elsewhere';
import { originalFilmFor } from './film-reason';
import { HolesFold } from './holes-fold';
import { KindPagesFold } from './kind-pages-fold';
import { KindStagesFold } from './kind-stages-fold';
import { KindSwitch } from './kind-switch';
import { KindsFold } from './kinds-fold';
import { workingOfRung } from './ladder-view';
import { PlaceNotesFold } from './place-notes-fold';
import { SlotFold } from './slot-fold';
import { PlanFold } from './plan-fold';
import { PrintCard } from './print-card';
import { ShapeFold } from './shape-fold';
import { SourcesFold } from './sources-fold';
import { StartControls } from './start-controls';
import type { JointPage, OtherShape, Resume } from './queries';
import { JointConflict } from './joint-conflict';
import { useKeptJoint, type KeptJoint } from './use-kept-joint';
import { useWholeJoint, type WorkedFigure, type WorkedKind } from './use-whole-joint';

interface Of {
  readonly inputs: JointInputs;
  /** A going-round that was begun and can be gone on with. */
  readonly resume?: Resume;
  /** True where it is tight at its final figure already. */
  readonly tight: boolean;
  readonly status: string;
  readonly ranked: readonly RankedLeaf[];
  readonly otherLeaves: readonly Leaf[];
  /** What the engine’s fits say to closing it up. */
  readonly against: readonly Guard[];
  readonly stretch: { readonly href: string; readonly line: string };
  readonly answers: AnswerSource;
  /** Entries of the book that give a torque, each with its source. */
  readonly torques: JointInputs['kindLeaves'];
  readonly pulledWith?: PulledWith;
  /** A nut of it was pulled; the last round is not done yet. */
  readonly pulled: boolean;
  readonly halfPulled: boolean;
  readonly others: readonly OtherShape[];
  readonly slopes: JointPage['slopes'];
  /** The last round for good as it was pulled, where the clamp map knows enough to draw it. */
  readonly asPulled?: AsPulled;
  /** The engine and its number, as they stand at the head of a printed page. */
  readonly engineLine: string;
}

/** What the whole of the joint has, whatever its fasteners are: plan, kinds, shape, notes. */
function WholeFolds({
  kept,
  own,
  kinds,
  leaves,
  pulled,
  halfPulled,
  others,
  stretch,
  asPulled,
  answers,
  onShow,
}: {
  readonly kept: KeptJoint;
  readonly own: WorkedFigure;
  readonly kinds: readonly WorkedKind[];
  readonly leaves: readonly Leaf[];
  readonly onShow: (kind: number | undefined) => void;
} & Pick<Of, 'pulled' | 'halfPulled' | 'others' | 'stretch' | 'asPulled' | 'answers'>) {
  const { joint, change, changeDetail } = kept;
  const { plain } = useFigures();
  const { setting, worked, stageList } = own;
  const staged = [own, ...kinds];
  return (
    <>
      <Disclosure title="By stretch" line={stretch.line}>
        <p>
          Where it matters most, length is measured before and after.{' '}
          <Link href={stretch.href}>The stretch sheet of this joint</Link>
        </p>
      </Disclosure>
      <PlanFold
        setting={setting}
        headMetal={answers.headMetal}
        worked={worked}
        stageList={stageList}
        kinds={kinds}
        onChange={change}
        onDetail={changeDetail}
        plain={plain}
      />
      {worked && todayFacts(setting).locking === 'pin' && <SlotFold setting={setting} worked={worked} />}
      {worked && joint.fasteners > 1 && (
        <ClampMapFold
          key={keyOfShape(joint)}
          setting={setting}
          worked={worked}
          kinds={kinds}
          asPulled={asPulled}
          stageList={stageList}
          onDetail={changeDetail}
          onTake={({ shares, confirming }) => {
            change({ stageScheme: shares });
            changeDetail({ confirming });
          }}
        />
      )}
      <ShapeFold
        joint={joint}
        pulled={pulled}
        halfPulled={halfPulled}
        others={others}
        onChange={change}
        onDetail={changeDetail}
      />
      {joint.fasteners > 1 && (
        <KindsFold
          joint={joint}
          leaves={leaves}
          practice={setting.shelves.practice}
          stages={staged.map((one) => one.stageList)}
          onDetail={changeDetail}
          onShow={onShow}
        />
      )}
      <HolesFold joint={joint} onDetail={changeDetail} />
      <PlaceNotesFold joint={joint} onDetail={changeDetail} />
    </>
  );
}

/** What a kind has by itself: its page, its stages, its slots. */
function KindFolds({
  kept,
  at,
  worked: one,
  leaves,
  pulledWith,
  answers,
  slopes,
}: {
  readonly kept: KeptJoint;
  readonly at: number;
  readonly worked: WorkedKind;
  readonly leaves: readonly Leaf[];
} & Pick<Of, 'pulledWith' | 'answers' | 'slopes'>) {
  const { setting, worked, stageList, kind } = one;
  const onChange: KeptJoint['change'] = (part) => kept.changeKind(at, part, {});
  const onDetail: KeptJoint['changeDetail'] = (part) => kept.changeKind(at, {}, part);
  return (
    <FigureFolds
      key={kind.name}
      setting={setting}
      worked={worked}
      pulled={kindAmong(pulledWith?.kinds, kind)}
      against={[]}
      answers={answers}
      slopeSeen={slopes[kind.name]}
      pages={
        <>
          <KindPagesFold
            setting={setting}
            leaves={leaves}
            onLeaf={(leaf) => {
              const film = originalFilmFor(leaf.conditionText, setting.shelves.practice);
              const { fields, detail } = ofOtherLeaf(kind, leaf.id, film);
              kept.changeKind(at, fields, detail);
            }}
            onDetail={onDetail}
          />
          <KindStagesFold
            joint={setting.joint}
            unit={worked?.wrench.unit ?? ''}
            stageList={stageList}
            onChange={onChange}
            onDetail={onDetail}
          />
          {worked && todayFacts(setting).locking === 'pin' && <SlotFold setting={setting} worked={worked} />}
        </>
      }
      onChange={onChange}
      onDetail={onDetail}
    />
  );
}

/** One joint: its ladder, what stands against it, what it is made of, its plan, and the way to the face. */
export const JointScreen = sentInColumns<Of, { readonly notes: ReactNode }>(function Joint(props) {
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
      {refusal !== undefined && <Notice kind="stop">{refusal}</Notice>}
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
