import { startMonteCarlo, type MonteCarloInput } from '@/core/statistics';
import type { ClampBand } from '@/core/joint';
import { isDomainError } from '@/core/units';

/** What the page is told: how far it is, the band, or why there is none. */
export type MonteCarloMessage =
  | { readonly kind: 'progress'; readonly drawn: number; readonly samples: number }
  | { readonly kind: 'band'; readonly band: ClampBand; readonly samples: number }
  | { readonly kind: 'refused'; readonly message: string };

const PIECE = 20_000;

const post = (message: MonteCarloMessage) => postMessage(message);

/** A piece at a time, so that being stopped (terminated) is never waited for and progress is seen. */
function go(input: MonteCarloInput): void {
  const run = startMonteCarlo(input);
  const next = () => {
    const all = run.advance(PIECE);
    post({ kind: 'progress', drawn: run.drawn(), samples: input.samples });
    if (all) post({ kind: 'band', band: run.band(), samples: input.samples });
    else setTimeout(next);
  };
  next();
}

addEventListener('message', ({ data }: MessageEvent<MonteCarloInput>) => {
  try {
    go(data);
  } catch (error) {
    if (!isDomainError(error)) throw error;
    post({ kind: 'refused', message: error.message });
  }
});
