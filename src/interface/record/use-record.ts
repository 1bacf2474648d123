'use client';

import type { Recorded, RecordedTogether } from '@/model/line-age';
import { MOST_TOGETHER } from '@/model/most-together';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { TroubleCode } from '@/model/trouble-code';
import type { Result } from '@/model/result';
import { noteWrite } from '../parts/second-press';
import { forgetLines, keepLine, keptLines } from './outbox';

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
  /** What was left over from a closed page is here too: nothing may be added before, for its turn is not known. */
  readonly ready: boolean;
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
const aged = ({ at, ...line }: Timed) => ({ ...line, age_ms: Math.max(0, Date.now() - Date.parse(at)) });

const post = <T>(address: string, body: object) =>
  answerOf<T>(() =>
    fetch(address, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify(body),
    }),
  );

/** Sends the first line, or all that wait together; undefined where nothing answers. */
async function sent(address: string, lines: readonly Timed[]): Promise<RecordedTogether | undefined> {
  const [first] = lines;
  if (lines.length > 1) {
    const outcome = await post<RecordedTogether>(address, lines.map(aged));
    return outcome && (outcome.ok ? outcome.result : { recorded: [], refused: outcome.error });
  }
  const outcome = first && (await post<Recorded>(address, aged(first)));
  return outcome && (outcome.ok ? { recorded: [outcome.result] } : { recorded: [], refused: outcome.error });
}

/** What was pressed is drawn first: to begin a request takes a slow tablet as long as to draw a pull. */
const drawn = () => new Promise<void>((done) => setTimeout(done));

const UNREACHED = 'The last line is not on disk yet: the program on this machine does not answer.';
const KEPT_HERE = 'It is kept here and sent again.';
const UNKEPT = 'It is sent again; but this browser keeps nothing: leave this page open until it is.';
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

interface Sending<Line> {
  readonly address: string;
  readonly ready: boolean;
  readonly lines: Lines<Line>;
  readonly setLines: (change: (before: Lines<Line>) => Lines<Line>) => void;
  readonly after: AfterRefusal;
}

/** By its identity: the page may have been read again meanwhile, with the line already in it. */
function acknowledged<Line extends Timed>({ written, waiting }: Lines<Line>, recorded: readonly Recorded[]) {
  const times = new Map(recorded.map((one) => [one.id, timesOf(one)]));
  const known = new Set(written.map(({ id }) => id));
  return {
    written: [
      ...written,
      ...waiting.flatMap((line) => {
        const own = times.get(line.id);
        return own && !known.has(line.id) ? [{ ...line, ...own }] : [];
      }),
    ],
    waiting: waiting.filter(({ id }) => !times.has(id)),
  };
}

/**
 * Sends waiting lines in their order, those that follow one another together; a line leaves the outbox only when the
 * server has it on disk.
 */
function useSending<Line extends Timed>({ address, ready, lines, setLines, after }: Sending<Line>) {
  const { waiting } = lines;
  const [trouble, setTrouble] = useState<string>();
  const [refusal, setRefusal] = useState<string>();
  const [attempt, setAttempt] = useState(0);
  const sending = useRef(false);
  const queue = useRef(waiting);
  useEffect(() => {
    queue.current = waiting;
  }, [waiting]);
  const first = waiting[0];
  useEffect(() => {
    if (!ready || !first || sending.current) return;
    sending.current = true;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const again = () => setAttempt((n) => n + 1);
    const send = async () => {
      const together = queue.current.slice(0, after === 'stop' ? MOST_TOGETHER : 1);
      // A reading may be written as its page is left: no time comes after that.
      if (after === 'stop') await drawn();
      const outcome = await sent(address, together);
      sending.current = false;
      const taken = (before: Lines<Line>) => acknowledged(before, outcome?.recorded ?? []);
      if (outcome?.refused && !KEPT.has(outcome.refused.code)) {
        // Another screen went on meanwhile, or the line cannot stand: what is on disk stands. Until it is known what
        // that is, none of those behind it is sent once more.
        const written = await answerOf<readonly Line[]>(() => fetch(address));
        setTrouble(undefined);
        setRefusal(`${outcome.refused.message} The record was read again.`);
        setLines((before) => ({
          written: written?.ok ? written.result : taken(before).written,
          waiting: after === 'go-on' ? before.waiting.filter(({ id }) => id !== first.id) : [],
        }));
        return;
      }
      if (outcome?.recorded.length) setLines(taken);
      if (outcome && !outcome.refused) {
        setTrouble(undefined);
      } else {
        setTrouble(outcome?.refused ? outcome.refused.message : UNREACHED);
        timer = setTimeout(again, RETRY_MS);
      }
    };
    void send();
    return () => clearTimeout(timer);
  }, [first, attempt, address, ready, setLines, after]);
  const clear = useCallback(() => setRefusal(undefined), []);
  return { trouble, refusal, clear };
}

const without = <Line extends Timed>(lines: readonly Line[], of: readonly Line[]): readonly Line[] => {
  const ids = new Set(of.map(({ id }) => id));
  return lines.filter(({ id }) => !ids.has(id));
};

/** What is on disk as read just now, with what was acknowledged since; nothing that waits is lost or sent twice. */
function merged<Line extends Timed>(before: Lines<Line>, onDisk: readonly Line[], kept: readonly Line[]): Lines<Line> {
  const written = [...onDisk, ...without(before.written, onDisk)];
  const waiting = without([...before.waiting, ...without(kept, before.waiting)], written);
  return written.length === before.written.length && waiting.length === before.waiting.length
    ? before
    : { written, waiting };
}

/**
 * Keeps in this browser what waits, and forgets it when it waits no longer; reads back what a closed page left over.
 * @returns whether that was read back, and whether the browser keeps anything at all
 */
function useKeeping<Line extends Timed>(
  name: string,
  waiting: readonly Line[],
  setLines: (change: (before: Lines<Line>) => Lines<Line>) => void,
) {
  const [ready, setReady] = useState(false);
  const [isUnkept, setUnkept] = useState(false);
  const held = useRef<readonly Line[]>([]);
  useEffect(() => {
    let left = false;
    void keptLines<Line>(name)
      .catch(() => {
        setUnkept(true);
        return [];
      })
      .then((kept) => {
        if (left) return;
        held.current = kept;
        setLines((before) => merged(before, before.written, kept));
        setReady(true);
      });
    return () => {
      left = true;
    };
  }, [name, setLines]);
  useEffect(() => {
    if (!ready) return;
    const [come, gone] = [without(waiting, held.current), without(held.current, waiting)];
    held.current = waiting;
    const acts = [
      ...come.map((line) => keepLine(name, line)),
      forgetLines(
        name,
        gone.map(({ id }) => id),
      ),
    ];
    void Promise.all(acts).catch(() => setUnkept(true));
  }, [name, ready, waiting]);
  return { ready, isUnkept };
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
    // A page that was read again may know more, or less, than this one.
    // oxlint-disable-next-line react/set-state-in-effect
    setLines((before) => merged(before, onDisk, []));
  }, [onDisk]);
  const { ready, isUnkept } = useKeeping(name, lines.waiting, setLines);
  const { trouble, refusal, clear } = useSending({ address, ready, lines, setLines, after });
  const add = useCallback(
    (line: Line) => {
      noteWrite();
      clear();
      setLines((before) => ({ ...before, waiting: [...before.waiting, line] }));
    },
    [clear],
  );
  const all = useMemo(() => [...lines.written, ...lines.waiting], [lines]);
  const waits = trouble && `${trouble} ${isUnkept ? UNKEPT : KEPT_HERE}`;
  return { lines: all, waiting: lines.waiting, ready, trouble: waits ?? refusal, add };
}
