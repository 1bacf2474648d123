import { startMonteCarlo, type MonteCarloInput } from '@/core/statistics';
import type { ClampBand } from '@/core/joint';
import { workInPieces } from './in-pieces';

const PIECE = 20_000;

workInPieces<MonteCarloInput, ClampBand>((input) => {
  const run = startMonteCarlo(input);
  return () =>
    run.advance(PIECE)
      ? { kind: 'result', result: run.band() }
      : { kind: 'progress', done: run.drawn(), of: input.samples };
});
