'use client';

import type { Recorded } from '@/model/line-age';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { TroubleCode } from '@/model/trouble-code';
import type { Result } from '@/model/result';
import { loadOutbox, saveOutbox } from './outbox';

const RETRY_MS = 2000;

interface Timed {
  readonly id: string;
  readonly at: string;
}

interface Lines<Line> {
  readonly written: readonly Line[];
  readonly waiting: readonly Line[];
}

export interface Kept<Line> {
  /** What is on disk, and then what is on its way there. */
  readonly lines: readonly Line[];
  readonly waiting: readonly Line[];
  readonly trouble?: string;
  readonly add: (line: Line) => void;
}

/** Pulls follow one another, so that those behind a refused one fall with it; readings stand each by itself. */
type AfterRefusal = 'stop' | 'go-on';

async function answerOf<T>(request: () => Promise<Response>): Promise<Result<T> | undefined> {
  try {
    return (await (await request()).json()) as Result<T>;
  } catch {
    return undefined;
  }
}

/** A line goes out with its age, not with its hour: what this device's clock says is nobody else's business. */
const post = (address: string, { at, ...line }: Timed) =>
  answerOf<Recorded>(() =>
    fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ ...line, age_ms: Math.max(0, Date.now() - Date.parse(at)) }),
    }),
  );

const UNREACHED =
  'The last line is not on disk yet: the program on this machine does not answer. It is kept here and sent again.';
/**
 * Trouble with the file, not with the line: it is kept here and sent again. Anything else is a refusal, and what is
 * on disk stands.
 */
const KEPT = new Set<string>([
  'locked',
  'disk-full',
  'not-writable',
  'corrupt',
  'newer-version',
  'changed-history',
  'failed',
] satisfies TroubleCode[]);

/** The hours of a line as the server keeps them. */
const timesOf = ({ at, recordedAt }: Recorded) => ({ at, recordedAt });

/** Sends waiting lines one after another; a line leaves the outbox only when the server has it on disk. */
function useSending<Line extends Timed>(
  address: string,
  { waiting }: Lines<Line>,
  setLines: (change: (before: Lines<Line>) => Lines<Line>) => void,
  after: AfterRefusal,
) {
  const [trouble, setTrouble] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const [attempt, setAttempt] = useState(0);
  const sending = useRef(false);
  const first = waiting[0];
  useEffect(() => {
    if (!first || sending.current) return;
    sending.current = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const again = () => setAttempt((n) => n + 1);
    void post(address, first).then(async (outcome) => {
      sending.current = false;
      if (outcome?.ok) {
        setTrouble(undefined);
        // By its identity: the page may have been read again meanwhile, with the line already in it.
        setLines(({ written, waiting: rest }) => ({
          written: written.some(({ id }) => id === first.id)
            ? written
            : [...written, { ...first, ...timesOf(outcome.result) }],
          waiting: rest.filter(({ id }) => id !== first.id),
        }));
      } else if (outcome && !KEPT.has(outcome.error.code)) {
        // Another screen went on meanwhile, or the line cannot stand: what is on disk stands.
        const written = await answerOf<readonly Line[]>(() => fetch(address));
        setTrouble(undefined);
        setRefusal(`${outcome.error.message} The record was read again.`);
        setLines((before) => ({
          written: written?.ok ? written.result : before.written,
          waiting: after === 'go-on' ? before.waiting.filter(({ id }) => id !== first.id) : [],
        }));
      } else {
        setTrouble(outcome ? outcome.error.message : UNREACHED);
        timer = setTimeout(again, RETRY_MS);
      }
    });
    return () => clearTimeout(timer);
  }, [first, attempt, address, setLines, after]);
  const clear = useCallback(() => setRefusal(undefined), []);
  return { trouble: trouble ?? refusal, clear };
}

/** What is on disk as read just now, with what was acknowledged since; nothing that waits is lost or sent twice. */
function merged<Line extends Timed>(before: Lines<Line>, onDisk: readonly Line[], kept: readonly Line[]): Lines<Line> {
  const without = (lines: readonly Line[], of: readonly Line[]) => {
    const ids = new Set(of.map(({ id }) => id));
    return lines.filter(({ id }) => !ids.has(id));
  };
  const written = [...onDisk, ...without(before.written, onDisk)];
  const waiting = without([...before.waiting, ...without(kept, before.waiting)], written);
  return written.length === before.written.length && waiting.length === before.waiting.length
    ? before
    : { written, waiting };
}

/** Append-only lines of one record: shown at once, sent one by one, kept in the browser until each is on disk. */
export function useRecord<Line extends Timed>(
  name: string,
  address: string,
  onDisk: readonly Line[],
  after: AfterRefusal = 'stop',
): Kept<Line> {
  const [lines, setLines] = useState<Lines<Line>>({ written: onDisk, waiting: [] });
  useEffect(() => {
    const kept = loadOutbox<Line>(name);
    // Lines left over from a closed browser can only be seen after the first paint; a page that was read again may
    // know more, or less, than this one.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setLines((before) => merged(before, onDisk, kept));
  }, [name, onDisk]);
  useEffect(() => {
    saveOutbox(name, lines.waiting);
  }, [name, lines.waiting]);
  const { trouble, clear } = useSending(address, lines, setLines, after);
  const add = useCallback(
    (line: Line) => {
      clear();
      setLines((before) => ({ ...before, waiting: [...before.waiting, line] }));
    },
    [clear],
  );
  const all = useMemo(() => [...lines.written, ...lines.waiting], [lines]);
  return { lines: all, waiting: lines.waiting, trouble, add };
}
