import type { OrderRecord } from './order-record-page';
import type { StageTurn } from '@/core/tightening';
import type { Shop } from '@/db/shop';
import { turnsOfPlan } from '@/interface/words/bench-words';
import { turnsOfLeaf } from '@/model/book/leaf-figure';
import type { MeasuredSet } from '@/model/bolt/bolt-set';
import type { Engine } from '@/model/engine/engine';
import { holdingMeasures } from '@/model/engine/engine-measure';
import { engineStateOf, fitsOf, inputsOf, notesOf, type EngineRows } from '@/model/engine/engine-rows';
import type { JointState } from '@/model/joint/joint-state';
import type { HeatLog } from '@/model/heat/heat-log';
import type { FastenerKind } from '@/model/joint/joint-detail';
import type { Joint } from '@/model/joint/joint';
import type { JointInputs } from '@/model/joint/joint-inputs';
import { computeJoint, computeKinds } from '@/model/joint/joint-result';
import { plannedFigure } from '@/model/joint/round-plan';
import type { PlannedFigure } from '@/model/joint/tightening-plan';
import type { NoteWithPhotos } from '@/model/note';
import type { Shelves } from '@/model/shelf/shelves';
import type { FitsRecord } from './fits-record-page';

/** The figure of fasteners that are alike, as it is printed, and what is turned after it. */
export interface FigureOfRecord extends Pick<PlannedFigure, 'leaf' | 'ladder' | 'thread' | 'unit' | 'wrenchName'> {
  readonly turns: readonly StageTurn[];
}

const figureOf = (
  { leaf, ladder, thread, unit, wrenchName }: PlannedFigure,
  turns: readonly StageTurn[],
): FigureOfRecord => ({ leaf, ladder, thread, unit, wrenchName, turns });

export interface JointRecord {
  readonly engine: Engine;
  readonly joint: Joint;
  /** Of the page, where somebody said. */
  readonly language: string;
  readonly state: JointState;
  readonly own: FigureOfRecord;
  readonly kinds: readonly (FigureOfRecord & Pick<FastenerKind, 'name' | 'places'>)[];
  readonly heat: HeatLog;
  readonly bolts: readonly MeasuredSet[];
  readonly notes: readonly NoteWithPhotos[];
}

/** The figures of a joint: what was tightened keeps its own; what the sheet says since says nothing of it. */
function figuresOf(state: JointState, inputs: JointInputs): Pick<JointRecord, 'own' | 'kinds'> {
  const kept = (state.final ?? state.tightenings[0])?.tightening.plan;
  if (kept)
    return {
      own: figureOf(kept, turnsOfPlan(kept)),
      kinds: (kept.kinds ?? []).map((kind) => ({
        ...figureOf(kind, turnsOfPlan(kept, kind)),
        name: kind.name,
        places: kind.places,
      })),
    };
  return {
    own: figureOf(plannedFigure(inputs, computeJoint(inputs)), turnsOfLeaf(inputs.leaf)),
    kinds: computeKinds(inputs).map(({ kind: { name, places }, inputs: of, worked }) => ({
      ...figureOf(plannedFigure(of, worked), turnsOfLeaf(of.leaf)),
      name,
      places,
    })),
  };
}

/** Everything the record of one joint prints. */
export function jointRecord(rows: EngineRows, shelves: Shelves, jointId: string, now: number): JointRecord | undefined {
  const state = engineStateOf(rows).joints.find(({ joint }) => joint.id === jointId);
  if (!state) return undefined;
  const inputs = inputsOf(rows, state.joint, shelves, now);
  const { engine, heat } = rows;
  const notes = notesOf(rows, { engineId: engine.id, jointId, fitId: null });
  const bolts = rows.bolts.filter(({ set }) => set.jointId === jointId);
  const { language } = inputs.source;
  return { engine, joint: inputs.joint, language, state, ...figuresOf(state, inputs), heat, bolts, notes };
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
