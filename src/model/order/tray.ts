import type { BuildLine } from './build-line';
import { ARRIVAL_CHECKS, isNewHere, type Part } from './part';
import type { DoneFact } from './step-facts';

/** One part of the tray, and how many of it lie where. */
export interface TrayPart {
  readonly part: Part;
  /** How many there have been, less those struck off. */
  readonly has: number;
  /** Built in: what its step needs, once it is done for good. */
  readonly used: number;
  /** On the tray still. */
  readonly left: number;
  /** Missing for its step. */
  readonly short: number;
  /** More than its step takes, or of no step at all. */
  readonly surplus: number;
  /** Used once, and opened up since: it is not used again. */
  readonly spent: number;
  readonly struckOff: readonly { readonly count: number; readonly reason: string }[];
  /** What was ordered, while it is short. */
  readonly order?: string;
  readonly checked: readonly string[];
  /** What its step waits for on its account; undefined where it lies ready. */
  readonly asks?: string;
}

const sum = (counts: readonly number[]): number => counts.reduce((total, one) => total + one, 0);

function asksOf(part: Part, short: number, order: string | undefined, checked: readonly string[]): string | undefined {
  if (short > 0) return `${part.name}: ${short} short${order === undefined ? '' : `, on order: ${order}`}`;
  if (part.condition === 'to-replace') return `${part.name}: to be replaced`;
  return isNewHere(part) && checked.length === 0 ? `${part.name}: not checked since it came` : undefined;
}

/** How a part lies to its step. */
interface OnStep {
  readonly isUsed: boolean;
  readonly goesNowhere: boolean;
  /** How often its step was done for good and opened up again. */
  readonly timesOpened: number;
}

function trayPart(part: Part, lines: readonly BuildLine[], { isUsed, goesNowhere, timesOpened }: OnStep): TrayPart {
  const came = lines.flatMap((line) => (line.kind === 'part-in' ? [line.body.count] : []));
  const struckOff = lines.flatMap((line) => (line.kind === 'part-off' ? [line.body] : []));
  const off = sum(struckOff.map(({ count }) => count));
  // A once-only part that was built in and opened up again is used up.
  const spent = part.condition === 'once-only' ? part.need * timesOpened : 0;
  const has = Math.max(0, part.here + sum(came) - off - spent);
  const used = isUsed ? Math.min(part.need, has) : 0;
  // What no step waits for is not missed once it is struck off.
  const short = Math.max(0, part.need - has - (goesNowhere ? off : 0));
  const said = lines.flatMap((line) =>
    line.kind === 'part-in' || line.kind === 'part-checked' ? line.body.checked : [],
  );
  const checked = ARRIVAL_CHECKS.filter((check) => said.includes(check));
  const ordered = lines.findLast(({ kind }) => kind === 'part-order');
  const order = short > 0 && ordered?.kind === 'part-order' ? ordered.body.words : undefined;
  const asks = asksOf(part, short, order, checked);
  return {
    part,
    has,
    used,
    left: has - used,
    short,
    surplus: goesNowhere ? has : isUsed ? has - used : Math.max(0, has - part.need),
    spent,
    struckOff,
    ...(order !== undefined && { order }),
    checked,
    ...(asks !== undefined && !isUsed && { asks }),
  };
}

/** How often each step was done for good and opened up again; what was only tried used nothing up. */
function timesOpenedOf(lines: readonly BuildLine[]): ReadonlyMap<string, number> {
  const [good, times] = [new Set<string>(), new Map<string, number>()];
  for (const line of lines) {
    if (line.kind === 'done' && !line.body.trial) good.add(line.stepId);
    if (line.kind !== 'undone') continue;
    if (good.delete(line.stepId) || line.body.jointId !== undefined)
      times.set(line.stepId, (times.get(line.stepId) ?? 0) + 1);
  }
  return times;
}

/**
 * The tray of one engine: what is on it, what was built in, what is over and what is missing.
 * @param known ids of the steps that stand: what goes to another goes nowhere
 */
export function trayOf(
  parts: readonly Part[],
  lines: readonly BuildLine[],
  done: ReadonlyMap<string, DoneFact>,
  known: ReadonlySet<string>,
): readonly TrayPart[] {
  const ofPart = new Map<string, BuildLine[]>();
  for (const line of lines) if ('partId' in line) ofPart.set(line.partId, [...(ofPart.get(line.partId) ?? []), line]);
  const opened = timesOpenedOf(lines);
  return parts.map((part) => {
    const goesNowhere = !known.has(part.stepId ?? '');
    const isUsed = !goesNowhere && done.get(part.stepId ?? '')?.isTrial === false;
    const timesOpened = opened.get(part.stepId ?? '') ?? 0;
    return trayPart(part, ofPart.get(part.id) ?? [], { isUsed, goesNowhere, timesOpened });
  });
}
