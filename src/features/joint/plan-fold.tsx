'use client';

import { useMemo } from 'react';
import { rowTurn, tighteningPlan, turnsShaftAfter, type PlannedStage } from '@/core/tightening';
import { schoolWords } from '@/model/practice/house-practice';
import type { JointDetail } from '@/model/joint/joint-detail';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { keyOfShape, shapeOfPlan } from '@/model/joint/joint-shape';
import { shaftOf, type JointResult } from '@/model/joint/joint-result';
import { Notice, Section } from '@/interface/parts/screen';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { turnWords } from '@/model/joint/turns-words';
import type { JointChange } from './schema';
import { tryCore } from '@/model/try-core';
import { PlanControls } from './plan-controls';
import styles from './joint-screen.module.css';

interface Props {
  readonly setting: JointInputs;
  readonly worked?: JointResult;
  readonly stageList: readonly PlannedStage[];
  readonly onChange: (part: JointChange) => void;
  readonly onDetail: (part: Partial<JointDetail>) => void;
  readonly plain: (value: number) => string;
}

/** The turn drawn on the pattern, the stages, and what they are made from. */
export function PlanFold({ setting: { joint, shelves }, worked, stageList, onChange, onDetail, plain }: Props) {
  const shaft = shaftOf(joint);
  // Two windows may leave places and number apart for as long as nobody said which stands.
  const drawn = useMemo(
    () =>
      tryCore(() => {
        const shape = shapeOfPlan(joint);
        const asks = { ...shape, stages: stageList, unitOfWork: joint.unitOfWork, turnShaft: shaft };
        return { positions: shape.positions, turn: stageList.length > 0 ? tighteningPlan(asks).order : rowTurn(shape) };
      }),
    [joint, stageList, shaft],
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
              noted={new Set(joint.detail.placeNotes.map(({ place }) => place))}
              label={`${joint.fasteners} fasteners with their place in the turn`}
            />
          ) : (
            <Notice kind="stop">{drawn.error.message}</Notice>
          )}
        </div>
        {worked && (
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
        unit={worked?.wrench.unit ?? ''}
        stageFigures={stageList.flatMap((stage) => (stage.turn ? [] : [stage.setting]))}
        onChange={onChange}
        onDetail={onDetail}
      />
    </Section>
  );
}
