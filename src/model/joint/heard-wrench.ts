import { standingOfRead, type PullOutcome, type PullReading, type PullStep } from '@/core/tightening';
import { torqueToSi, type TorqueUnit } from '@/core/units';
import { askedAt } from './pull-reading';
import type { TighteningPlan } from './tightening-plan';

/** A line of a wrench, as far as a bench looks at it. */
export interface WrenchLine {
  readonly id: string;
  readonly instrument: string;
  readonly serial?: string;
  readonly battery_pct?: number;
  readonly value: number;
  readonly unit: TorqueUnit;
  readonly phase?: 'pulling' | 'peak';
  readonly turned_deg?: number;
  readonly over?: true;
  readonly at: string;
}

/** What a bench knows of the wrench that it listens to. */
export interface HeardWrench {
  /** The one that was said to be in use here; nothing else is recorded. */
  readonly instrument?: string;
  /** One that speaks and was not said to be in use here. */
  readonly asks?: string;
  /** What it shows while it is pulled. */
  readonly live?: Pick<WrenchLine, 'value' | 'unit' | 'turned_deg'>;
  /** The least that a line of each took to here, by the two clocks: what comes much later than that is late. */
  readonly least_ms: ReadonlyMap<string, number>;
  /** Of the one in use, where it says so. */
  readonly battery_pct?: number;
  readonly seen: ReadonlySet<string>;
}

export const UNHEARD: HeardWrench = { seen: new Set(), least_ms: new Map() };

/** A peak, and what speaks against taking it as it comes. */
export interface Peak {
  readonly reading: PullReading;
  readonly doubt?: 'over-range' | 'late';
}

const LATE_MS = 5000;
const MAX_NAME = 80;

/** A wrench by its name and its number: two of one name are two. */
const nameOf = ({ instrument, serial }: WrenchLine): string =>
  (serial === undefined ? instrument : `${instrument}, no. ${serial}`).slice(0, MAX_NAME);

/**
 * What a line of a wrench comes to at a bench. The wrench's clock is not this device's: what is late is told by how
 * much later than its others a line came.
 * @param received_ms when it came, by this device
 */
export function hear(
  before: HeardWrench,
  line: WrenchLine,
  received_ms: number,
): { readonly now: HeardWrench; readonly peak?: Peak } {
  const { id, value, unit, turned_deg, over, battery_pct, phase = 'peak', at } = line;
  const instrument = nameOf(line);
  if (before.seen.has(id)) return { now: before };
  const took_ms = received_ms - Date.parse(at);
  const least_ms = Math.min(before.least_ms.get(instrument) ?? took_ms, took_ms);
  const known: HeardWrench = {
    ...before,
    least_ms: new Map([...before.least_ms, [instrument, least_ms]]),
    seen: phase === 'peak' ? new Set([...before.seen, id]) : before.seen,
  };
  if (before.instrument !== instrument) return { now: { ...known, asks: instrument } };
  const own: HeardWrench = battery_pct === undefined ? known : { ...known, battery_pct };
  if (phase === 'pulling')
    return { now: { ...own, live: { value, unit, ...(turned_deg !== undefined && { turned_deg }) } } };
  const doubt = over ? 'over-range' : took_ms - least_ms > LATE_MS ? 'late' : undefined;
  const reading: PullReading = {
    ...(!over && value > 0 && { read_Nm: torqueToSi(value, unit) }),
    ...(turned_deg !== undefined && { turned_deg }),
    instrument,
    readingId: id,
  };
  return { now: { ...own, live: undefined }, peak: { reading, ...(doubt && { doubt }) } };
}

/** The wrench that speaks is the one in use here. Nothing that it said before is a pull of this bench. */
export const takeInstrument = ({ seen, least_ms }: HeardWrench, instrument: string): HeardWrench => ({
  instrument,
  seen,
  least_ms,
});

/** Why a reading is not taken as it comes; `slot`: it is as asked for, and whether a slot meets the hole nobody said. */
export type ReadDoubt = 'short' | 'past' | 'unread' | 'slot' | NonNullable<Peak['doubt']>;

export type JudgedPeak =
  | { readonly is: 'taken'; readonly outcome: PullOutcome }
  | { readonly is: 'held'; readonly doubt: ReadDoubt; readonly outcome?: PullOutcome };

/**
 * Whether a reading is the pull that was asked for, or a person has to say what it was.
 * @param asksSlot a pin goes through it once it is at its figure
 */
export function judgePeak(
  plan: TighteningPlan,
  step: PullStep,
  { reading, doubt }: Peak,
  asksSlot = false,
): JudgedPeak {
  if (doubt) return { is: 'held', doubt };
  const standing = standingOfRead(askedAt(plan, step), reading);
  if (standing !== 'inside') return { is: 'held', doubt: standing };
  // At the figure without having turned: the wrench gave its sign and the fastener stood still.
  const outcome = reading.turned_deg === 0 && !step.turn ? 'did-not-move' : 'pulled';
  return asksSlot ? { is: 'held', doubt: 'slot', outcome } : { is: 'taken', outcome };
}
