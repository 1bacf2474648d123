import { startClampScatter, type ClampScatter, type ClampScatterInput } from '@/core/statistics';
import { workInPieces } from './in-pieces';

const PIECE = 250;

workInPieces<ClampScatterInput, ClampScatter>((input) => {
  const run = startClampScatter(input);
  return () =>
    run.advance(PIECE)
      ? { kind: 'result', result: run.result() }
      : { kind: 'progress', done: run.drawn(), of: input.samples };
});
