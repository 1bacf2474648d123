import { storedJson } from '@/model/stored-json';
import type { Purpose } from '@/model/joint/tightening';

/** What a step of a build is. */
export const STEP_KINDS = [
  'part',
  'joint',
  'fit',
  'surface',
  'timing',
  'freedom',
  'aid-out',
  'clean',
  'cover',
  'other',
] as const;
export type StepKind = (typeof STEP_KINDS)[number];

/** What a step makes true once it is done. */
export const EFFECTS = [
  'crank-free',
  'crank-held',
  'crank-locked',
  'turns-crank',
  'swarf',
  'closes',
  'starts',
  'sealant',
  'once-only',
] as const;
export type Effect = (typeof EFFECTS)[number];

/** An aid that a step puts in; one inside the engine bars closing it whatever reason is written. */
export interface StepAid {
  readonly name: string;
  readonly inside: boolean;
}

/** What goes on one of two faces, how much of it, and what its packet says of time. */
export interface Surface {
  readonly what: string;
  readonly on: string;
  readonly much: string;
  /** `fit within 10 min`, `leave for 24 h`: facts to be read, with no countdown. */
  readonly sets: string;
  /** The last day, or month, that its packet gives: `2027-03-31` or `2027-03`; absent where nobody read it. */
  readonly useBy?: string;
}

/** What goes on the faces of a step and is past its date on a day, `YYYY-MM-DD`; a month counts to its end. */
export const pastItsDate = ({ detail }: Pick<Step, 'detail'>, today: string): readonly Surface[] =>
  detail.surfaces.filter(({ useBy }) => useBy !== undefined && today.slice(0, useBy.length) > useBy);

/** What is known of a step beside its place in the order. */
export interface StepDetail {
  readonly words: string;
  /** How the part lies on this engine: marks found, marks made. */
  readonly lies: string;
  readonly caution: string;
  readonly makes: readonly Effect[];
  readonly putsIn: readonly StepAid[];
  /** Names of aids that come out with it. */
  readonly takesOut: readonly string[];
  readonly surfaces: readonly Surface[];
  /** Tools and consumables to be laid out before. */
  readonly kit: readonly string[];
  /** How many people it takes. */
  readonly people: number;
}

export const PLAIN_STEP: StepDetail = {
  words: '',
  lies: '',
  caution: '',
  makes: [],
  putsIn: [],
  takesOut: [],
  surfaces: [],
  kit: [],
  people: 1,
};

const kept = storedJson<Partial<StepDetail>>('step', []);

/** Many steps are as plain as one another: a text is read once for as long as there are not too many. */
const MAX_TEXTS = 2000;
const known = new Map<string, StepDetail>();

function detailIn(text: string): StepDetail {
  const found = known.get(text) ?? { ...PLAIN_STEP, ...kept.read(text) };
  if (known.size >= MAX_TEXTS) known.clear();
  known.set(text, found);
  return found;
}

/** Only what differs from a plain step is kept. */
export const STEP_DETAIL_JSON = {
  read: detailIn,
  write: (detail: StepDetail): string =>
    kept.write(
      Object.fromEntries(
        Object.entries(detail).filter(
          ([field, value]) => JSON.stringify(value) !== JSON.stringify(PLAIN_STEP[field as keyof StepDetail]),
        ),
      ),
    ),
};

/** One step of the build of one engine. */
export interface Step {
  readonly id: string;
  readonly engineId: string;
  readonly place: number;
  readonly kind: StepKind;
  readonly name: string;
  readonly branch: string;
  readonly jointId: string | null;
  /** Why its joint is gone round; null of a step without a joint. */
  readonly purpose: Purpose | null;
  readonly fitId: string | null;
  readonly leafId: string | null;
  readonly after: readonly string[];
  readonly notUntil: readonly string[];
  readonly detail: StepDetail;
  readonly version: number;
  readonly createdAt: string;
}

export const MAX_STEPS = 400;
export const MAX_STEP_NAME = 120;

export const does = ({ detail }: Pick<Step, 'detail'>, effect: Effect): boolean => detail.makes.includes(effect);

/** The step that shuts an engine, or starts it: what its gate is before. */
export const isGated = (step: Pick<Step, 'detail'>): boolean => does(step, 'closes') || does(step, 'starts');
