import { storedJson } from '@/model/stored-json';

/** Where a part is from. */
export const ORIGINS = ['taken-off', 'bought', 'made', 'substitute'] as const;
export type Origin = (typeof ORIGINS)[number];

/** What may be done with it again. */
export const CONDITIONS_OF_PART = ['as-new', 'good', 'to-replace', 'once-only', 'not-said'] as const;
export type PartCondition = (typeof CONDITIONS_OF_PART)[number];

/** What is tried of a part as it arrives, before anything is built over it. */
export const ARRIVAL_CHECKS = ['thread', 'length', 'head', 'socket', 'moves'] as const;
export type ArrivalCheck = (typeof ARRIVAL_CHECKS)[number];

export interface PartDetail {
  /** What belongs to it: `cap 2 on saddle 2`, `these two together`. */
  readonly mates: string;
  /** What hides where: `stays stuck to the shaft`. */
  readonly hides: string;
  readonly words: string;
}

export const PLAIN_PART: PartDetail = { mates: '', hides: '', words: '' };

const kept = storedJson<Partial<PartDetail>>('part', []);

export const PART_DETAIL_JSON = {
  read: (text: string): PartDetail => ({ ...PLAIN_PART, ...kept.read(text) }),
  write: (detail: PartDetail): string => kept.write(detail),
};

/** So many of one part on the tray of one engine. */
export interface Part {
  readonly id: string;
  readonly engineId: string;
  readonly stepId: string | null;
  readonly name: string;
  readonly need: number;
  readonly here: number;
  readonly mark: string;
  readonly serial: string;
  readonly bag: string;
  readonly origin: Origin;
  readonly condition: PartCondition;
  readonly detail: PartDetail;
  readonly version: number;
  readonly createdAt: string;
}

export const MAX_PARTS = 600;
export const MAX_COUNT = 9999;

/** New to this engine: what it is was not found out by taking it off. */
export const isNewHere = ({ origin }: Pick<Part, 'origin'>): boolean => origin !== 'taken-off';
