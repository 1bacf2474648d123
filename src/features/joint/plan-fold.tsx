'use client';

import { useMemo } from 'react';
import { rowTurn, turnsShaftAfter, type PlannedStage } from '@/core/tightening';
import { schoolWords } from '@/model/practice/practice-questions';
import type { JointDetail } from '@/model/joint/joint-detail';
import { warmHeadOf } from '@/model/joint/warm-head';
import type { HeadMetal } from '@/core/heat';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { keyOfShape, shapeOfPlan } from '@/model/joint/joint-shape';
import type { JointResult } from '@/model/joint/joint-result';
import { shaftOf } from '@/model/joint/joint-shape';
import { stepsOfJoint } from '@/model/joint/round-plan';
import { kindLetter, lettersOf } from '@/interface/words/kind-words';
import { stageWords } from './stage-words';
import type { WorkedKind } from './use-whole-joint';
import { Notice, Section } from '@/interface/parts/screen';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { turnWords } from '@/model/joint/turns-words';
import type { JointChange } from './schema';
import { tryCore } from '@/model/try-core';
import { PlanControls } from './plan-controls';
import styles from './joint-screen.module.css';

interface Props {
  readonly setting: JointInputs;
  readonly headMetal: HeadMetal;
  readonly worked?: JointResult;
  readonly stageList: readonly PlannedStage[];
  readonly kinds: readonly WorkedKind[];
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
  readonly plain: (value: number) => string;
}

/** The turn drawn on the pattern, the stages, and what they are made from. */
export function PlanFold({ setting, headMetal, worked, stageList, kinds, onChange, onDetail, plain }: Props) {
  const { joint, shelves } = setting;
  const shaft = shaftOf(joint);
  const warm = worked && tryCore(() => warmHeadOf(setting, worked, headMetal));
  // Two windows may leave places and number apart for as long as nobody said which stands.
  const drawn = useMemo(
    () =>
      tryCore(() => {
        const shape = shapeOfPlan(joint);
        const others = kinds.map((one) => ({ places: one.kind.places, stages: one.stageList }));
        const isStaged = [stageList, ...others.map(({ stages }) => stages)].every((stages) => stages.length > 0);
        return {
          positions: shape.positions,
          turn: isStaged ? stepsOfJoint({ joint }, stageList, others, shaft).order : rowTurn(shape),
        };
      }),
    [joint, stageList, kinds, shaft],
  );
  const turnsAfter = (i: number) => turnsShaftAfter({ stages: stageList, turnShaft: shaft }, i);
  const confirms = (i: number) => joint.detail.confirming && i === stageList.length - 1 && !stageList[i]?.turn;
  return (
    <Section title="The plan">
      <div className={styles.plan}>
        <div className={styles.drawing}>
          {drawn.ok ? (
            <PatternDrawing
              positions={drawn.result.positions}
              order={drawn.result.turn}
              caps={joint.pattern === 'caps'}
              letters={lettersOf(joint.fasteners, joint.detail.kinds)}
              noted={new Set(joint.detail.placeNotes.map(({ place }) => place))}
              label={`${joint.fasteners} fasteners with their place in the turn`}
            />
          ) : (
            <Notice kind="stop">{drawn.error.message}</Notice>
          )}
        </div>
        {worked && kinds.length > 0 && (
          <ul className={styles.stages} aria-label="Stages of each kind">
            {[
              { name: 'the joint’s own', worked, stageList },
              ...kinds.map((one) => ({ ...one, name: one.kind.name })),
            ].map((one, at) => (
              <li key={one.name}>
                <b>{kindLetter(at)}</b> {one.name}:{' '}
                {one.stageList.map((stage) => stageWords(stage, one.worked?.wrench.unit ?? '', plain)).join(', ')}
              </li>
            ))}
          </ul>
        )}
        {worked && kinds.length === 0 && (
          <ol className={styles.stages} aria-label="Stages">
            {stageList.map((stage, i) => (
              <li key={i}>
                {stage.turn ? (
                  <>
                    <span className={styles.figure}>{turnWords(stage.turn)}</span> further
                  </>
                ) : (
                  <>
                    <span className={styles.figure}>{plain(stage.setting)}</span> {worked.wrench.unit}
                  </>
                )}
                {confirms(i) && ', confirming'}
                {turnsAfter(i) && <span className={styles.shaft}>turn the crank</span>}
              </li>
            ))}
          </ol>
        )}
      </div>
      <p className="soft">
        House practice: track kept by {schoolWords(shelves.practice, 'track').name}
        {joint.pattern === 'caps' && `; first ${schoolWords(shelves.practice, 'firstCap').name}`}.
      </p>
      <PlanControls
        key={keyOfShape(joint)}
        joint={joint}
        practice={shelves.practice}
        headMetal={headMetal}
        warm={warm?.ok ? warm.result : undefined}
        unit={worked?.wrench.unit ?? ''}
        stageFigures={stageList.flatMap((stage) => (stage.turn ? [] : [stage.setting]))}
        onChange={onChange}
        onDetail={onDetail}
      />
    </Section>
  );
}
