import type { Part } from '@/core/fits';
import type { PlaceState } from '@/model/fit/place-state';

interface StateWords {
  /** By shape, so that it is told without colour. */
  readonly sign: string;
  readonly words: string;
  readonly kind: 'done' | 'wait' | 'stop' | 'rest';
}

export const STATE_WORDS: Readonly<Record<PlaceState, StateWords>> = {
  tight: { sign: '▲', words: 'out: too tight', kind: 'stop' },
  loose: { sign: '▲', words: 'out: too loose', kind: 'stop' },
  fault: { sign: '▲', words: 'cannot be: look again', kind: 'stop' },
  'too-close': { sign: '△', words: 'too close for the instrument', kind: 'wait' },
  stale: { sign: '◇', words: 'stale', kind: 'wait' },
  unmet: { sign: '◇', words: 'conditions not met', kind: 'wait' },
  improve: { sign: '◐', words: 'usable, better wanted', kind: 'wait' },
  open: { sign: '◔', words: 'unfinished', kind: 'rest' },
  unread: { sign: '○', words: 'to be read', kind: 'rest' },
  unjudged: { sign: '○', words: 'read; nothing says what is wanted', kind: 'wait' },
  'not-measured': { sign: '○', words: 'felt, not measured', kind: 'wait' },
  accepted: { sign: '◑', words: 'accepted', kind: 'done' },
  inside: { sign: '●', words: 'inside', kind: 'done' },
};

export const PART_WORDS: Readonly<Record<Exclude<Part, 'journal' | 'bore'>, string>> = {
  strip: 'Strip',
  push: 'Pushed',
  pull: 'Pulled',
  zero: 'Back at zero',
  goes: 'Goes',
  stops: 'Does not go',
  length: 'As read',
  high: 'Highest',
  low: 'Lowest',
};

export const METHOD_WORDS = {
  micrometer: 'micrometers',
  strip: 'crushed strip',
  dial: 'dial',
  feelers: 'feelers',
  length: 'length',
  runout: 'dial',
} as const;

/** What a part is called on this fit: `Piston` for the inner side of a piston in its bore. */
export const partName = (part: Part, sides: readonly [string, string]): string =>
  part === 'journal' ? sides[0] : part === 'bore' ? sides[1] : PART_WORDS[part];

const ANGLES = ['0°', '90°', '45°', '135°'];

/** `0°`, `90°`; beyond two, evenly round half a turn. */
export const angleName = (angle: number, angles: number): string =>
  angles <= 2 ? (ANGLES[angle] ?? '') : `${Number(((180 / angles) * angle).toFixed(1))}°`;

export const stationName = (station: number): string => String.fromCharCode(97 + station);
