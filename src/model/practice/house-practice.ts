import { storedJson } from '@/model/stored-json';
import type { ColdRule, LeastCycle, RetorqueSchool } from '@/core/heat';
import type { RangeSchool } from '@/core/joint';
import type { NamedScheme, UnitOfWork } from '@/core/tightening';
import type { WrenchWindow } from '@/core/wrench';
import type { Care } from '@/model/joint/care';

/** What a run has to come to before it is a heat cycle. */
export const HEAT_CYCLE_SCHOOLS = ['head-60', 'coolant-75', 'head-80'] as const;
export type HeatCycleSchool = (typeof HEAT_CYCLE_SCHOOLS)[number];

/** What the schools ask for: the highest temperature, where it is read, for how long, and to what the head has cooled after it. */
export const LEAST_CYCLES: Readonly<Record<HeatCycleSchool, LeastCycle & { readonly at: string }>> = {
  'head-60': { highest_C: 60, minutes: 10, cooledTo_C: 40, at: 'at the head' },
  'coolant-75': { highest_C: 75, minutes: 10, cooledTo_C: 40, at: 'in the coolant' },
  'head-80': { highest_C: 80, minutes: 20, cooledTo_C: 30, at: 'at the head' },
};

/** When a head counts as cold. */
export const COLD_SCHOOLS = ['metal', 'air-5', 'hours-10'] as const;
export type ColdSchool = (typeof COLD_SCHOOLS)[number];
export const COLD_RULES: Readonly<Record<ColdSchool, ColdRule | null>> = {
  metal: null,
  'air-5': { within_K: 5 },
  'hours-10': { hours: 10 },
};

/** The most that a nut may have lost of its clamp load, twice running, in a joint that has settled. */
export const SETTLED_SCHOOLS = ['three-pct', 'five-pct', 'eight-pct'] as const;
export type SettledSchool = (typeof SETTLED_SCHOOLS)[number];
export const SETTLED_LIMITS: Readonly<Record<SettledSchool, number>> = {
  'three-pct': 0.03,
  'five-pct': 0.05,
  'eight-pct': 0.08,
};

/** How it is kept in mind which fasteners were done. */
export const TRACK_SCHOOLS = ['witness-mark', 'unbroken-rows'] as const;
export type TrackSchool = (typeof TRACK_SCHOOLS)[number];

/** What the shop does where the books leave it open. Every row can be overridden for an engine, and on a joint. */
export interface HousePractice {
  readonly range: RangeSchool;
  readonly unsaid: 'light-oil' | 'dry' | 'show-both';
  readonly film: 'engine-oil' | 'moly-paste' | 'thread-locker' | 'dry-bare' | 'as-book';
  readonly passes: NamedScheme;
  readonly confirming: 'yes' | 'no';
  readonly unitOfWork: UnitOfWork;
  readonly firstCap: 'thrust' | 'middle';
  readonly track: TrackSchool;
  readonly seating: 'finger-tight' | 'small-figure' | 'with-compound';
  readonly retorque: RetorqueSchool;
  readonly heatCycle: HeatCycleSchool;
  readonly cold: ColdSchool;
  readonly settled: SettledSchool;
  readonly locking: 'tab' | 'compound' | 'self-locking' | 'wire' | 'two-together';
  readonly reuse: 'new-always' | 'if-good';
  readonly window: WrenchWindow;
  readonly check: 'yearly' | 'half-yearly' | 'second-wrench';
  readonly careInside: Care;
  readonly careOutside: Care;
  readonly careTrim: Care;
  readonly clearance: 'page' | 'rule' | 'target';
  readonly oilClearance: 'micrometers' | 'strip' | 'both';
  readonly endFloat: 'dial' | 'feelers' | 'hand';
  readonly shellBacks: 'dry' | 'lightly-oiled';
  readonly handling: 'gloves' | 'clean-hands';
  readonly sealSeats: 'compound' | 'cement' | 'dry';
}

export type PracticeRow = keyof HousePractice;

export const USUAL_PRACTICE: HousePractice = {
  range: 'middle', unsaid: 'light-oil', film: 'as-book', passes: 'thirds', confirming: 'no', unitOfWork: 'row', firstCap: 'middle',
  track: 'witness-mark', seating: 'finger-tight', retorque: 'slacken', heatCycle: 'head-60', cold: 'metal', settled: 'five-pct', locking: 'tab', reuse: 'if-good', window: 'iso-20-100', check: 'yearly',
  careInside: 'wrench', careOutside: 'importance', careTrim: 'hand',
  clearance: 'page', oilClearance: 'micrometers', endFloat: 'dial', shellBacks: 'dry', handling: 'gloves', sealSeats: 'dry',
}; // prettier-ignore

const CHECK_DAYS: Readonly<Record<HousePractice['check'], number>> = {
  yearly: 365,
  'half-yearly': 183,
  'second-wrench': 365,
};
const MS_PER_DAY = 86_400_000;

/**
 * Whether a wrench's last check is older than the school allows; one never checked is overdue. Times in ms since
 * 1970.
 */
export const checkOverdue = (lastChecked: number | undefined, school: HousePractice['check'], now: number): boolean =>
  lastChecked === undefined || now - lastChecked > CHECK_DAYS[school] * MS_PER_DAY;

export const PRACTICE_JSON = storedJson<Partial<HousePractice>>('house practice', []);
