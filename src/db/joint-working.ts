import { usualBearingFace } from '@/core/fastener';
import { SHELF_FILMS, type Film } from '@/core/film';
import { ladder, type Ladder } from '@/core/joint';
import { readTorque, type TorqueReading } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { patternPositions, stages, tighteningPlan, type PlannedStage } from '@/core/tightening';
import { DomainError, torqueToSi } from '@/core/units';
import type { Leaf, Source } from './repositories/book-repository';
import type { Joint } from './repositories/joint-repository';
import type { Wrench } from './repositories/wrench-repository';
import type { TighteningPlan } from './tightening-plan';

/** A joint with everything its figure is made from. Plain rows in, core results out: nothing here touches a file. */
export interface JointSetting {
  readonly joint: Joint;
  readonly leaf: Leaf;
  readonly source: Source;
  readonly wrench: Wrench;
}

const filmNamed = (id: string): Film => {
  const film = SHELF_FILMS.find((candidate) => candidate.id === id);
  if (!film) throw new DomainError('bad-field', `There is no film “${id}” on the shelf.`, 'todayFilm');
  return film;
};

export const filmName = (id: string): string => filmNamed(id).name;

/** @throws DomainError where the leaf holds a turn, which is no torque */
export function readingOfLeaf(leaf: Leaf): TorqueReading {
  const print = readTorque(leaf.printedText);
  const reading = print.kind === 'turn' ? undefined : print.readings[leaf.readingIndex];
  if (!reading) throw new DomainError('bad-field', 'The leaf gives a turn, not a torque, so no setting can be reckoned from it.', 'leafId');
  return reading;
}

export const sourceLine = ({ title, edition, year }: Source): string => [title, edition, year].filter(Boolean).join(', ');

/** The joint's ladder, from its leaf to its wrench. @throws DomainError */
export function ladderOfJoint({ joint, leaf, source, wrench }: JointSetting): Ladder {
  return ladder({
    reading: readingOfLeaf(leaf),
    printedText: leaf.printedText,
    page: `${sourceLine(source)}, p. ${leaf.page}`,
    rangeSchool: joint.rangeSchool,
    thread: threadNamed(joint.thread),
    bearing: { outer_mm: joint.bearingOuterMm, inner_mm: joint.bearingInnerMm },
    bearingSource: joint.bearingMeasured ? 'measured on the nut.' : 'usual for the size, not measured.',
    originalFilm: filmNamed(joint.originalFilm),
    originalFilmReason: joint.originalFilmReason,
    todayFilm: filmNamed(joint.todayFilm),
    wrench: {
      name: wrench.name,
      unit: wrench.unit,
      min: wrench.min,
      max: wrench.max,
      graduation: wrench.graduation,
      accuracy_pct: wrench.accuracyPct,
    },
  });
}

/** The figures of the stages, in the wrench's unit and in N·m. */
export function stagesOfJoint({ joint, wrench }: JointSetting, { setting }: Ladder): readonly PlannedStage[] {
  return stages(setting.rounded, joint.stageScheme, wrench.graduation).stages.map((figure) => ({
    setting: figure,
    torque_Nm: torqueToSi(figure, wrench.unit),
  }));
}

/** The plan of a going-round, to be kept with it. A retorque goes round once, at the final figure. */
export function planOfJoint(joined: JointSetting, retorqueCycle?: string): TighteningPlan {
  const { joint, leaf, source, wrench } = joined;
  const worked = ladderOfJoint(joined);
  const allStages = stagesOfJoint(joined, worked);
  const again = retorqueCycle !== undefined;
  const { order, steps } = tighteningPlan({
    positions: patternPositions(joint.pattern, joint.fasteners),
    school: joint.orderSchool,
    stages: again ? allStages.slice(-1) : allStages,
    unitOfWork: again ? 'row' : joint.unitOfWork,
    perGroup: joint.pattern === 'caps' ? 2 : 1,
    turnShaft: joint.turnShaft && !again,
  });
  const { rungs, printed_Nm, target_Nm, setting, band, notes } = worked;
  return {
    positions: patternPositions(joint.pattern, joint.fasteners),
    order,
    steps,
    unit: wrench.unit,
    wrenchName: wrench.name,
    leaf: { printedText: leaf.printedText, source: sourceLine(source), page: leaf.page },
    filmName: filmName(joint.todayFilm),
    thread: joint.thread,
    ladder: { rungs, printed_Nm, target_Nm, setting, band, notes },
    act: again && joint.retorqueSchool === 'slacken' ? 'slacken-and-pull' : 'pull',
    ...(again && { cycleId: retorqueCycle }),
  };
}

/** The face to start from for a thread, until somebody measures the nut. */
export const usualFaceOf = (designation: string) => usualBearingFace(threadNamed(designation));
