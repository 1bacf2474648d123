import { stiffness } from '@/core/fastener';
import type { Film } from '@/core/film';
import { filmTrial, type FilmTrial, type TrialPull } from '@/core/statistics';
import { threadNamed } from '@/core/thread';
import { isDomainError } from '@/core/units';
import { spreadOf } from '@/core/joint';
import { ladderInput } from '@/model/joint/joint-ladder';
import { jointInputs } from '@/db/reads/joint-inputs';
import { computeJoint } from '@/model/joint/joint-result';
import { jointsAffectedBy, type AffectedJoint } from '@/db/reads/joints-affected';
import type { FilmTrialRow, TrialPullRow } from '@/model/trial/film-trial';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
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
  /** What would stand on the shelf, and the joints that it would move. */
  readonly own?: Film;
  readonly moves: readonly AffectedJoint[];
}

/** The band of clamp load that a joint with this thread wants: from the least its book would leave to nine tenths of yield. */
export interface TargetBand {
  readonly name: string;
  readonly low_N: number;
  readonly high_N: number;
}

export interface TrialPage {
  readonly targets: readonly TargetBand[];
  readonly trial: FilmTrialRow;
  readonly stiffness_N_per_mm: number;
  readonly tried: readonly TriedFilm[];
  readonly films: readonly Film[];
}

// E ±2 % and the lengths do not average out over bolts.
const COMMON = 0.02;

const nameOf = (films: readonly Film[], id: string): Film | undefined => films.find((film) => film.id === id);

/** Works one film of a trial out, or says why it cannot be. */
export function triedFilm(
  trial: FilmTrialRow,
  film: Film,
  pulls: readonly PullPoint[],
): Pick<TriedFilm, 'result' | 'refusal'> {
  const fastener = {
    thread: threadNamed(trial.thread),
    bearing: { outer_mm: trial.outer_mm, inner_mm: trial.inner_mm },
  };
  const plain = pulls.map(({ bolt, torque_Nm, preload_N }): TrialPull => ({ bolt, torque_Nm, preload_N }));
  try {
    return { result: filmTrial(plain, fastener, film.thread, COMMON) };
  } catch (error) {
    if (isDomainError(error)) return { refusal: error.message };
    throw error;
  }
}

export const trialSource = ({ name, createdAt }: FilmTrialRow, bolts: number) =>
  `Own trial “${name}” of ${fullDate(createdAt)}, ${bolts} bolts.`;

function targetsOf(shop: Shop, thread: string, now: number): readonly TargetBand[] {
  return shop.engines.all().flatMap((engine) =>
    shop.joints.ofEngine(engine.id).flatMap((joint): readonly TargetBand[] => {
      if (joint.detail.today ? joint.detail.today.thread !== thread : joint.thread !== thread) return [];
      try {
        const setting = jointInputs(shop, joint, now);
        const { ladder, wrench } = computeJoint(setting);
        const { least_N, yield_N } = spreadOf(ladderInput(setting, wrench), ladder, []);
        return [
          {
            name: `${engine.name}, ${joint.name}`,
            low_N: least_N,
            high_N: yield_N === undefined ? ladder.band.p95_N : 0.9 * yield_N,
          },
        ];
      } catch (error) {
        if (isDomainError(error)) return [];
        throw error;
      }
    }),
  );
}

/** One trial: every film in it, what it came to, and what it would move. */
export function trialPage(shop: Shop, id: string, now: number): TrialPage | undefined {
  const trial = shop.trials.find(id);
  if (!trial) return undefined;
  const { films } = shelvesOf(shop);
  const k = stiffness(trial.segments, trial.E_GPa);
  const uses = new Map<string, number>();
  const points = shop.trials.pulls(id).map((pull): PullPoint => {
    const use = (uses.get(pull.bolt) ?? 0) + 1;
    uses.set(pull.bolt, use);
    return { ...pull, preload_N: pull.stretch_mm * k, use };
  });
  const tried = [...new Set(points.map((point) => point.film))].flatMap((filmId): readonly TriedFilm[] => {
    const film = nameOf(films, filmId);
    if (!film) return [];
    const pulls = points.filter((point) => point.film === filmId);
    const worked = triedFilm(trial, film, pulls);
    const own = worked.result && ownFilm(film, worked.result, trialSource(trial, worked.result.bolts));
    return [{ film, pulls, ...worked, ...(own && { own }), moves: own ? jointsAffectedBy(shop, own, now) : [] }];
  });
  return { trial, stiffness_N_per_mm: k, tried, films, targets: targetsOf(shop, trial.thread, now) };
}
