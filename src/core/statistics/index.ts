export {
  startClampScatter,
  type ClampDeviations,
  type ClampScatter,
  type ClampScatterInput,
  type ClampScatterRun,
  type Percentiles,
} from './clamp-scatter';
export { filmTrial, type FilmTrial, type Interval, type TrialFastener, type TrialPull } from './film-trial';
export { handOf, type Hand } from './hand';
export { monteCarlo, startMonteCarlo, type MonteCarloInput, type MonteCarloRun } from './monte-carlo';
export { normalQuantile } from './normal';
export { createRandom, type Random } from './random';
export { settling, type Settling } from './settling';
export { studentQuantile } from './student';
