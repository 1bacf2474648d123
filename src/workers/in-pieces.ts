import { isDomainError } from '@/core/units';
import type { WorkerMessage } from './worker-message';

/**
 * Does the work of a worker a piece at a time, so that progress is seen.
 * @param begin makes, of what was asked, a step that does a piece and says how far it is, or what came of it
 */
export function workInPieces<Input, Result>(begin: (input: Input) => () => WorkerMessage<Result>): void {
  const post = (message: WorkerMessage<Result>) => postMessage(message);
  const guarded = (work: () => void) => {
    try {
      work();
    } catch (error) {
      if (!isDomainError(error)) throw error;
      post({ kind: 'refused', message: error.message });
    }
  };
  addEventListener('message', ({ data }: MessageEvent<Input>) =>
    guarded(() => {
      const step = begin(data);
      // What is posted is on its way at once, and who stops a worker ends it where it is: nothing is waited for between.
      for (let message = step(); ; message = step()) {
        post(message);
        if (message.kind !== 'progress') return;
      }
    }),
  );
}
