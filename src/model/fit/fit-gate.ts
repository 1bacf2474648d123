import type { Guard } from '@/core/joint';
import { listed } from '@/model/listed';
import { isHolding, type FitState, type FitPlace, type PlaceState, isProven } from './place-state';

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

const askOf = ({ state, accepted, order }: FitPlace): string =>
  `${accepted === undefined ? (ASKED[state] ?? state) : `accepted, improve: ${accepted}`}${order ? ` (on order: ${order})` : ''}`;

/** `Main bearings, oil clearance, 2 and 3` */
function placesName({ fit }: FitState, names: readonly string[]): string {
  if (fit.places.length === 1) return fit.name;
  if (names.length === fit.places.length) return `${fit.name}, every place`;
  return `${fit.name}, ${listed(names)}`;
}

/** Places of which the same is said, in one line. */
function linesOf(judged: FitState, says: (place: FitPlace) => string | undefined): readonly GateLine[] {
  const bySaying = new Map<string, string[]>();
  for (const place of judged.places) {
    const said = says(place);
    if (said !== undefined) bySaying.set(said, [...(bySaying.get(said) ?? []), place.name]);
  }
  return [...bySaying].map(([said, names]) => ({
    fitId: judged.fit.id,
    line: `${placesName(judged, names)}: ${said}`,
  }));
}

/** Limits that were taken from a leaf which has been corrected since. */
const correctedOf = ({ fit, page }: FitState): readonly GateLine[] =>
  page?.corrected ? [{ fitId: fit.id, line: `${fit.name}: its page was corrected since, ${page.corrected.says}` }] : [];

/** Limits from a source that was set aside since. */
const asideOf = ({ fit, page }: FitState): readonly GateLine[] =>
  page?.aside === undefined
    ? []
    : [{ fitId: fit.id, line: `${fit.name}: the source of its limits was set aside, ${page.aside}` }];

/** Where a strip lies in a bearing of this engine: nothing may turn the shaft. */
export const stripsIn = (fits: readonly FitState[]): readonly string[] =>
  fits.flatMap((judged) =>
    judged.places.filter(({ stripIn }) => stripIn).map(({ name }) => placesName(judged, [name])),
  );

/** The gate that an engine’s fits put before one of its joints. */
export function gateOf(fits: readonly FitState[], jointId: string): Gate {
  const closing = fits.filter(({ fit }) => fit.holds.includes(jointId));
  return {
    held: closing.flatMap((judged) => linesOf(judged, ({ state }) => (isHolding(state) ? 'out of limits' : undefined))),
    asks: closing.flatMap((judged) => [
      ...linesOf(judged, (place) => (isHolding(place.state) || place.state === 'inside' ? undefined : askOf(place))),
      ...correctedOf(judged),
      ...asideOf(judged),
    ]),
    strips: stripsIn(fits),
  };
}

/**
 * What the fits say to a going-round, as guards: what is out or not proven asks for a written reason before it is
 * closed for good.
 */
export const guardsOfGate = ({ held, asks }: Gate): readonly Guard[] => [
  ...held.map(({ line }): Guard => ({
    code: 'fit-out',
    severity: 'stop',
    message: `${line}. It is not closed up for good before that is put right.`,
  })),
  ...asks.map(({ line }): Guard => ({ code: 'fit-not-proven', severity: 'stop', message: `${line}.` })),
];

/** Fits of which every place is proven. */
export const provenFits = (fits: readonly FitState[]): number =>
  fits.filter(({ places }) => places.every(({ state }) => isProven(state))).length;
