export { stages, type StageScheme } from './stages';
export { order, type OrderSchool, type Position } from './order';
export { MAX_FASTENERS, patternPositions, type PatternKind } from './pattern';
export {
  tighteningPlan,
  type Plan,
  type PlannedStage,
  type PullStep,
  type ShaftStep,
  type Step,
  type UnitOfWork,
} from './plan';
export {
  PULL_OUTCOMES,
  assertFollows,
  roundState as standing,
  type BenchEvent,
  type DoneEvent,
  type FastenerMark,
  type PullOutcome,
  type RoundState as Standing,
} from './round-state';
