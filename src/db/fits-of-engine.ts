import type { Guard } from '@/core/joint';
import type { Fit } from './fit';
import { pagesOfFits, type FitPageSays } from './fit-page';
import { fitStanding, isHolding, isProven, type FitContext, type FitStanding, type PlaceStanding, type PlaceState } from './fit-standing';
import type { Joint } from './repositories/joint-repository';
import type { Tightening } from './repositories/tightening-repository';
import type { Shop } from './shop';

/** The bolts of a joint as they are now, told so that a change of them is seen: `bolt M8×1, iso-12.9`. */
export function boltsOf({ thread, detail }: Joint): string {
  const today = detail.today ?? { ...detail.original, thread };
  return [`${today.form} ${today.thread}`, today.grade].filter(Boolean).join(', ');
}

type Round = Omit<Tightening, 'plan'>;

const contextOf = (fit: Fit, page: FitPageSays | undefined, joints: readonly Joint[], rounds: readonly Round[]): FitContext => {
  const joint = joints.find(({ id }) => id === fit.jointId);
  const paged = page && { page };
  if (!joint) return { rounds: [], ...paged };
  return { rounds: rounds.filter(({ jointId }) => jointId === joint.id), bolts: boltsOf(joint), jointName: joint.name, ...paged };
};

/** What one fit's readings rest on outside of it. */
export function contextOfFit(shop: Shop, fit: Fit): FitContext {
  const page = pagesOfFits(shop, fit.engineId, [fit])(fit);
  if (fit.jointId === null) return contextOf(fit, page, [], []);
  return contextOf(fit, page, shop.joints.ofEngine(fit.engineId), shop.tightenings.rounds(fit.engineId));
}

/** Every fit of an engine with where it stands, in six queries however many there are. */
export function fitsOfEngine(shop: Shop, engineId: string, joints?: readonly Joint[]): readonly FitStanding[] {
  const fits = shop.fits.ofEngine(engineId);
  if (fits.length === 0) return [];
  const lines = shop.fits.linesOfEngine(engineId);
  const linked = fits.some(({ jointId }) => jointId !== null);
  const own = linked ? (joints ?? shop.joints.ofEngine(engineId)) : [];
  const rounds = linked ? shop.tightenings.rounds(engineId) : [];
  const pageOf = pagesOfFits(shop, engineId, fits);
  return fits.map((fit) => fitStanding(fit, lines.get(fit.id) ?? [], contextOf(fit, pageOf(fit), own, rounds)));
}

export interface GateLine {
  readonly fitId: string;
  readonly line: string;
}

/** What the fits say to closing one joint up. */
export interface Gate {
  /** Out of limits: the joint is not pulled for good. */
  readonly held: readonly GateLine[];
  /** Not proven, or accepted although better is wanted: asked again. */
  readonly asks: readonly GateLine[];
  /** Places with a strip in: the crank is held. */
  readonly strips: readonly string[];
}

const ASKED: Readonly<Partial<Record<PlaceState, string>>> = {
  'too-close': 'too close to its limit for the instrument',
  stale: 'its readings are stale',
  unmet: 'its conditions were not said to hold',
  improve: 'usable, better is wanted',
  open: 'not all of it has been read',
  unread: 'not measured yet',
  unjudged: 'nothing says what is wanted',
  'not-measured': 'felt, not measured',
};

const askOf = ({ state, accepted, order }: PlaceStanding): string =>
  `${accepted === undefined ? (ASKED[state] ?? state) : `accepted, improve: ${accepted}`}${order ? ` (on order: ${order})` : ''}`;

/** `Main bearings, oil clearance, 2 and 3` */
function placesName({ fit }: FitStanding, names: readonly string[]): string {
  if (fit.places.length === 1) return fit.name;
  if (names.length === fit.places.length) return `${fit.name}, every place`;
  return `${fit.name}, ${[names.slice(0, -1).join(', '), names.at(-1)].filter(Boolean).join(' and ')}`;
}

/** Places of which the same is said, in one line. */
function linesOf(standing: FitStanding, says: (place: PlaceStanding) => string | undefined): readonly GateLine[] {
  const bySaying = new Map<string, string[]>();
  for (const place of standing.places) {
    const said = says(place);
    if (said !== undefined) bySaying.set(said, [...(bySaying.get(said) ?? []), place.name]);
  }
  return [...bySaying].map(([said, names]) => ({ fitId: standing.fit.id, line: `${placesName(standing, names)}: ${said}` }));
}

/** Limits that were taken from a leaf which has been corrected since. */
const correctedOf = ({ fit, page }: FitStanding): readonly GateLine[] =>
  page?.corrected ? [{ fitId: fit.id, line: `${fit.name}: its page was corrected since, ${page.corrected.says}` }] : [];

/** The gate that an engine’s fits put before one of its joints. */
export function gateOf(standings: readonly FitStanding[], jointId: string): Gate {
  const closing = standings.filter(({ fit }) => fit.holds.includes(jointId));
  return {
    held: closing.flatMap((standing) => linesOf(standing, ({ state }) => (isHolding(state) ? 'out of limits' : undefined))),
    asks: closing.flatMap((standing) => [
      ...linesOf(standing, (place) => (isHolding(place.state) || place.state === 'inside' ? undefined : askOf(place))),
      ...correctedOf(standing),
    ]),
    strips: stripsIn(standings),
  };
}

/** What the fits say to a going-round, as guards: what is out or not proven asks for a written reason before it is closed for good. */
export const guardsOfGate = ({ held, asks }: Gate): readonly Guard[] => [
  ...held.map(({ line }): Guard => ({
    code: 'fit-out',
    severity: 'stop',
    message: `${line}. It is not closed up for good before that is put right.`,
  })),
  ...asks.map(({ line }): Guard => ({ code: 'fit-not-proven', severity: 'stop', message: `${line}.` })),
];

/** Where a strip lies in a bearing of this engine: nothing may turn the shaft. */
export const stripsIn = (standings: readonly FitStanding[]): readonly string[] =>
  standings.flatMap((standing) => standing.places.filter(({ stripIn }) => stripIn).map(({ name }) => placesName(standing, [name])));

export const stripsInEngine = (shop: Shop, engineId: string | undefined): readonly string[] =>
  engineId === undefined ? [] : stripsIn(fitsOfEngine(shop, engineId));

/** Fits of which every place is proven. */
export const provenFits = (standings: readonly FitStanding[]): number =>
  standings.filter(({ places }) => places.every(({ state }) => isProven(state))).length;
