import { figureDiffers } from '@/model/book/leaf-figure';
import { DomainError } from '@/core/units';
import { completeDetail } from '@/model/joint/joint-detail';
import type { Shop } from '@/db/shop';
import type { BuildFile } from './build-file';

/** Gives every row a new identity, so that a build can stand beside the one it was copied from. */
export function asCopy(file: BuildFile, newId: () => string): BuildFile {
  const ids = new Map<string, string>();
  const rows = [
    file.engine,
    ...file.sources,
    ...file.leaves,
    ...file.wrenches,
    ...file.joints,
    ...file.tightenings,
    ...file.tightenings.flatMap((t) => t.events),
    ...file.heat.cycles,
    ...file.heat.readings,
    ...file.boltSets,
    ...file.boltSets.flatMap((set) => set.readings),
    ...file.fits,
    ...file.fits.flatMap((fit) => fit.lines),
    ...file.measures,
    ...file.shims,
  ];
  for (const row of rows) ids.set(row.id, newId());
  const renamed = JSON.parse(JSON.stringify(file), (key, value: unknown) => {
    if (key === 'alsoLeaves' || key === 'holds') return (value as string[]).map((id) => ids.get(id) ?? id);
    return typeof value === 'string' && (key === 'id' || key.endsWith('Id') || key === 'strikes')
      ? (ids.get(value) ?? value)
      : value;
  }) as BuildFile;
  return { ...renamed, engine: { ...renamed.engine, name: `${file.engine.name} (copy)` } };
}

/** Every reference in the file must lead to a row in the file. @throws DomainError bad-field */
function assertWhole(file: BuildFile): void {
  const has = (rows: readonly { readonly id: string }[]) => {
    const ids = new Set(rows.map((row) => row.id));
    return (wanted: string, field: string) => {
      if (!ids.has(wanted))
        throw new DomainError('bad-field', `The file is not whole: ${field} ${wanted} is missing from it.`, field);
    };
  };
  const [engine, source, leaf, wrench, joint, cycle] = [
    [file.engine],
    file.sources,
    file.leaves,
    file.wrenches,
    file.joints,
    file.heat.cycles,
  ].map(has) as [
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
  ];
  for (const row of [...file.leaves, ...file.joints, ...file.heat.cycles, ...file.heat.readings])
    engine(row.engineId, 'engine');
  for (const row of file.leaves) {
    source(row.sourceId, 'source');
    if (row.replacesId) leaf(row.replacesId, 'leaf');
  }
  for (const row of file.joints) {
    leaf(row.leafId, 'leaf');
    wrench(row.wrenchId, 'wrench');
  }
  for (const row of file.tightenings) joint(row.jointId, 'joint');
  for (const row of file.heat.readings) cycle(row.cycleId, 'run');
  for (const row of file.fits) {
    engine(row.engineId, 'engine');
    if (row.leafId) leaf(row.leafId, 'leaf');
    for (const id of [row.jointId, ...row.holds]) if (id) joint(id, 'joint');
  }
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

/**
 * Rows in such an order that each comes after the one it refers to. @throws DomainError where they go round in a ring
 */
function inOrder<T extends { readonly id: string }>(
  rows: readonly T[],
  before: (row: T) => string | null,
  what: string,
): readonly T[] {
  const placed = new Set<string>();
  const ordered: T[] = [];
  for (let rest = rows; rest.length > 0; rest = rest.filter((row) => !placed.has(row.id))) {
    const ready = rest.filter((row) => before(row) === null || placed.has(before(row) ?? ''));
    if (ready.length === 0)
      throw new DomainError('bad-field', `The file is not whole: its ${what} go round in a ring.`, what);
    for (const row of ready) placed.add(row.id);
    ordered.push(...ready);
  }
  return ordered;
}

/** What a source supersedes may have been left out of the file; then it supersedes nothing here. */
const withKnownSuperseded = (sources: BuildFile['sources']): BuildFile['sources'] => {
  const known = new Set(sources.map((source) => source.id));
  return sources.map((source) =>
    source.supersedesId !== null && !known.has(source.supersedesId) ? { ...source, supersedesId: null } : source,
  );
};

/** Own rows of the shelf come along; a row that this shop has already is never changed by a file. */
function addShelf(shop: Shop, { shelf }: BuildFile, at: string): void {
  for (const kind of ['film', 'grade', 'metal'] as const) {
    const own = new Set(shop.shelf.own(kind).map(({ row }) => row.id));
    for (const row of shelf[kind]) if (!own.has(row.id)) shop.shelf.put(kind, row, 0, at);
  }
}

function addBolts(shop: Shop, file: BuildFile): void {
  for (const { readings, ...set } of file.boltSets) {
    shop.bolts.add(set);
    for (const reading of readings) shop.bolts.read(reading);
  }
}

function addTightenings(shop: Shop, file: BuildFile): void {
  for (const { events, ...tightening } of file.tightenings) {
    shop.tightenings.start(tightening);
    for (const { recordedAt, ...event } of events) shop.tightenings.record(tightening, event, recordedAt);
  }
}

/**
 * Shims come along where this shop has none of that thickness: what is in its own drawer is never changed by a file.
 */
function addFits(shop: Shop, file: BuildFile): void {
  for (const { lines, ...fit } of file.fits) {
    shop.fits.add(fit);
    for (const line of lines) shop.fits.record(fit.id, line, line.recordedAt ?? line.at);
  }
  for (const measure of file.measures) shop.measures.add(measure);
  for (const shim of file.shims)
    if (!shop.shims.inFamily(shim.family).some(({ thickness_mm }) => thickness_mm === shim.thickness_mm))
      shop.shims.add(shim);
}

/**
 * Reads a build file into a shop, all of it or none.
 * @throws DomainError bad-field where the file is not whole; out-of-turn where its lines do not follow one another
 */
export function readBack(shop: Shop, file: BuildFile): void {
  assertWhole(file);
  assertFigures(file);
  shop.transaction(() => {
    shop.engines.add(file.engine);
    addShelf(shop, file, file.writtenAt);
    for (const source of inOrder(withKnownSuperseded(file.sources), (one) => one.supersedesId, 'sources')) {
      if (shop.book.findSource(source.id)) shop.book.linkSource(file.engine.id, source.id);
      else shop.book.addSource(file.engine.id, source);
    }
    for (const leaf of inOrder(file.leaves, (one) => one.replacesId, 'corrections')) shop.book.addLeaf(leaf);
    for (const wrench of file.wrenches) if (!shop.wrenches.find(wrench.id)) shop.wrenches.add(wrench);
    for (const joint of file.joints) shop.joints.add({ ...joint, detail: completeDetail(joint.detail) });
    addBolts(shop, file);
    addTightenings(shop, file);
    addFits(shop, file);
    for (const cycle of file.heat.cycles) shop.heat.addCycle(cycle, cycle.ranTo);
    for (const reading of file.heat.readings) shop.heat.addReading(reading, reading.at);
  });
}
