import { MAY_BE_NONE } from '@/model/order/start-checks';
import { DomainError, atField } from '@/core/units';
import { wrenchSetting } from '@/core/wrench';
import { assertOrder } from '@/model/order/edit-steps';
import { figureDiffers } from '@/model/book/leaf-figure';
import { meterGoesBack } from '@/model/heat/meter';
import { leafIdsOf, wrenchIdsOf } from '@/model/joint/fastener-kind';
import { everyRow } from './adopt-build';
import type { BuildFile } from './build-file';

type Has = (wanted: string, field: string) => void;

const notWhole = (what: string, field: string) =>
  new DomainError('bad-field', `The file is not whole: ${what} Nothing was changed.`, field);

const among = (rows: readonly { readonly id: string }[]): Has => {
  const ids = new Set(rows.map(({ id }) => id));
  return (wanted, field) => {
    if (!ids.has(wanted)) throw notWhole(`${field} ${wanted} is missing from it.`, field);
  };
};

function assertNoneTwice(file: BuildFile): void {
  const seen = new Set<string>();
  for (const { id } of everyRow(file)) {
    if (seen.has(id)) throw notWhole(`${id} stands in it twice.`, 'id');
    seen.add(id);
  }
}

function assertBook({ engine, sources, leaves }: BuildFile): void {
  const [ofEngine, source, leaf] = [among([engine]), among(sources), among(leaves)];
  for (const row of leaves) {
    ofEngine(row.engineId, 'engine');
    source(row.sourceId, 'source');
    if (row.replacesId !== null) leaf(row.replacesId, 'leaf');
  }
}

function assertWork({ engine, leaves, wrenches, joints, tightenings, boltSets, heat }: BuildFile): void {
  const [ofEngine, leaf, wrench, joint, cycle] = [
    among([engine]),
    among(leaves),
    among(wrenches),
    among(joints),
    among(heat.cycles),
  ];
  for (const row of joints) {
    ofEngine(row.engineId, 'engine');
    for (const id of leafIdsOf(row)) leaf(id, 'leaf');
    for (const id of wrenchIdsOf(row)) wrench(id, 'wrench');
  }
  for (const row of tightenings) joint(row.jointId, 'joint');
  for (const set of boltSets) {
    joint(set.jointId, 'joint');
    if (set.maxStretch_mm < set.minStretch_mm) throw notWhole(`the stretch of ${set.name} is reversed.`, 'boltSets');
    const read = new Set<string>();
    for (const { id, setId, bolt, strikes } of set.readings) {
      if (strikes !== null && !read.has(strikes))
        throw notWhole(`a length of ${set.name} takes back one that is not before it.`, 'boltSets');
      read.add(id);
      if (setId !== set.id) throw notWhole(`a length of ${set.name} is of another set.`, 'boltSets');
      if (bolt > set.bolts)
        throw notWhole(`${set.name} has ${set.bolts} bolts, and a length of bolt ${bolt}.`, 'boltSets');
    }
  }
  for (const row of [...heat.cycles, ...heat.readings, ...heat.meters]) ofEngine(row.engineId, 'engine');
  for (const row of heat.readings) cycle(row.cycleId, 'run');
}

function assertFits({ engine, leaves, joints, fits, measures }: BuildFile): void {
  const [ofEngine, leaf, joint] = [among([engine]), among(leaves), among(joints)];
  for (const row of measures) ofEngine(row.engineId, 'engine');
  for (const fit of fits) {
    ofEngine(fit.engineId, 'engine');
    if (fit.leafId !== null) leaf(fit.leafId, 'leaf');
    for (const id of [fit.jointId, ...fit.holds]) if (id !== null) joint(id, 'joint');
    const line = among(fit.lines);
    for (const one of fit.lines) {
      if (one.kind === 'strike') line(one.strikes, 'line');
      const isOutside = one.kind === 'reading' && (one.station >= fit.stations || one.angle >= fit.angles);
      if (isOutside || (one.place !== null && one.place >= fit.places.length))
        throw notWhole(`${fit.name} has a line of a place that it does not have.`, 'fits');
    }
  }
}

function assertNotes({ engine, joints, fits, notes, order }: BuildFile): void {
  const [ofEngine, joint, fit] = [among([engine]), among(joints), among(fits)];
  const [step, part] = [among(order.steps), among(order.parts)];
  for (const note of notes) {
    ofEngine(note.engineId, 'engine');
    if (note.jointId !== null) joint(note.jointId, 'joint');
    if (note.fitId !== null) fit(note.fitId, 'fit');
    if (note.stepId !== null) step(note.stepId, 'step');
    if (note.partId !== null) part(note.partId, 'part');
    // A joint may have had more fasteners when it was written.
    if (note.fastener !== null && note.jointId === null)
      throw notWhole('a note is of a fastener of no joint.', 'notes');
  }
}

/** Steps wait for steps of the file and in no ring; what is written of a step or a part is of one that is there. */
function assertOrderRows(file: BuildFile): void {
  const { engine, joints, fits, leaves, order } = file;
  const { steps, parts, buildLines } = order;
  const [ofEngine, joint, fit, leaf] = [among([engine]), among(joints), among(fits), among(leaves)];
  const [step, part, line] = [among(steps), among(parts), among(buildLines)];
  for (const row of steps) {
    ofEngine(row.engineId, 'engine');
    if (row.jointId !== null) joint(row.jointId, 'joint');
    if (row.fitId !== null) fit(row.fitId, 'fit');
    if (row.leafId !== null) leaf(row.leafId, 'leaf');
    for (const id of [...row.after, ...row.notUntil]) step(id, 'step');
  }
  const asides = new Set(file.asides.map(({ id }) => id));
  atField('order', () => assertOrder(steps.filter(({ id }) => !asides.has(id))));
  for (const row of parts) {
    ofEngine(row.engineId, 'engine');
    if (row.stepId !== null) step(row.stepId, 'step');
  }
  for (const row of buildLines) {
    if ('stepId' in row) step(row.stepId, 'step');
    if ('partId' in row) part(row.partId, 'part');
    if (row.kind === 'strike') line(row.strikes, 'line');
    if (row.kind === 'trial') step(row.body.upTo, 'step');
    if (row.kind === 'start-look' && row.body.is === 'none' && !MAY_BE_NONE.has(row.body.check))
      throw notWhole('a first start’s sheet says that an engine has none of what every engine has.', 'order');
    if (row.kind === 'undone' && row.body.jointId !== undefined) joint(row.body.jointId, 'joint');
  }
}

/** What was set aside stands in the file, once. */
function assertAsides({ leaves, joints, fits, order, asides }: BuildFile): void {
  const rows = { leaf: among(leaves), joint: among(joints), fit: among(fits), step: among(order.steps) };
  const seen = new Set<string>();
  for (const { kind, id } of asides) {
    rows[kind](id, kind);
    if (seen.has(id)) throw notWhole(`${id} is set aside twice in it.`, 'asides');
    seen.add(id);
  }
}

/** A plan whose turn names positions that it does not have cannot be gone round. */
function assertPlans({ joints, tightenings }: BuildFile): void {
  const names = new Map(joints.map(({ id, name }) => [id, name]));
  for (const { jointId, plan } of tightenings) {
    const name = names.get(jointId) ?? 'a joint';
    const positions = [...plan.order, ...plan.steps.flatMap((step) => (step.kind === 'pull' ? [step.position] : []))];
    const ofKinds = (plan.kinds ?? []).flatMap(({ places }) => places);
    if (new Set(ofKinds).size < ofKinds.length)
      throw notWhole(`a plan of ${name} has a fastener of two kinds.`, 'tightenings');
    if ([...positions, ...ofKinds].some((at) => at >= plan.positions.length))
      throw notWhole(`a plan of ${name} names a fastener that it does not have.`, 'tightenings');
  }
}

/** A watch may run a little ahead of another. */
const AHEAD_MS = 5 * 60_000;

function assertPast(file: BuildFile, now: number): void {
  const latest = (...times: readonly string[]) => times.some((time) => Date.parse(time) > now + AHEAD_MS);
  const { tightenings, heat, fits, boltSets, order, asides } = file;
  const ahead =
    tightenings.some(
      ({ startedAt, events }) => latest(startedAt) || events.some((event) => latest(event.at, event.recordedAt)),
    ) ||
    heat.cycles.some(({ ranFrom, ranTo }) => latest(ranFrom, ranTo)) ||
    heat.readings.some(({ at }) => latest(at)) ||
    heat.meters.some(({ at }) => latest(at)) ||
    asides.some(({ at }) => latest(at)) ||
    boltSets.some(({ readings }) => readings.some(({ at }) => latest(at))) ||
    order.buildLines.some(
      (line) => latest(line.at, line.recordedAt ?? line.at) || (line.kind === 'start-wrong' && latest(line.body.on)),
    ) ||
    fits.some(({ lines }) => lines.some(({ at, recordedAt }) => latest(at, recordedAt ?? at)));
  if (ahead)
    throw new DomainError(
      'in-the-future',
      'A line of the file lies in the future by the clock of this machine. See that the clock is right. Nothing was changed.',
      'at',
    );
  for (const { ranFrom, ranTo, highest_C, ambient_C } of heat.cycles)
    if (!(Date.parse(ranTo) > Date.parse(ranFrom)) || !(highest_C > ambient_C))
      throw notWhole('a run of the engine ends before it begins, or never warmed.', 'heat');
  for (const { series, ranFrom, ranTo } of heat.cycles) {
    const length_min = (Date.parse(ranTo) - Date.parse(ranFrom)) / 60_000;
    const isWhole = series?.every(([at], i) => at <= length_min + 1 && at > (series[i - 1]?.[0] ?? -1)) ?? true;
    if (!isWhole) throw notWhole('the temperatures of a run are not in their order, or go beyond it.', 'heat');
  }
  const back = meterGoesBack(heat.meters);
  if (back) throw notWhole(back, 'heat');
}

/**
 * A figure that its own text does not give is refused: the book and the ladder would say two things. @throws
 * DomainError
 */
function assertFigures({ leaves }: BuildFile): void {
  for (const leaf of leaves) {
    const differs = figureDiffers(leaf);
    if (differs)
      throw new DomainError(
        'figure-differs',
        `${leaf.subject}, p. ${leaf.page}: ${differs} Nothing was changed.`,
        'leaves',
      );
  }
}

function assertWrenches({ wrenches }: BuildFile): void {
  for (const { name, min, max } of wrenches)
    if (!(max > min)) throw notWhole(`the scale of ${name} ends where it begins.`, 'wrenches');
  for (const wrench of wrenches) atField('wrenches', () => wrenchSetting(wrench.max, wrench));
}

/**
 * Every reference in the file leads to a row in the file, no row stands in it twice, and nothing in it lies in the
 * future: what the screens would have refused is refused here.
 * @throws DomainError
 */
export function assertWhole(file: BuildFile, now: number): void {
  assertNoneTwice(file);
  assertBook(file);
  assertWork(file);
  assertFits(file);
  assertNotes(file);
  assertOrderRows(file);
  assertAsides(file);
  assertPlans(file);
  assertPast(file, now);
  assertWrenches(file);
  assertFigures(file);
}
