export {
  DEAD_CENTRES,
  pistonDrop,
  rimArc,
  stopMethod,
  valveSpan,
  type DeadCentre,
  type PistonDrop,
  type PistonDropInput,
  type RimArcInput,
  type ValvePoint,
  type ValveSpanInput,
} from './crank';
