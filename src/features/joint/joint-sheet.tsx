'use client';

import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useRef, useState, useTransition } from 'react';
import { isDomainError } from '@/core/units';
import { order, patternPositions, tighteningPlan } from '@/core/tightening';
import { ladderOfJoint, stagesOfJoint, type JointSetting } from '@/db/joint-working';
import type { Joint } from '@/db/repositories/joint-repository';
import type { Wrench } from '@/db/repositories/wrench-repository';
import { useFigures } from '@/interface/figures/preferences';
import { Alive } from '@/interface/parts/alive';
import { Key } from '@/interface/parts/button';
import { Part, Remark, Sheet } from '@/interface/parts/sheet';
import { send } from '@/interface/parts/use-action-form';
import { PatternDrawing } from '@/interface/pattern/pattern-drawing';
import { useStandingWorking } from '@/interface/shell/working-margin';
import { alterJointAction, startTighteningAction } from './actions';
import { FaceFields } from './face-fields';
import { originalFilmReason } from './film-reason';
import { LadderView, workingOfRung } from './ladder-view';
import { PlanControls } from './plan-controls';
import styles from './joint-sheet.module.css';

interface Props {
  readonly setting: JointSetting;
  readonly wrenches: readonly Wrench[];
  /** A going-round that was begun and can be gone on with. */
  readonly resume?: { readonly href: string; readonly line: string };
  readonly standing: string;
}

/** Keeps changes on disk behind the figures, one at a time and in order. */
function useKept(initial: Joint) {
  const [joint, setJoint] = useState(initial);
  const [problem, setProblem] = useState<string>();
  const queue = useRef<Promise<unknown>>(Promise.resolve());
  const latest = useRef(initial);
  const change = useCallback((part: Partial<Joint>) => {
    const next = { ...latest.current, ...part };
    latest.current = next;
    setJoint(next);
    queue.current = queue.current.then(async () => {
      const outcome = await send(alterJointAction, next);
      setProblem(outcome.ok ? undefined : outcome.error.message);
    });
  }, []);
  return { joint, change, problem, settled: () => queue.current };
}

function useWorked(setting: JointSetting) {
  return useMemo(() => {
    try {
      const ladder = ladderOfJoint(setting);
      const stageList = stagesOfJoint(setting, ladder);
      return { ok: true as const, ladder, stageList };
    } catch (error) {
      if (isDomainError(error)) return { ok: false as const, message: error.message };
      throw error;
    }
  }, [setting]);
}

/** One joint: its ladder, its plan, and the way to the face. */
export function JointSheet({ setting, wrenches, resume, standing }: Props) {
  const router = useRouter();
  const { plain } = useFigures();
  const [starting, startTransition] = useTransition();
  const [refusal, setRefusal] = useState<string>();
  const { joint, change, problem, settled } = useKept(setting.joint);
  const wrench = wrenches.find((one) => one.id === joint.wrenchId) ?? setting.wrench;
  const reason = originalFilmReason(setting.leaf.conditionText, joint.originalFilm);
  const now = useMemo(() => ({ ...setting, joint: { ...joint, originalFilmReason: reason }, wrench }), [setting, joint, reason, wrench]);
  const worked = useWorked(now);
  const filmRung = worked.ok ? worked.ladder.rungs.find((rung) => rung.id === 'film') : undefined;
  const caution = worked.ok ? worked.ladder.notes.map((note) => note.message).join(' ') || undefined : undefined;
  useStandingWorking(useMemo(() => filmRung && workingOfRung(filmRung, caution), [filmRung, caution]));
  const positions = useMemo(() => patternPositions(joint.pattern, joint.fasteners), [joint.pattern, joint.fasteners]);
  const start = () =>
    startTransition(async () => {
      await settled();
      const outcome = await send(startTighteningAction, { jointId: joint.id, purpose: 'final' });
      if (outcome.ok) router.push(outcome.result.href);
      else setRefusal(outcome.error.message);
    });
  const turn = worked.ok
    ? tighteningPlan({
        positions,
        school: joint.orderSchool,
        stages: worked.stageList,
        unitOfWork: joint.unitOfWork,
        perGroup: joint.pattern === 'caps' ? 2 : 1,
        turnShaft: joint.turnShaft,
      }).order
    : order(positions, joint.orderSchool);
  return (
    <Sheet
      title={joint.name}
      lead={`${joint.fasteners} × ${joint.thread}. ${standing}`}
      aside={resume ? <Key rank="main" onClick={() => router.push(resume.href)}>Go on at the face</Key> : <Key rank="main" onClick={start} disabled={starting || !worked.ok}>To the face</Key>}
    >
      {resume && <Remark kind="wait">{resume.line}</Remark>}
      {(problem ?? refusal) && <Remark kind="stop">{problem ?? refusal}</Remark>}
      {!worked.ok && <Remark kind="stop">{worked.message}</Remark>}
      <Alive>
      {worked.ok && <LadderView ladder={worked.ladder} joint={joint} wrenches={wrenches} onChange={change} />}
      <Part title="The plan">
        <div className={styles.plan}>
          <div className={styles.drawing}>
            <PatternDrawing positions={positions} order={turn} caps={joint.pattern === 'caps'} label={`${joint.fasteners} fasteners with their place in the turn`} />
          </div>
          {worked.ok && (
            <ol className={styles.stages} aria-label="Stages">
              {worked.stageList.map((stage, i) => (
                <li key={i}>
                  <span className={styles.figure}>{plain(stage.setting)}</span> {wrench.unit}
                  {joint.turnShaft && i < worked.stageList.length - 1 && <span className={styles.shaft}>turn the shaft</span>}
                </li>
              ))}
            </ol>
          )}
        </div>
        <PlanControls joint={joint} unit={wrench.unit} stageFigures={worked.ok ? worked.stageList.map((stage) => stage.setting) : []} onChange={change} />
      </Part>
      <Part title="The nut’s face">
        <FaceFields joint={joint} onChange={change} />
      </Part>
      </Alive>
      {resume && <Key onClick={start} disabled={starting}>Begin again from the first stage</Key>}
    </Sheet>
  ); // prettier-ignore
}
