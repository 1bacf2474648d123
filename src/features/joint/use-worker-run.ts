import { useEffect, useMemo, useRef, useState } from 'react';
import type { WorkerMessage } from '@/workers/worker-message';

export interface WorkerRun<Result> {
  readonly running: boolean;
  readonly done: number;
  readonly of: number;
  readonly result?: Result;
  readonly refusal?: string;
}

/**
 * Work that is done beside the page, with progress and a way to stop. A new input lets go of what was found for another.
 * @param open makes the worker; the address of its script stands where it is called, for the bundler to find
 * @param input what is asked; the same by its content is the same, for a sheet that was saved is made anew
 */
export function useWorkerRun<Input extends object, Result>(open: () => Worker, input: Input) {
  const [run, setRun] = useState<{ readonly of: string; readonly run: WorkerRun<Result> }>();
  const asked = useMemo(() => JSON.stringify(input), [input]);
  const worker = useRef<Worker>(undefined);
  const end = () => {
    worker.current?.terminate();
    worker.current = undefined;
  };
  useEffect(() => end, []);
  const stop = () => {
    end();
    setRun(undefined);
  };
  const start = () => {
    end();
    const own = open();
    worker.current = own;
    const show = (part: WorkerRun<Result>) => worker.current === own && setRun({ of: asked, run: part });
    const ended = { running: false, done: 0, of: 0 };
    show({ running: true, done: 0, of: 1 });
    own.addEventListener('message', ({ data }: MessageEvent<WorkerMessage<Result>>) => {
      if (data.kind === 'progress') show({ running: true, done: data.done, of: data.of });
      else if (data.kind === 'result') show({ ...ended, result: data.result });
      else show({ ...ended, refusal: data.message });
    });
    own.addEventListener('error', () => show({ ...ended, refusal: 'It broke off. Ask for it again.' }));
    own.postMessage(input);
  };
  return { run: run?.of === asked ? run.run : undefined, start, stop };
}
