import { DomainError } from '@/core/units';

/** A step of a build: what has to be done before it, and what may not yet be there when it is done. */
export interface SequenceStep {
  readonly id: string;
  readonly after?: readonly string[];
  /** Once any of these is done this one can be done no more, so that it comes before them. */
  readonly notUntil?: readonly string[];
}

export interface SequenceInput {
  readonly steps: readonly SequenceStep[];
  readonly done?: readonly string[];
}

export interface Waiting {
  readonly id: string;
  /** What is directly missing, or in the way; in the order of the request. */
  readonly for: readonly string[];
}

export interface Sequence {
  readonly order: readonly string[];
  /** Not done, nothing missing, and nothing there that must not be. */
  readonly open: readonly string[];
  readonly waiting: readonly Waiting[];
}

interface Node {
  readonly id: string;
  /** Steps that come before this one, by their place in the request. */
  readonly before: ReadonlySet<number>;
  readonly hidesBy: readonly number[];
}

function nodesOf({ steps }: SequenceInput): readonly Node[] {
  const places = new Map<string, number>();
  for (const [i, { id }] of steps.entries()) {
    if (places.has(id)) throw new DomainError('bad-field', `The step “${id}” stands there twice.`, `steps[${i}].id`);
    places.set(id, i);
  }
  const placeOf = (id: string, field: string): number => {
    const place = places.get(id);
    if (place === undefined) throw new DomainError('unknown-step', `There is no step “${id}”.`, field);
    return place;
  };
  const placesIn = (ids: readonly string[] | undefined, i: number, name: string) =>
    (ids ?? []).map((id, n) => placeOf(id, `steps[${i}].${name}[${n}]`));
  const before = steps.map(({ after }, i) => new Set(placesIn(after, i, 'after')));
  const hidesBy = steps.map(({ notUntil }, i) => placesIn(notUntil, i, 'notUntil'));
  for (const [i, hidden] of hidesBy.entries()) for (const later of hidden) before[later]?.add(i);
  return steps.map(({ id }, i) => ({ id, before: before[i] ?? new Set(), hidesBy: hidesBy[i] ?? [] }));
}

/** One loop among steps that wait for one another, in the order in which each waits for the next. */
function loopIn(nodes: readonly Node[], left: ReadonlySet<number>): readonly string[] {
  const path: number[] = [];
  const at = new Map<number, number>();
  let here: number | undefined = [...left][0];
  while (here !== undefined && !at.has(here)) {
    at.set(here, path.length);
    path.push(here);
    // Whatever is left waits for something that is left.
    here = [...(nodes[here]?.before ?? [])].find((one) => left.has(one));
  }
  return path.slice(here === undefined ? 0 : at.get(here)).map((place) => nodes[place]?.id ?? '');
}

/** Puts a place among places that are in rising order. */
function insertInOrder(places: number[], place: number): void {
  let [low, high] = [0, places.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((places[middle] ?? 0) < place) low = middle + 1;
    else high = middle;
  }
  places.splice(low, 0, place);
}

function orderOf(nodes: readonly Node[]): readonly string[] {
  const missing = nodes.map(({ before }) => before.size);
  const leadsTo = nodes.map((): number[] => []);
  for (const [place, { before }] of nodes.entries()) for (const one of before) leadsTo[one]?.push(place);
  const ready = [...nodes.keys()].filter((place) => missing[place] === 0);
  const left = new Set(nodes.keys());
  const order: string[] = [];
  for (let next = ready.shift(); next !== undefined; next = ready.shift()) {
    left.delete(next);
    order.push(nodes[next]?.id ?? '');
    for (const later of leadsTo[next] ?? []) {
      missing[later] = (missing[later] ?? 0) - 1;
      if (missing[later] === 0) insertInOrder(ready, later);
    }
  }
  if (left.size === 0) return order;
  const loop = loopIn(nodes, left);
  throw new DomainError('loop', `These wait for one another in a ring: ${[...loop, loop[0]].join(' → ')}.`, 'steps');
}

/**
 * The order of a build: every step after all that it waits for, and where several may come next the one that stands
 * first in the request; with what can be done now, and what each other step waits for.
 * @throws DomainError loop, naming the ids round it; unknown-step; bad-field where an id stands there twice
 */
export function sequence(input: SequenceInput): Sequence {
  const nodes = nodesOf(input);
  const known = new Map(nodes.map(({ id }, place) => [id, place]));
  const done = new Set(
    (input.done ?? []).map((id, n) => {
      const place = known.get(id);
      if (place === undefined) throw new DomainError('unknown-step', `There is no step “${id}”.`, `done[${n}]`);
      return place;
    }),
  );
  const order = orderOf(nodes);
  const waiting: Waiting[] = [];
  const open: string[] = [];
  for (const [place, { id, before, hidesBy }] of nodes.entries()) {
    if (done.has(place)) continue;
    const hiding = new Set(hidesBy.filter((one) => done.has(one)));
    const missing = [...new Set([...hiding, ...[...before].filter((one) => !done.has(one))])].sort((a, b) => a - b);
    if (missing.length === 0) open.push(id);
    else waiting.push({ id, for: missing.map((one) => nodes[one]?.id ?? '') });
  }
  return { order, open, waiting };
}
