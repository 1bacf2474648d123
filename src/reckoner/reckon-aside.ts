import { join } from 'node:path';
import { Worker } from 'node:worker_threads';
import type { Answer } from './answer';

/** So long may one request take, however many are in it; then its thread is stopped and the next one has a new one. */
export const MOST_MS = 10_000;
/** Longer, nobody waits: whoever comes then is told so. */
const MAX_WAITING = 40;

export type Reckoned =
  | { readonly ok: true; readonly answers: readonly Answer[] }
  | { readonly ok: false; readonly why: 'slow' | 'busy' | 'failed' };

interface Waiting {
  readonly requests: readonly unknown[];
  readonly done: (reckoned: Reckoned) => void;
}

interface Line {
  worker?: Worker;
  readonly waiting: Waiting[];
  isWorking: boolean;
}

// Pages and routes are bundled apart; there is one thread for all of them.
const holder = globalThis as { spannerReckoner?: Line };
const line: Line = (holder.spannerReckoner ??= { waiting: [], isWorking: false });

function started(): Worker {
  const worker = new Worker(join(/* turbopackIgnore: true */ process.cwd(), 'scripts', 'reckon-worker.cjs'));
  worker.unref();
  worker.on('error', (error) => console.error('The reckoner stopped:', error));
  worker.once('exit', () => {
    if (line.worker === worker) line.worker = undefined;
  });
  return worker;
}

const ask = (requests: readonly unknown[]): Promise<Reckoned> =>
  new Promise((resolve) => {
    const worker = (line.worker ??= started());
    const end = (reckoned: Reckoned) => {
      clearTimeout(clock);
      worker.off('message', hear);
      worker.off('exit', stopped);
      resolve(reckoned);
    };
    const hear = ({ answers }: { readonly answers: readonly Answer[] }) => end({ ok: true, answers });
    let isSlow = false;
    const stopped = () => end({ ok: false, why: isSlow ? 'slow' : 'failed' });
    const clock = setTimeout(() => {
      isSlow = true;
      line.worker = undefined;
      void worker.terminate();
    }, MOST_MS);
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
