import { SHELF_GRADES, SHELF_METALS, usualBearingFace } from '@/core/fastener';
import { SHELF_FILMS } from '@/core/film';
import { ladder, type GuardInput, type LadderInput } from '@/core/joint';
import { readTorque } from '@/core/print';
import { threadNamed } from '@/core/thread';

// A joint as the core judges it, with nothing known of it but what a test says.

export const film = (id: string) => SHELF_FILMS.find((one) => one.id === id)!;
export const metal = (id: string) => SHELF_METALS.find((one) => one.id === id)!;
export const yieldOf = (name: string) => SHELF_GRADES.find((one) => one.name === name)!.yield_MPa;
export const named = (name: string) => {
  const thread = threadNamed(name);
  return { name, thread, bearing: usualBearingFace(thread), bearingSource: '' };
};
export type Fastener = LadderInput['today'];

export const reading = (text: string) => {
  const print = readTorque(text);
  if (print.kind === 'turn') throw new Error('a turn');
  return print.readings[0]!;
};

export const input = (text: string, today: Fastener, part: Partial<LadderInput> = {}): LadderInput => ({
  reading: reading(text),
  printedText: text,
  page: 'p. 1',
  rangeSchool: 'middle',
  rangeReason: '',
  original: today,
  today,
  originalFilm: film('engine-oil'),
  originalFilmReason: '',
  threadFilm: film('engine-oil'),
  headFilm: film('engine-oil'),
  wrench: { name: 'W', unit: 'N·m', min: 1, max: 2000, graduation: 0.5, accuracy_pct: 4 },
  window: 'whole',
  overrides: {},
  ...part,
});

export const judge = (of: LadderInput, part: Partial<GuardInput> = {}): GuardInput => ({
  ladder: ladder(of),
  original: of.original,
  today: of.today,
  form: 'bolt',
  faceMeasured: true,
  substituted: false,
  reach: {},
  locking: 'none',
  hearsay: false,
  agreed: [],
  nearHeat: false,
  boreMoves: false,
  todayFilmId: of.threadFilm.id,
  headFilmId: of.headFilm.id,
  bookSays: null,
  bookFilmId: 'engine-oil',
  wrench: { name: 'W', unit: 'N·m', min: 1, max: 2000, graduation: 0.5, overdue: false, windowFloor: 1 },
  ...part,
});
