'use client';

import Link from 'next/link';
import { useMemo, type ReactNode } from 'react';
import type { Guard } from '@/core/joint';
import { isDomainError } from '@/core/units';
import { todayFacts } from '@/model/joint/joint-ladder';
import { keyOfShape } from '@/model/joint/joint-shape';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { stagesOfJoint, computeJoint } from '@/model/joint/joint-result';
import type { RankedLeaf } from '@/model/book/source-precedence';
import type { Leaf } from '@/model/book/leaf';
import { tryCore } from '@/model/try-core';
import { useFigures } from '@/interface/figures/preferences';
import { HydrationGate } from '@/interface/parts/hydration-gate';
import { Disclosure } from '@/interface/parts/disclosure';
import { RunningHead } from '@/interface/parts/running-head';
import { SavedNote } from '@/interface/parts/saved-note';
import { Notice, Screen } from '@/interface/parts/screen';
import { useDefaultWorking } from '@/interface/shell/working-margin';
import type { PulledWith } from '@/model/joint/sheet-changes';
import { ChangedNotice } from './changed-notice';
import { ClampMapFold } from './clamp-map-fold';
import { FastenerFold } from './fastener-fold';
import { originalFilmReason } from './film-reason';
import { GuardList } from './guard-list';
import type { AnswerSource } from './known-elsewhere';
import { LadderView, workingOfRung } from './ladder-view';
import { PlaceNotesFold } from './place-notes-fold';
import { SlotFold } from './slot-fold';
import { PlanFold } from './plan-fold';
import { PrintCard } from './print-card';
import { ShapeFold } from './shape-fold';
import { SourcesFold } from './sources-fold';
import { SpreadFold } from './spread-fold';
import { StartControls } from './start-controls';
import type { Resume } from './queries';
import { JointConflict } from './joint-conflict';
import { UnknownFold } from './unknown-fold';
import { useKeptJoint } from './use-kept-joint';
import { WrenchFold } from './wrench-fold';

interface Props {
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
  readonly pulledWith?: PulledWith;
  /** A nut of it was pulled. */
  readonly pulled: boolean;
  /** The engine and its number, as they stand at the head of a printed page. */
  readonly engineLine: string;
  /** What was written down of it. */
  readonly notes: ReactNode;
}

function useWorked(inputs: JointInputs) {
  return useMemo(() => {
    try {
      const worked = computeJoint(inputs);
      // What cannot be set has no stages; that it cannot is said among what stands against it.
      const staged = tryCore(() => stagesOfJoint(inputs, worked));
      return { ok: true as const, worked, stageList: staged.ok ? staged.result : [] };
    } catch (error) {
      if (isDomainError(error)) return { ok: false as const, message: error.message };
      throw error;
    }
  }, [inputs]);
}

/** One joint: its ladder, what stands against it, what it is made of, its plan, and the way to the face. */
export function JointScreen({
  inputs,
  resume,
  tight,
  status,
  ranked,
  otherLeaves,
  stretch,
  against,
  answers,
  pulledWith,
  pulled,
  engineLine,
  notes,
}: Props) {
  const kept = useKeptJoint(inputs.joint);
  const { joint, change, changeDetail, settled } = kept;
  const { plain } = useFigures();
  const { standard } = inputs.joint.detail;
  const reason = standard
    ? inputs.joint.originalFilmReason
    : originalFilmReason(inputs.leaf.conditionText, joint.originalFilm, inputs.shelves.practice);
  const now = useMemo(() => ({ ...inputs, joint: { ...joint, originalFilmReason: reason } }), [inputs, joint, reason]);
  const found = useWorked(now);
  const worked = found.ok ? found.worked : undefined;
  const filmRung = worked?.ladder.rungs.find((rung) => rung.id === 'film');
  const caution = worked?.guards.map((guard) => guard.message).join(' ') || undefined;
  useDefaultWorking(useMemo(() => filmRung && workingOfRung(filmRung, caution), [filmRung, caution]));
  const stops = worked?.guards.filter((guard) => guard.severity === 'stop') ?? [];
  return (
    <Screen
      title={joint.name}
      lead={`${joint.fasteners} × ${joint.detail.today?.thread ?? joint.thread}. ${status}`}
      aside={
        <StartControls
          joint={joint}
          resume={resume}
          tight={tight}
          stops={stops}
          against={against}
          ready={worked !== undefined && kept.conflict === undefined}
          settled={settled}
        />
      }
    >
      <RunningHead words={`${engineLine}, ${joint.name}`} />
      <SavedNote at={kept.savedAt} saving={kept.saving} />
      {kept.problem && <Notice kind="stop">{kept.problem}</Notice>}
      {kept.conflict && <JointConflict kept={kept} conflict={kept.conflict} shelves={inputs.shelves} />}
      {!found.ok && <Notice kind="stop">{found.message}</Notice>}
      <HydrationGate>
        {worked && <LadderView worked={worked} setting={now} onChange={change} onDetail={changeDetail} />}
        {worked && pulledWith && (
          <ChangedNotice joint={joint} pulled={pulledWith} setting={now} worked={worked} onDetail={changeDetail} />
        )}
        {worked && <GuardList guards={[...against, ...worked.guards]} />}
        {worked && <UnknownFold joint={joint} unknown={worked.unknown} source={answers} onDetail={changeDetail} />}
        <SourcesFold
          joint={joint}
          ranked={ranked}
          otherLeaves={otherLeaves}
          settled={settled}
          onDetail={changeDetail}
        />
        <FastenerFold setting={now} onChange={change} onDetail={changeDetail} />
        {worked && <WrenchFold setting={now} worked={worked} onChange={change} onDetail={changeDetail} />}
        {worked && <SpreadFold setting={now} worked={worked} />}
        <Disclosure title="By stretch" line={stretch.line}>
          <p>
            Where it matters most, length is measured before and after.{' '}
            <Link href={stretch.href}>The stretch sheet of this joint</Link>
          </p>
        </Disclosure>
        <PlanFold
          setting={now}
          worked={worked}
          stageList={found.ok ? found.stageList : []}
          onChange={change}
          onDetail={changeDetail}
          plain={plain}
        />
        {worked && todayFacts(now).locking === 'pin' && <SlotFold setting={now} worked={worked} />}
        {worked && found.ok && joint.fasteners > 1 && (
          <ClampMapFold
            key={keyOfShape(joint)}
            setting={now}
            worked={worked}
            stageList={found.stageList}
            onDetail={changeDetail}
          />
        )}
        <ShapeFold joint={joint} pulled={pulled} onChange={change} onDetail={changeDetail} />
        <PlaceNotesFold joint={joint} onDetail={changeDetail} />
        {notes}
      </HydrationGate>
      {worked && found.ok && (
        <PrintCard stageList={found.stageList} fasteners={joint.fasteners} unit={worked.wrench.unit} plain={plain} />
      )}
    </Screen>
  );
}
