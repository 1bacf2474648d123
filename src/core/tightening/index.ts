export { NAMED_SCHEMES, stages, type NamedScheme, type StageScheme } from './stages';
export { nextSlot, type NextSlotInput } from './next-slot';
export { TURN_SCHOOLS, order, type OrderSchool, type Position, type TurnSchool } from './order';
export { assertTurn, readTurn, turnText } from './read-turn';
export { MAX_FASTENERS, PATTERN_KINDS, patternPositions, type PatternKind } from './pattern';
export {
  KIND_TURNS,
  STEP_KINDS,
  UNITS_OF_WORK,
  kindsPlan,
  rowTurn,
  tighteningPlan,
  turnsShaftAfter,
  type KindOfPlan,
  type KindTurn,
  type Plan,
  type PlannedStage,
  type PullStep,
  type ShaftStep,
  type StageTurn,
  type Step,
  type UnitOfWork,
} from './plan';
export {
  EVENT_KINDS,
  PULL_OUTCOMES,
  assertFollows,
  roundState,
  type BenchEvent,
  type DoneEvent,
  type FastenerMark,
  type PullOutcome,
  type RoundState,
} from './round-state';
export {
  ANGLE_BY_EYE_DEG,
  readLimits,
  standingOfRead,
  type AskedOfPull,
  type PullReading,
  type ReadStanding,
} from './pull-reading';
