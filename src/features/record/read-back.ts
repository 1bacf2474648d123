import { assertShape } from '@/model/joint/joint-shape';
import { threadNamed } from '@/core/thread';
import { DomainError, isDomainError } from '@/core/units';
import { jointInputs } from '@/db/reads/joint-inputs';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { assertReckoned } from '@/model/joint/joint-result';
import { asideRow, assertMayBeAside } from '@/server/may-be-aside';
import { adopt } from './adopt-build';
import { DRAWN_KINDS, type Adoption } from './adoption';
import { workedWith, type BuildFile } from './build-file';
import { assertWhole } from './check-build';

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

/** A row that was not written is no small thing: the file would say more than the shop. @throws DomainError id-taken */
function assertNew(isNew: boolean, id: string): void {
  if (!isNew) throw new DomainError('id-taken', `${id} is known here already. Nothing was changed.`, 'id');
}

function addShared(shop: Shop, { shelf, sources, wrenches, shims, engine, writtenAt }: BuildFile): void {
  for (const kind of DRAWN_KINDS)
    for (const row of shelf[kind]) assertNew(shop.shelf.put(kind, row, 0, writtenAt), row.id);
  for (const source of inOrder(withKnownSuperseded(sources), (one) => one.supersedesId, 'sources'))
    shop.book.addSource(engine.id, source);
  for (const wrench of wrenches) shop.wrenches.add({ ...wrench, cameWith: engine.id });
  for (const shim of shims) shop.shims.add(shim);
}

function addWork(shop: Shop, { boltSets, tightenings, heat }: BuildFile): void {
  for (const { readings, ...set } of boltSets) {
    shop.bolts.add(set);
    for (const reading of readings) assertNew(shop.bolts.read(reading), reading.id);
  }
  for (const { events, ...tightening } of tightenings) {
    shop.tightenings.start(tightening);
    shop.tightenings.recordAll(tightening, events);
  }
  for (const cycle of heat.cycles) assertNew(shop.heat.addCycle(cycle, cycle.ranTo), cycle.id);
  for (const reading of heat.readings) assertNew(shop.heat.addReading(reading, reading.at), reading.id);
  for (const meter of heat.meters) assertNew(shop.heat.addMeter(meter, meter.at), meter.id);
}

function addFits(shop: Shop, { fits, measures }: BuildFile): void {
  for (const { lines, ...fit } of fits) {
    shop.fits.add(fit);
    for (const line of lines) assertNew(shop.fits.record(fit.id, line, line.recordedAt ?? line.at), line.id);
  }
  for (const measure of measures) shop.measures.add(measure);
}

/** A number of its own that another part of the shop has is told in words, and is no number here. */
function addOrder(shop: Shop, { engine, order: { steps, parts, buildLines } }: BuildFile): void {
  for (const step of steps) shop.build.addStep(step);
  for (const part of parts) {
    const [other] = part.serial === '' ? [] : shop.build.partsNumbered(part.serial);
    const words = `${part.detail.words} Number ${part.serial}, as a part of “${other?.engine ?? ''}” here.`.trim();
    shop.build.addPart(other ? { ...part, serial: '', detail: { ...part.detail, words } } : part);
  }
  for (const line of buildLines) assertNew(shop.build.record(engine.id, line, line.recordedAt ?? line.at), line.id);
}

/** What the joint's sheet would refuse is refused here too, by the joint's name. @throws DomainError */
function assertReckonable(shop: Shop, { joints, asides }: BuildFile, now: number): void {
  const shelves = shelvesOf(shop);
  for (const joint of workedWith(joints, asides))
    try {
      threadNamed(joint.thread);
      assertShape(joint);
      assertReckoned(jointInputs(shop, joint, now, shelves));
    } catch (error) {
      if (!isDomainError(error)) throw error;
      throw new DomainError(error.code, `${joint.name}: ${error.message} Nothing was changed.`, 'joints');
    }
}

/** Something that was set aside where the file was written, and may not be here. */
export interface BackAgain {
  readonly name: string;
  readonly why: string;
}

/** Sets aside what the file says was; what this program would not let be set aside is worked with again, and told. */
function setAside(shop: Shop, { engine, asides }: BuildFile): readonly BackAgain[] {
  const backAgain: BackAgain[] = [];
  for (const aside of asides)
    try {
      assertMayBeAside(shop, aside.kind, aside.id);
      shop.asides.put({ ...aside, engineId: engine.id });
    } catch (error) {
      if (!isDomainError(error)) throw error;
      backAgain.push({ name: asideRow(shop, aside.kind, aside.id).name, why: error.message });
    }
  return backAgain;
}

export interface BuildRead extends Adoption {
  /** What was set aside there and is worked with here, with the reason. */
  readonly backAgain: readonly BackAgain[];
}

/**
 * Reads a build file into a shop, all of it or none, and touches no other row of the shop.
 * @throws DomainError bad-field where the file is not whole; out-of-turn where its lines do not follow one another
 */
export function readBack(shop: Shop, given: BuildFile, now: number, newId: () => string): BuildRead {
  assertWhole(given, now);
  // Its lines have the initials they came with, or none; nobody here wrote them.
  const work = () => {
    const adoption = adopt(shop, given, newId);
    const { file } = adoption;
    shop.engines.add(file.engine);
    addShared(shop, file);
    for (const leaf of inOrder(file.leaves, (one) => one.replacesId, 'corrections')) shop.book.addLeaf(leaf);
    for (const joint of file.joints) shop.joints.add(joint);
    addWork(shop, file);
    addFits(shop, file);
    addOrder(shop, file);
    for (const note of file.notes) shop.notes.add(note);
    const backAgain = setAside(shop, file);
    assertReckonable(shop, file, now);
    return { ...adoption, backAgain };
  };
  return shop.inNameOf('', () => shop.transaction(work));
}
