export { stages, type StageScheme } from './stages';
export { order, type OrderSchool, type Position } from './order';
export { MOST_FASTENERS, patternPositions, type PatternKind } from './pattern';
export { tighteningPlan, type Plan, type PlannedStage, type PullStep, type ShaftStep, type Step, type UnitOfWork } from './plan';
export {
  PULL_OUTCOMES,
  assertFollows,
  standing,
  type BenchEvent,
  type DoneEvent,
  type FastenerMark,
  type PullOutcome,
  type Standing,
} from './standing';
