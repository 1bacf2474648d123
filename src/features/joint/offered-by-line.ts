import { countOnLine, threadOnLine } from '@/core/print';
import { threadNamed } from '@/core/thread';
import type { Leaf } from '@/model/book/leaf';
import { torqueLineOnce } from '@/model/book/torque-line-once';
import { tryCore } from '@/model/try-core';

export interface Offered {
  /** A thread that the tables know. */
  readonly thread: string;
  readonly fasteners: string;
}

/** A thread and a count that stand on the printed line, offered to its joint; empty where the line has none. */
export function offeredByLine({ printedText }: Pick<Leaf, 'printedText'>): Offered {
  const line = tryCore(() => torqueLineOnce(printedText));
  if (!line.ok) return { thread: '', fasteners: '' };
  const named = threadOnLine(line.result.notTaken);
  const known = named !== undefined && tryCore(() => threadNamed(named)).ok;
  return { thread: known ? named : '', fasteners: String(countOnLine(line.result.notTaken) ?? '') };
}
