import { Graph, layout } from '@dagrejs/dagre';
import type { Step } from '@/model/order/step';
import { STATION } from './station-size';

/** Where a step stands in the drawing, and how the line leads to it; px from the top left. */
export interface LineLayout {
  readonly width: number;
  readonly height: number;
  readonly places: Readonly<Record<string, { readonly x: number; readonly y: number }>>;
  readonly tracks: readonly Track[];
}

/** The line from one station to another. */
export interface Track {
  readonly from: string;
  readonly to: string;
  /** A later step that would hide this one, and not one that it rests on. */
  readonly hides: boolean;
  readonly points: readonly (readonly [x: number, y: number])[];
}

/** The line runs through a station’s mark, so far from the left. */
const MARK_X = 16;

/** What is reached by a longer way too need not be drawn. */
function needed(steps: readonly Step[]): readonly (readonly [from: string, to: string])[] {
  const after = new Map(steps.map((step) => [step.id, step.after]));
  const isReached = (from: string, to: string): boolean => {
    const seen = new Set<string>();
    const left = (after.get(to) ?? []).filter((id) => id !== from);
    for (let next = left.pop(); next !== undefined; next = left.pop()) {
      if (next === from) return true;
      if (seen.has(next)) continue;
      seen.add(next);
      left.push(...(after.get(next) ?? []));
    }
    return false;
  };
  return steps.flatMap(({ id, after: before }) =>
    before.filter((one) => after.has(one) && !isReached(one, id)).map((one) => [one, id] as const),
  );
}

/** Without the points that lie on the way from the one before to the one after: most tracks go straight down. */
const bendsOf = (points: Track['points']): Track['points'] =>
  points.filter(([x, y], i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    return !before || !after || !((x === before[0] && x === after[0]) || (y === before[1] && y === after[1]));
  });

/** From mark to mark; between them where the layout bends it, from one row's gap to the next. */
function through(graph: Graph, from: string, to: string): Track['points'] {
  const shift = MARK_X - STATION.width / 2;
  const { points: laid = [] } = graph.edge(from, to) as { points?: readonly { x: number; y: number }[] };
  const [a, b] = [graph.node(from) as { x: number; y: number }, graph.node(to) as { x: number; y: number }];
  const bends = laid.slice(1, -1).filter(({ x }, i, all) => x !== all[i - 1]?.x);
  const last = bends.at(-1) ?? a;
  const points = [
    [a.x, a.y],
    ...bends.flatMap(({ x, y }, i): readonly [number, number][] => [
      [bends[i - 1]?.x ?? a.x, y - STATION.height / 2],
      [x, y - STATION.height / 2],
    ]),
    [last.x, b.y - STATION.height / 2 - 6],
    [b.x, b.y - STATION.height / 2 - 6],
    [b.x, b.y],
  ].map(([x = 0, y = 0]) => [Math.round(x + shift), Math.round(y)] as const);
  return bendsOf(points);
}

/** Lines somebody is at work on; laying out one of 150 steps takes about 80 ms, and a tick changes none of it. */
const MAX_KEPT = 24;
const kept = new Map<string, LineLayout>();

/**
 * Lays the steps of a build out as a line with stations, sub-assemblies joining it as branches. The same steps, tied
 * alike, are laid out once.
 * @param steps in the order in which they are done
 */
export function lineLayout(steps: readonly Step[]): LineLayout {
  const tied = JSON.stringify(steps.map(({ id, branch, after, notUntil }) => [id, branch, after, notUntil]));
  const known = kept.get(tied) ?? laidOut(steps);
  kept.delete(tied);
  kept.set(tied, known);
  const [oldest] = kept.keys();
  if (kept.size > MAX_KEPT && oldest !== undefined) kept.delete(oldest);
  return known;
}

function laidOut(steps: readonly Step[]): LineLayout {
  const graph = new Graph();
  graph.setGraph({ rankdir: 'TB', nodesep: 14, ranksep: 12, marginx: 4, marginy: 6, ranker: 'tight-tree' });
  graph.setDefaultEdgeLabel(() => ({}));
  const branch = new Map(steps.map((step) => [step.id, step.branch]));
  for (const { id } of steps) graph.setNode(id, { ...STATION });
  for (const [from, to] of needed(steps)) {
    const along = branch.get(from) === branch.get(to);
    graph.setEdge(from, to, { weight: along ? 12 : 1 });
  }
  const hiding = steps.flatMap(({ id, notUntil }) =>
    notUntil.filter((later) => branch.has(later) && !graph.hasEdge(id, later)).map((later) => [id, later] as const),
  );
  for (const [from, to] of hiding) graph.setEdge(from, to, { weight: 1 });
  layout(graph);
  const { width = 0, height = 0 } = graph.graph() as { width?: number; height?: number };
  const isHiding = new Set(hiding.map(([from, to]) => `${from} ${to}`));
  const nodes = steps.map(({ id }) => [id, graph.node(id) as { x: number; y: number }] as const);
  return {
    width: Math.ceil(width),
    height: Math.ceil(height),
    places: Object.fromEntries(
      nodes.map(([id, { x, y }]) => [
        id,
        { x: Math.round(x - STATION.width / 2), y: Math.round(y - STATION.height / 2) },
      ]),
    ),
    tracks: graph.edges().map(({ v, w }) => ({
      from: v,
      to: w,
      hides: isHiding.has(`${v} ${w}`),
      points: through(graph, v, w),
    })),
  };
}
