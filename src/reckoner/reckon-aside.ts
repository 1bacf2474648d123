import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Answer } from './answer';

/** So long may one request take, however many are in it; then its thread is stopped and the next one has a new one. */
export const MOST_MS = 10_000;
/** Longer, nobody waits: whoever comes then is told so. */
const MAX_WAITING = 40;
/** So long may a thread take to be read in, of which no request's time is taken: a machine may be slow or busy. */
const MOST_TO_BEGIN_MS = 60_000;

export type Reckoned =
  | { readonly ok: true; readonly answers: readonly Answer[] }
  | { readonly ok: false; readonly why: 'slow' | 'busy' | 'failed' };

interface Waiting {
  readonly requests: readonly unknown[];
  readonly done: (reckoned: Reckoned) => void;
}

interface Reckoner {
  readonly worker: Worker;
  isReady: boolean;
}

interface Line {
  reckoner?: Reckoner;
  readonly waiting: Waiting[];
  isWorking: boolean;
}

// Pages and routes are bundled apart; there is one thread for all of them.
const holder = globalThis as { spannerReckoner?: Line };
const line: Line = (holder.spannerReckoner ??= { waiting: [], isWorking: false });

function started(): Reckoner {
  const worker = new Worker(join(/* turbopackIgnore: true */ process.cwd(), 'scripts', 'reckon-worker.cjs'));
  const reckoner: Reckoner = { worker, isReady: false };
  worker.unref();
  worker.on('error', (error) => console.error('The reckoner stopped:', error));
  worker.once('exit', () => {
    if (line.reckoner === reckoner) line.reckoner = undefined;
  });
  return reckoner;
}

const ask = (requests: readonly unknown[]): Promise<Reckoned> =>
  new Promise((resolve) => {
    const reckoner = (line.reckoner ??= started());
    const { worker } = reckoner;
    let isSlow = false;
    // Of a thread that was never read in, less would not have been sooner.
    const tooLong = () => {
      isSlow = reckoner.isReady;
      line.reckoner = undefined;
      void worker.terminate();
    };
    let clock = setTimeout(tooLong, reckoner.isReady ? MOST_MS : MOST_TO_BEGIN_MS);
    const end = (reckoned: Reckoned) => {
      clearTimeout(clock);
      worker.off('message', hear);
      worker.off('exit', stopped);
      resolve(reckoned);
    };
    const hear = (said: 'ready' | { readonly answers: readonly Answer[] }) => {
      if (said !== 'ready') {
        end({ ok: true, answers: said.answers });
        return;
      }
      reckoner.isReady = true;
      clearTimeout(clock);
      clock = setTimeout(tooLong, MOST_MS);
    };
    const stopped = () => end({ ok: false, why: isSlow ? 'slow' : 'failed' });
    worker.on('message', hear);
    worker.once('exit', stopped);
    worker.postMessage({ requests });
  });

async function work(): Promise<void> {
  if (line.isWorking) return;
  line.isWorking = true;
  // A thread that cannot be begun fails its own request; those behind it are still asked.
  for (let next = line.waiting.shift(); next; next = line.waiting.shift())
    next.done(await ask(next.requests).catch((): Reckoned => ({ ok: false, why: 'failed' })));
  line.isWorking = false;
}

/** Answers requests one after another on a thread of their own, each within its time. */
export const reckonAside = (requests: readonly unknown[]): Promise<Reckoned> =>
  new Promise((done) => {
    if (line.waiting.length >= MAX_WAITING) {
      done({ ok: false, why: 'busy' });
      return;
    }
    line.waiting.push({ requests, done });
    void work();
  });
