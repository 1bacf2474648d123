import { stiffness } from '@/core/fastener';
import type { Film } from '@/core/film';
import { spreadOf } from '@/core/joint';
import { filmTrial, type FilmTrial, type TrialPull } from '@/core/statistics';
import { threadNamed } from '@/core/thread';
import { inputsOfJoints } from '@/db/reads/joint-inputs';
import { jointsAffectedBy, type AffectedJoint } from '@/db/reads/joints-affected';
import { filmsOf, shelvesOf } from '@/db/reads/shelves-of-shop';
import { BUILT_IN } from '@/model/shelf/shelves';
import type { Shop } from '@/db/shop';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { ladderInput } from '@/model/joint/joint-ladder';
import { computeJoint } from '@/model/joint/joint-result';
import { DomainError } from '@/core/units';
import { tryCore } from '@/model/try-core';
import type { FilmTrialRow, TrialPullRow } from '@/model/trial/film-trial';
import { fullDate } from '@/interface/figures/times';
import { ownFilm } from './own-film';

export interface PullPoint extends TrialPullRow {
  readonly preload_N: number;
  /** Which use of its bolt this was, over all films: threads burnish. */
  readonly use: number;
}

export interface TriedFilm {
  readonly film: Film;
  readonly pulls: readonly PullPoint[];
  readonly result?: FilmTrial;
  readonly refusal?: string;
  /** What would stand on the shelf. */
  readonly own?: Film;
}

/**
 * The band of clamp load that a joint with this thread wants: from the least its book would leave to nine tenths of
 * yield.
 */
export interface TargetBand {
  readonly name: string;
  readonly low_N: number;
  readonly high_N: number;
}

export interface TrialPage {
  readonly trial: FilmTrialRow;
  readonly stiffness_N_per_mm: number;
  readonly tried: readonly TriedFilm[];
  readonly films: readonly Film[];
}

/** What a trial reaches beyond itself, over the whole shop. */
export interface TrialReach {
  readonly targets: readonly TargetBand[];
  /** The joints that a film of the trial would move, by the film. */
  readonly moves: Readonly<Record<string, readonly AffectedJoint[]>>;
}

// E ±2 % and the lengths do not average out over bolts.
const COMMON = 0.02;

const filmNamed = (films: readonly Film[], id: string): Film | undefined => films.find((film) => film.id === id);

function triedFilm(
  { thread, outer_mm, inner_mm }: FilmTrialRow,
  film: Film,
  pulls: readonly PullPoint[],
): Pick<TriedFilm, 'result' | 'refusal'> {
  const fastener = { thread: threadNamed(thread), bearing: { outer_mm, inner_mm } };
  const plain = pulls.map(({ bolt, torque_Nm, preload_N }): TrialPull => ({ bolt, torque_Nm, preload_N }));
  const tried = tryCore(() => filmTrial(plain, fastener, film.thread, COMMON));
  return tried.ok ? { result: tried.result } : { refusal: tried.error.message };
}

export const trialSource = ({ name, createdAt }: FilmTrialRow, bolts: number) =>
  `Own trial “${name}” of ${fullDate(createdAt)}, ${bolts} bolts.`;

/** Every film of a trial with what it came to, in one query of its pulls. */
function triedFilms(shop: Shop, trial: FilmTrialRow, films: readonly Film[]): readonly TriedFilm[] {
  const k = stiffness(trial.segments, trial.E_GPa);
  const uses = new Map<string, number>();
  const points = shop.trials.pulls(trial.id).map((pull): PullPoint => {
    const use = (uses.get(pull.bolt) ?? 0) + 1;
    uses.set(pull.bolt, use);
    return { ...pull, preload_N: pull.stretch_mm * k, use };
  });
  return [...new Set(points.map((point) => point.film))].flatMap((filmId): readonly TriedFilm[] => {
    const film = filmNamed(films, filmId);
    if (!film) return [];
    const pulls = points.filter((point) => point.film === filmId);
    // Few bolts lean on what was known before them: a row of our own may come from these very bolts.
    const before = filmNamed(BUILT_IN.film, filmId) ?? film;
    const worked = triedFilm(trial, before, pulls);
    const own = worked.result && ownFilm(film, worked.result, trialSource(trial, worked.result.bolts));
    return [{ film, pulls, ...worked, ...(own && { own }) }];
  });
}

/** What a film of a trial would be on the shelf; undefined where it was not tried on two bolts. */
export const ownFilmOf = (shop: Shop, trial: FilmTrialRow, filmId: string): Film | undefined =>
  triedFilms(shop, trial, filmsOf(shop)).find(({ film }) => film.id === filmId)?.own;

/** One trial: every film in it and what it came to. */
export function trialPage(shop: Shop, id: string): TrialPage | undefined {
  const trial = shop.trials.find(id);
  if (!trial) return undefined;
  const films = filmsOf(shop);
  const k = stiffness(trial.segments, trial.E_GPa);
  return { trial, stiffness_N_per_mm: k, tried: triedFilms(shop, trial, films), films };
}

type Band = Pick<TargetBand, 'low_N' | 'high_N'>;

const bandOf = (inputs: JointInputs): Band | undefined => {
  const band = tryCore((): Band => {
    const { ladder, wrench } = computeJoint(inputs);
    if (ladder.clamp !== 'clamps') throw new DomainError('bad-field', 'That joint has no clamp load.', 'joint');
    const { least_N, yield_N } = spreadOf(ladderInput(inputs, wrench), ladder, []);
    return { low_N: least_N, high_N: yield_N === undefined ? ladder.band.p95_N : 0.9 * yield_N };
  });
  return band.ok ? band.result : undefined;
};

/** Joints made alike have one band, reckoned once. */
const sameSetting = ({ joint, leaf, shelves }: JointInputs): string => {
  const { id: _, name: __, engineId: ___, leafId: ____, createdAt: _____, version: ______, ...made } = joint;
  return JSON.stringify([made, leaf.figure, leaf.min_Nm, leaf.max_Nm, leaf.conditionText, shelves.practice]);
};

function targetsOf(shop: Shop, thread: string, now: number): readonly TargetBand[] {
  const joints = shop.joints
    .ofThread(thread)
    .filter(({ thread: own, detail }) => (detail.today?.thread ?? own) === thread);
  const names = new Map(
    shop.engines.byIds([...new Set(joints.map(({ engineId }) => engineId))]).map((e) => [e.id, e.name]),
  );
  const bands = new Map<string, Band | undefined>();
  return inputsOfJoints(shop, joints, shelvesOf(shop), now).flatMap((inputs): readonly TargetBand[] => {
    const key = sameSetting(inputs);
    if (!bands.has(key)) bands.set(key, bandOf(inputs));
    const band = bands.get(key);
    return band ? [{ name: `${names.get(inputs.joint.engineId) ?? ''}, ${inputs.joint.name}`, ...band }] : [];
  });
}

/**
 * What a trial reaches over the whole shop; asked for, for it looks at every joint that draws on its films or has its
 * thread.
 */
export function reachOf(shop: Shop, trial: FilmTrialRow, now: number): TrialReach {
  const owns = triedFilms(shop, trial, filmsOf(shop)).flatMap(({ own }) => own ?? []);
  return {
    targets: targetsOf(shop, trial.thread, now),
    moves: Object.fromEntries(owns.map((own) => [own.id, jointsAffectedBy(shop, own, now)])),
  };
}
