import type { OrderRecord } from './order-record-page';
import type { Shop } from '@/db/shop';
import type { MeasuredSet } from '@/model/bolt/bolt-set';
import type { Engine } from '@/model/engine/engine';
import { holdingMeasures } from '@/model/engine/engine-measure';
import { engineStateOf, fitsOf, inputsOf, notesOf, type EngineRows } from '@/model/engine/engine-rows';
import type { JointState } from '@/model/joint/joint-state';
import type { HeatLog } from '@/model/heat/heat-log';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint, computeKinds, type JointResult, type KindResult } from '@/model/joint/joint-result';
import type { NoteWithPhotos } from '@/model/note';
import type { Shelves } from '@/model/shelf/shelves';
import type { FitsRecord } from './fits-record-page';

export interface JointRecord {
  readonly engine: Engine;
  readonly inputs: JointInputs;
  readonly state: JointState;
  readonly worked: JointResult;
  readonly kinds: readonly KindResult[];
  readonly heat: HeatLog;
  readonly bolts: readonly MeasuredSet[];
  readonly notes: readonly NoteWithPhotos[];
}

/** Everything the record of one joint prints. */
export function jointRecord(rows: EngineRows, shelves: Shelves, jointId: string, now: number): JointRecord | undefined {
  const state = engineStateOf(rows).joints.find(({ joint }) => joint.id === jointId);
  if (!state) return undefined;
  const inputs = inputsOf(rows, state.joint, shelves, now);
  const { engine, heat } = rows;
  const notes = notesOf(rows, { engineId: engine.id, jointId, fitId: null });
  const bolts = rows.bolts.filter(({ set }) => set.jointId === jointId);
  return { engine, inputs, state, worked: computeJoint(inputs), kinds: computeKinds(inputs), heat, bolts, notes };
}

/**
 * What was measured on an engine, with the page each limit comes from and the measures that hold; in one query beside
 * its rows.
 */
export const fitsRecord = (shop: Shop, rows: EngineRows): FitsRecord => ({
  engine: rows.engine,
  fits: fitsOf(rows).map((state) => ({ state, lines: rows.lines.get(state.fit.id) ?? [] })),
  measures: holdingMeasures(shop.measures.all(rows.engine.id)),
  notes: rows.notes.filter(({ jointId }) => jointId === null),
});

/** The order of an engine as it is printed. */
export function orderRecord(rows: EngineRows): OrderRecord {
  const { steps, tray, loose, aids, lines } = engineStateOf(rows).order;
  const notes = rows.notes.filter(({ stepId, partId }) => stepId !== null || partId !== null);
  const pages = Object.fromEntries(
    steps.flatMap(({ step }) => {
      const leaf = rows.leaves.find(({ id }) => id === step.leafId);
      const source = rows.sources.find(({ id }) => id === leaf?.sourceId);
      return leaf && source ? [[step.id, `${source.title}, p. ${leaf.page}`] as const] : [];
    }),
  );
  return { engine: rows.engine, steps, tray, loose, aids, lines, notes, pages };
}
