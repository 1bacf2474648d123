import type { JointDetail } from './joint-detail';

/** Of each place as it is now, which of those on disk it was; null of one that is new. */
export type Origins = readonly (number | null)[];

export const sameOrigins = (count: number): Origins => Array.from({ length: count }, (_, place) => place);

interface Typed {
  readonly lines: readonly string[];
  /** One a line, whether it is a place yet or not. */
  readonly origins: Origins;
}

/**
 * Which places are which after their lines were typed: a line that is as it was is the place that it was, wherever it
 * stands; where there are as many lines as before, a changed one is the place of its line, moved; and a line that comes
 * back as it is on disk, as one that was cut and put in elsewhere, is that place again.
 */
export function originsOfTyped(onDisk: readonly string[], before: Typed, next: readonly string[]): Origins {
  const left = new Set(before.lines.keys());
  const take = (at: number | undefined) => {
    if (at !== undefined) left.delete(at);
    return at;
  };
  // A line that did not move first: of two that are alike each stays what it is.
  const inPlace = next.map((line, i) => (line === before.lines[i] ? take(i) : undefined));
  const found = next.map((line, i) => inPlace[i] ?? take([...left].find((at) => line === before.lines[at])));
  const isAsMany = next.length === before.lines.length;
  const was = found.map((at, i) => at ?? (isAsMany && left.has(i) ? take(i) : undefined));
  const used = new Set(was.map((at) => (at === undefined ? null : before.origins[at])));
  return next.map((line, i) => {
    const at = was[i];
    const origin = at === undefined ? null : (before.origins[at] ?? null);
    if (origin !== null) return origin;
    const again = onDisk.findIndex((one, k) => !used.has(k) && line === one);
    if (again < 0) return null;
    used.add(again);
    return again;
  });
}

type OfPlaces = Pick<JointDetail, 'placeNotes' | 'holes' | 'kinds' | 'kindTurn' | 'kindSequence' | 'turn'>;

/** What was said of places, as they count after they were numbered otherwise, taken away or added to. */
export function followPlaces(detail: OfPlaces, origins: Origins): OfPlaces {
  const now = (place: number): readonly number[] => {
    const at = origins.indexOf(place);
    return at < 0 ? [] : [at];
  };
  const kinds = detail.kinds
    .map((kind) => ({ ...kind, places: kind.places.flatMap(now).sort((a, b) => a - b) }))
    .filter(({ places }) => places.length > 0);
  // An order of kinds that was typed is of the kinds there were, and the book's of the places.
  const isFewer = kinds.length < detail.kinds.length;
  const isOnlyRenumbered =
    detail.turn?.length === origins.length && detail.turn.every((place) => origins.includes(place));
  return {
    placeNotes: detail.placeNotes.flatMap((note) => now(note.place).map((place) => ({ ...note, place }))),
    holes: detail.holes.flatMap((hole) => now(hole.place).map((place) => ({ ...hole, place }))),
    kinds,
    kindTurn: isFewer && detail.kindTurn === 'as-typed' ? 'by-stage' : detail.kindTurn,
    kindSequence: isFewer ? [] : detail.kindSequence,
    turn: isOnlyRenumbered && detail.turn ? detail.turn.flatMap(now) : null,
  };
}

/** What was said of places that are there no longer, and goes with them: how many notes, holes and kinds. */
export function goesWithPlaces(
  detail: Pick<JointDetail, 'placeNotes' | 'holes' | 'kinds'>,
  origins: Origins,
): { readonly notes: number; readonly holes: number; readonly kinds: number } {
  const isGone = (place: number) => !origins.includes(place);
  return {
    notes: detail.placeNotes.filter(({ place }) => isGone(place)).length,
    holes: detail.holes.filter(({ place }) => isGone(place)).length,
    kinds: detail.kinds.filter(({ places }) => places.every(isGone)).length,
  };
}
