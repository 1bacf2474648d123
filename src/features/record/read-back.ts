import { DomainError } from '@/core/units';
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
  ];
  for (const row of rows) ids.set(row.id, newId());
  const renamed = JSON.parse(JSON.stringify(file), (key, value: unknown) =>
    typeof value === 'string' && (key === 'id' || key.endsWith('Id') || key === 'strikes') ? (ids.get(value) ?? value) : value,
  ) as BuildFile;
  return { ...renamed, engine: { ...renamed.engine, name: `${file.engine.name} (copy)` } };
}

/** Every reference in the file must lead to a row in the file. @throws DomainError bad-field */
function assertWhole(file: BuildFile): void {
  const has = (rows: readonly { readonly id: string }[]) => {
    const ids = new Set(rows.map((row) => row.id));
    return (wanted: string, field: string) => {
      if (!ids.has(wanted)) throw new DomainError('bad-field', `The file is not whole: ${field} ${wanted} is missing from it.`, field);
    };
  };
  const [engine, source, leaf, wrench, joint, cycle] = [[file.engine], file.sources, file.leaves, file.wrenches, file.joints, file.heat.cycles].map(
    has,
  ) as [
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
    ReturnType<typeof has>,
  ];
  for (const row of [...file.leaves, ...file.joints, ...file.heat.cycles, ...file.heat.readings]) engine(row.engineId, 'engine');
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
}

/** Corrections come after what they correct. */
const inOrder = (leaves: BuildFile['leaves']): BuildFile['leaves'] => {
  const placed: BuildFile['leaves'][number][] = [];
  let rest = [...leaves];
  while (rest.length > 0) {
    const ready = rest.filter((leaf) => leaf.replacesId === null || placed.some((one) => one.id === leaf.replacesId));
    if (ready.length === 0) throw new DomainError('bad-field', 'The file is not whole: its corrections go round in a ring.', 'leaf');
    placed.push(...ready);
    rest = rest.filter((leaf) => !ready.includes(leaf));
  }
  return placed;
};

function addTightenings(shop: Shop, file: BuildFile): void {
  for (const { events, ...tightening } of file.tightenings) {
    shop.tightenings.start(tightening);
    for (const { recordedAt, ...event } of events) shop.tightenings.record(tightening, event, recordedAt);
  }
}

/**
 * Reads a build file into a shop, all of it or none.
 * @throws DomainError bad-field where the file is not whole; out-of-turn where its lines do not follow one another
 */
export function readBack(shop: Shop, file: BuildFile): void {
  assertWhole(file);
  shop.together(() => {
    shop.engines.add(file.engine);
    for (const source of file.sources) {
      if (shop.book.findSource(source.id)) shop.book.linkSource(file.engine.id, source.id);
      else shop.book.addSource(file.engine.id, source);
    }
    for (const leaf of inOrder(file.leaves)) shop.book.addLeaf(leaf);
    for (const wrench of file.wrenches) if (!shop.wrenches.find(wrench.id)) shop.wrenches.add(wrench);
    for (const joint of file.joints) shop.joints.add(joint);
    addTightenings(shop, file);
    for (const cycle of file.heat.cycles) shop.heat.addCycle(cycle, cycle.ranTo);
    for (const reading of file.heat.readings) shop.heat.addReading(reading, reading.at);
  });
}
