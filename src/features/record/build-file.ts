import type { Fit, FitLine, Shim } from '@/model/fit/fit';
import type { Leaf } from '@/model/book/leaf';
import type { Source } from '@/model/book/source';
import type { Engine } from '@/model/engine/engine';
import type { BuildRows } from '@/model/engine/engine-rows';
import type { BoltReading, BoltSet } from '@/model/bolt/bolt-set';
import type { OwnRow, ShelfKind, ShelfRows } from '@/model/shelf/shelf-rows';
import type { HeatLog } from '@/model/heat/heat-log';
import type { Joint } from '@/model/joint/joint';
import { leafIdsOf, wrenchIdsOf } from '@/model/joint/fastener-kind';
import type { RecordedEvent, Tightening } from '@/model/joint/tightening';
import type { EngineMeasure } from '@/model/engine/engine-measure';
import type { HousePractice } from '@/model/practice/house-practice';
import type { Note } from '@/model/note';
import type { SetAside } from '@/model/set-aside';
import type { Wrench } from '@/model/shelf/wrench';
import { jointInputs } from '@/db/reads/joint-inputs';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import { computeJoint } from '@/model/joint/joint-result';
import { shelvesFor } from '@/model/shelf/shelves';
import { tryCore } from '@/model/try-core';
import type { Shop } from '@/db/shop';

export const BUILD_FORMAT = 'unhurried-spanner-build';
export const BUILD_VERSION = 5;

/** A wrench as it is in a file: whether it hangs in the shop that reads it is for that shop to say. */
export type FileWrench = Omit<Wrench, 'cameWith' | 'aside'>;

/** What of the file was set aside where it was written; it is read back as set aside. */
export type FileAside = Omit<SetAside, 'engineId' | 'name'>;

/** What a joint was to be set to in the shop that wrote the file. */
export interface FileFigure {
  readonly jointId: string;
  readonly setting: number;
  readonly unit: Wrench['unit'];
  readonly wrenchId: string;
  readonly wrench: string;
  readonly torque_Nm: number;
}

/** A build, or one joint of it, in the open: everything needed to read it back into another shop. */
export interface BuildFile {
  readonly format: typeof BUILD_FORMAT;
  readonly version: typeof BUILD_VERSION;
  readonly writtenAt: string;
  readonly engine: Engine;
  readonly sources: readonly Source[];
  readonly leaves: readonly Leaf[];
  readonly wrenches: readonly FileWrench[];
  readonly joints: readonly Joint[];
  readonly tightenings: readonly (Tightening & { readonly events: readonly RecordedEvent[] })[];
  readonly boltSets: readonly (BoltSet & { readonly readings: readonly BoltReading[] })[];
  /** The practice in force for this engine where it was written. */
  readonly practice: Partial<HousePractice>;
  /** What each joint was to be set to there; a joint that could not be worked out is left out. */
  readonly figures: readonly FileFigure[];
  /** The shop's own rows that these joints draw on. */
  readonly shelf: { readonly [K in ShelfKind]: readonly ShelfRows[K][] };
  readonly fits: readonly (Fit & { readonly lines: readonly FitLine[] })[];
  readonly measures: readonly EngineMeasure[];
  /** The drawers that the fits draw on. */
  readonly shims: readonly Shim[];
  /** The order of its build, its tray, and what was done; of a file of one joint it is empty. */
  readonly order: BuildRows;
  /** Notes, without their photographs. */
  readonly notes: readonly Note[];
  /** What of the rows above was set aside, the oldest first, and why; of a file of one joint it is empty. */
  readonly asides: readonly FileAside[];
  readonly heat: HeatLog;
}

/** A leaf and all that it corrects, oldest last. */
function withEarlier(leaves: readonly Leaf[], wanted: ReadonlySet<string>): readonly Leaf[] {
  const keep = new Set(wanted);
  for (const leaf of [...leaves].reverse()) if (keep.has(leaf.id) && leaf.replacesId) keep.add(leaf.replacesId);
  return leaves.filter((leaf) => keep.has(leaf.id));
}

/** Own rows that any of the joints names. */
function used<K extends ShelfKind>(own: readonly OwnRow<K>[], joints: readonly Joint[]): readonly ShelfRows[K][] {
  const text = JSON.stringify(joints);
  return own.map(({ row }) => row).filter((row) => text.includes(JSON.stringify(row.id)));
}

/** Fits are of the whole engine: the file of one joint has none. */
function fitsPart(
  shop: Shop,
  engine: Engine,
  jointId: string | undefined,
): Pick<BuildFile, 'fits' | 'measures' | 'shims'> {
  if (jointId !== undefined) return { fits: [], measures: [], shims: [] };
  const lines = shop.fits.linesOfEngine(engine.id);
  const fits = shop.fits.everOfEngine(engine.id).map((fit) => ({ ...fit, lines: lines.get(fit.id) ?? [] }));
  const families = new Set(fits.flatMap(({ detail }) => detail.shim?.family ?? []));
  return {
    fits,
    measures: shop.measures.all(engine.id),
    shims: shop.shims.all().filter(({ family }) => families.has(family)),
  };
}

export const NO_ORDER: BuildRows = { steps: [], parts: [], buildLines: [] };

/** What was set aside goes along with the whole engine, and is named as such. */
function asidesPart(shop: Shop, engine: Engine, jointId: string | undefined): readonly FileAside[] {
  if (jointId !== undefined) return [];
  return shop.asides.ofEngine(engine.id).map(({ kind, id, reason, at, who }) => ({
    kind,
    id,
    reason,
    at,
    ...(who !== undefined && { who }),
  }));
}

/** What was done on the joints: rounds with their lines, sets of bolts with their lengths. */
function workPart(shop: Shop, engine: Engine, joints: readonly Joint[]): Pick<BuildFile, 'tightenings' | 'boltSets'> {
  const ids = new Set(joints.map(({ id }) => id));
  const events = shop.tightenings.eventsOfEngine(engine.id);
  return {
    tightenings: shop.tightenings
      .ofEngine(engine.id)
      .filter(({ jointId }) => ids.has(jointId))
      .map((tightening) => ({ ...tightening, events: events.get(tightening.id) ?? [] })),
    boltSets: joints.flatMap((joint) =>
      shop.bolts.measured(joint.id).map(({ set, readings }) => ({ ...set, readings })),
    ),
  };
}

/** The joints of a file that were not set aside. */
export function workedWith(joints: readonly Joint[], asides: readonly FileAside[]): readonly Joint[] {
  const ids = new Set(asides.filter(({ kind }) => kind === 'joint').map(({ id }) => id));
  return joints.filter(({ id }) => !ids.has(id));
}

/** What each joint comes to here. */
export const figuresOf = (shop: Shop, joints: readonly Joint[], now: number): readonly FileFigure[] =>
  joints.flatMap((joint): readonly FileFigure[] => {
    const worked = tryCore(() => computeJoint(jointInputs(shop, joint, now)));
    if (!worked.ok) return [];
    const { ladder, wrench } = worked.result;
    const { rounded, achieved_Nm } = ladder.setting;
    const { id: wrenchId, name, unit } = wrench;
    return [{ jointId: joint.id, setting: rounded, unit, wrenchId, wrench: name, torque_Nm: achieved_Nm }];
  });

const forFile = ({ cameWith: _, aside: __, ...wrench }: Wrench): FileWrench => wrench;

/** Writes an engine out, or one of its joints with what it rests on. */
export function buildFileOf(shop: Shop, engine: Engine, writtenAt: string, jointId?: string): BuildFile {
  const joints = shop.joints.everOfEngine(engine.id).filter((joint) => jointId === undefined || joint.id === jointId);
  const asides = asidesPart(shop, engine, jointId);
  const all = shop.book.everyLeaf(engine.id);
  const spoken = new Set(joints.flatMap((joint) => [...leafIdsOf(joint), ...joint.detail.alsoLeaves]));
  const leaves = jointId === undefined ? all : withEarlier(all, spoken);
  const sourceIds = new Set(leaves.map((leaf) => leaf.sourceId));
  const shelves = shelvesOf(shop);
  const figures = figuresOf(shop, workedWith(joints, asides), Date.parse(writtenAt));
  const wrenchIds = new Set([...joints.flatMap(wrenchIdsOf), ...figures.map(({ wrenchId }) => wrenchId)]);
  return {
    format: BUILD_FORMAT,
    version: BUILD_VERSION,
    writtenAt,
    engine,
    sources: shop.book.sources(engine.id).filter((source) => jointId === undefined || sourceIds.has(source.id)),
    leaves,
    wrenches: shop.wrenches
      .all()
      .filter((wrench) => wrenchIds.has(wrench.id))
      .map(forFile),
    joints,
    ...workPart(shop, engine, joints),
    practice: shelvesFor(shelves, engine).practice,
    figures,
    shelf: {
      film: used(shop.shelf.own('film'), joints),
      grade: used(shop.shelf.own('grade'), joints),
      metal: used(shop.shelf.own('metal'), joints),
      thread: [],
    },
    ...fitsPart(shop, engine, jointId),
    order: jointId === undefined ? shop.build.everOfEngine(engine.id) : NO_ORDER,
    notes: shop.notes
      .ofEngine(engine.id)
      .filter((note) => jointId === undefined || note.jointId === jointId)
      .map(({ photoIds: _, ...note }) => note),
    asides,
    heat: shop.heat.log(engine.id),
  };
}
