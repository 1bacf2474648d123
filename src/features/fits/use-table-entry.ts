import { useRouter } from 'next/navigation';
import { useEffect, useRef, useState } from 'react';
import type { Problem, Result } from '@/model/result';
import type { Entry } from './enter-readings';

type Answered = Result<Entry> | { readonly step: Entry };

const NO_ANSWER: Problem = {
  code: 'unreachable',
  message:
    'The server did not answer to the end. What it entered stays; look at the table again, and the rest goes in.',
};

/** Each line of an answer as it comes. */
async function* linesOf(body: ReadableStream<Uint8Array>): AsyncGenerator<Answered> {
  const reader = body.pipeThrough(new TextDecoderStream() as ReadableWritablePair<string, Uint8Array>).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) return;
    const lines = (rest + value).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) yield JSON.parse(line) as Answered;
  }
}

async function sendTable(
  address: string,
  table: { readonly text: string; readonly sure: boolean },
  onStep: (entry: Entry) => void,
  signal: AbortSignal,
): Promise<Result<Entry>> {
  const response = await fetch(address, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(table),
    signal,
  });
  if (!response.ok || !response.body) return (await response.json()) as Result<Entry>;
  for await (const line of linesOf(response.body)) {
    if (!('step' in line)) return line;
    onStep(line.step);
  }
  return { ok: false, error: NO_ANSWER };
}

/** A table on its way into the record: how far it is, a way to stop it, and what was said to it. */
export function useTableEntry(engineId: string) {
  const router = useRouter();
  const [entry, setEntry] = useState<Entry>();
  const [problem, setProblem] = useState<Problem>();
  const under = useRef<AbortController>(undefined);
  useEffect(() => () => under.current?.abort(), []);
  const enter = (table: { readonly text: string; readonly sure: boolean }, onStopped: () => void) => {
    const control = (under.current = new AbortController());
    setEntry({ entered: 0, total: 0 });
    void sendTable(`/api/engines/${engineId}/readings`, table, setEntry, control.signal)
      .catch((): Result<Entry> => ({ ok: false, error: NO_ANSWER }))
      .then((outcome) => {
        setEntry(undefined);
        setProblem(outcome.ok || control.signal.aborted ? undefined : outcome.error);
        if (!outcome.ok) return onStopped();
        router.push(`/engines/${engineId}/fits`);
        router.refresh();
      });
  };
  return { enter, stop: () => under.current?.abort(), entry, problem };
}
