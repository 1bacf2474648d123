import type { HeatCycle, MeterReading } from '@/model/heat/heat-log';
import type { Purpose } from '@/model/joint/tightening';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { rmSync } from 'node:fs';
import { completeDetail, type JointDetail } from '@/model/joint/joint-detail';
import { usualFaceOf } from '@/model/joint/joint-result';
import { planOfJoint, retorquePlan } from '@/model/joint/round-plan';
import { jointInputs } from '@/db/reads/joint-inputs';
import { leafOfText } from '@/model/book/leaf-of-text';
import type { PullOutcome } from '@/core/tightening';
import type { Leaf } from '@/model/book/leaf';
import { PLAIN_SOURCE, type Source } from '@/model/book/source';
import type { BoltReading, BoltSet } from '@/model/bolt/bolt-set';
import type { FilmTrialRow, TrialPullRow } from '@/model/trial/film-trial';
import type { Engine } from '@/model/engine/engine';
import type { Joint } from '@/model/joint/joint';
import type { Wrench } from '@/model/shelf/wrench';
import type { Shop } from '@/db/shop';

import { loadOrder, type YardOrder } from './load-order';
import { loadFit, loadSheets, loadShims, type YardFit, type YardSheets, type YardShim } from './load-fits';

/** Times of the yard are minutes before it is loaded, so that it is always this morning there. */
export interface YardTightening {
  readonly purpose: Purpose;
  readonly startedMinutesAgo: number;
  readonly minutesPerStep: number;
  /** How many steps were done; all of them where it is left out. */
  readonly steps?: number;
  /** Steps that did not go plainly. */
  readonly outcomes?: Readonly<Record<number, PullOutcome>>;
  /** Of a retorque: after which run, and how far each nut moved, place by place. */
  readonly cycleId?: string;
  readonly turned_deg?: readonly number[];
  /** Steps that were struck and done again. */
  readonly struckSteps?: readonly number[];
}

export interface YardJoint extends Omit<
  Joint,
  'version' | 'engineId' | 'bearingOuter_mm' | 'bearingInner_mm' | 'bearingMeasured' | 'detail' | 'createdAt'
> {
  readonly detail?: Partial<JointDetail>;
  readonly boltSets?: readonly YardBoltSet[];
  readonly face_mm?: readonly [outer: number, inner: number];
  readonly tightenings: readonly YardTightening[];
}

/** Readings of one bolt, as typed in inches or mm: free, tight at a torque, released. */
export interface YardBoltSet extends Omit<BoltSet, 'jointId' | 'createdAt'> {
  readonly readings: readonly (Omit<BoltReading, 'id' | 'setId' | 'at'> & { readonly minutesAgo: number })[];
}

export interface YardTrial extends Omit<FilmTrialRow, 'createdAt'> {
  readonly pulls: readonly Omit<TrialPullRow, 'id' | 'trialId' | 'at'>[];
}

export interface YardLeaf extends Pick<Leaf, 'id' | 'page' | 'subject' | 'printedText' | 'conditionText'> {
  readonly kind?: 'stretch' | 'clearance' | 'end-float' | 'order' | 'note';
  readonly readingIndex?: number;
  readonly replacesId?: string;
}

export interface YardCycle {
  readonly id: string;
  readonly ranFromMinutesAgo: number;
  readonly ranToMinutesAgo: number;
  readonly highest_C: number;
  readonly ambient_C: number;
  readonly seen?: HeatCycle['seen'];
  readonly readings: readonly {
    readonly id: string;
    readonly minutesAgo: number;
    readonly head_C: number;
    readonly ambient_C: number;
  }[];
}

export interface YardEngine extends Omit<Engine, 'createdAt' | 'practice' | 'version'> {
  readonly sources: readonly (Pick<Source, 'id' | 'title' | 'edition' | 'year'> &
    Partial<Source> & { readonly leaves: readonly YardLeaf[] })[];
  readonly joints: readonly YardJoint[];
  readonly cycles: readonly YardCycle[];
  readonly meters?: readonly (Pick<MeterReading, 'id' | 'reads' | 'unit'> & { readonly minutesAgo: number })[];
  readonly fits?: readonly YardFit[];
  readonly sheets?: YardSheets;
  readonly order?: YardOrder;
}

export interface YardWrench extends Omit<Wrench, 'version' | 'createdAt' | 'calibration' | 'checkedAt' | 'cameWith'> {
  readonly calibration?: Wrench['calibration'];
  readonly checkedDaysAgo?: number;
}

export interface Yard {
  readonly wrenches: readonly YardWrench[];
  readonly trials: readonly YardTrial[];
  readonly shims?: readonly YardShim[];
  readonly engines: readonly YardEngine[];
}

const MS_PER_MIN = 60_000;
const MIN_PER_DAY = 1440;

/** Deletes a shop's file with its write-ahead log. */
export function removeShopFile(file: string): void {
  for (const ending of ['', '-wal', '-shm', '-mark']) rmSync(`${file}${ending}`, { force: true });
}

type Before = (minutesAgo: number) => string;

function leafOf(engineId: string, sourceId: string, yard: YardLeaf, createdAt: string): Leaf {
  const { readingIndex = 0, replacesId = null, kind = 'torque', ...fields } = yard;
  return { ...fields, ...leafOfText({ ...fields, kind, readingIndex }), engineId, sourceId, replacesId, createdAt };
}

function loadBoltSet(shop: Shop, jointId: string, { readings, ...set }: YardBoltSet, before: Before): void {
  shop.bolts.add({ ...set, jointId, createdAt: before(20_000) });
  readings.forEach(({ minutesAgo, ...reading }, i) =>
    shop.bolts.read({ ...reading, id: `${set.id}-reading-${i}`, setId: set.id, at: before(minutesAgo) }),
  );
}

function loadTrial(shop: Shop, { pulls, ...trial }: YardTrial, before: Before): void {
  shop.trials.add({ ...trial, createdAt: before(30_000) });
  pulls.forEach((pull, i) =>
    shop.trials.pull({ ...pull, id: `${trial.id}-pull-${i}`, trialId: trial.id, at: before(29_990 - 2 * i) }),
  );
}

/** The plan of a round: of a retorque, the one that goes over what was pulled before it. */
function planOf(shop: Shop, joint: Joint, { cycleId }: YardTightening, startedAt: string): TighteningPlan {
  const inputs = jointInputs(shop, joint, Date.parse(startedAt));
  const pulled = cycleId === undefined ? undefined : shop.tightenings.ofJoint(joint.id).at(-1)?.plan;
  return cycleId === undefined || !pulled
    ? planOfJoint(inputs)
    : retorquePlan(inputs, pulled, { cycleId, guards: [], alsoAgainst: [], reason: '' });
}

function loadTightening(shop: Shop, joint: Joint, yard: YardTightening, index: number, before: Before): void {
  const id = `${joint.id}-round-${index + 1}`;
  const startedAt = before(yard.startedMinutesAgo);
  const plan = planOf(shop, joint, yard, startedAt);
  const tightening = { id, jointId: joint.id, purpose: yard.purpose, plan, startedAt };
  shop.tightenings.start(tightening);
  let minutesAgo = yard.startedMinutesAgo;
  const at = () => before((minutesAgo -= yard.minutesPerStep));
  const act = (step: number, line: string) => {
    const time = at();
    const done = plan.steps[step];
    const turned_deg = done?.kind === 'pull' ? yard.turned_deg?.[done.position] : undefined;
    const event =
      done?.kind === 'shaft'
        ? { id: line, kind: 'shaft' as const, step, at: time }
        : {
            id: line,
            kind: 'pull' as const,
            step,
            outcome: yard.outcomes?.[step] ?? ('pulled' as const),
            ...(turned_deg !== undefined && { turned_deg }),
            at: time,
          };
    shop.tightenings.record(tightening, event, time);
  };
  for (let step = 0; step < (yard.steps ?? plan.steps.length); step++) {
    if (yard.struckSteps?.includes(step)) {
      act(step, `${id}-${step}-first`);
      const time = at();
      shop.tightenings.record(
        tightening,
        { id: `${id}-${step}-strike`, kind: 'strike', strikes: `${id}-${step}-first`, at: time },
        time,
      );
    }
    act(step, `${id}-${step}`);
  }
}

function loadJoint(
  shop: Shop,
  engineId: string,
  { face_mm, tightenings, detail, boltSets = [], ...fields }: YardJoint,
  before: Before,
): void {
  const usual = usualFaceOf(fields.thread);
  const joint: Joint = {
    ...fields,
    engineId,
    bearingOuter_mm: face_mm?.[0] ?? usual.outer_mm,
    bearingInner_mm: face_mm?.[1] ?? usual.inner_mm,
    bearingMeasured: face_mm !== undefined,
    detail: completeDetail(detail ?? {}),
    version: 1,
    createdAt: before(40_000 - shop.joints.ofEngine(engineId).length),
  };
  shop.joints.add(joint);
  for (const set of boltSets) loadBoltSet(shop, joint.id, set, before);
  tightenings.forEach((tightening, i) => loadTightening(shop, joint, tightening, i, before));
}

function loadEngine(shop: Shop, yard: YardEngine, before: Before, place: number): void {
  const { sources, joints, cycles, meters = [], fits = [], sheets = {}, order, ...engine } = yard;
  shop.engines.add({ ...engine, practice: {}, version: 1, createdAt: before(60_000 - place) });
  for (const [s, { leaves, ...source }] of sources.entries()) {
    shop.book.addSource(engine.id, { ...PLAIN_SOURCE, ...source, version: 1, createdAt: before(50_000 - s) });
    leaves.forEach((leaf, i) => shop.book.addLeaf(leafOf(engine.id, source.id, leaf, before(49_000 - i))));
  }
  for (const joint of joints) loadJoint(shop, engine.id, joint, before);
  for (const fit of fits) loadFit(shop, engine.id, fit, before);
  loadSheets(shop, engine.id, sheets, before);
  if (order) loadOrder(shop, engine.id, order, before);
  for (const { minutesAgo, ...meter } of meters) {
    const at = before(minutesAgo);
    shop.heat.addMeter({ ...meter, engineId: engine.id, at }, at);
  }
  for (const { readings, ranFromMinutesAgo, ranToMinutesAgo, ...cycle } of cycles) {
    const ranTo = before(ranToMinutesAgo);
    shop.heat.addCycle({ ...cycle, engineId: engine.id, ranFrom: before(ranFromMinutesAgo), ranTo }, ranTo);
    for (const { minutesAgo, ...reading } of readings) {
      const at = before(minutesAgo);
      shop.heat.addReading({ ...reading, engineId: engine.id, cycleId: cycle.id, at }, at);
    }
  }
}

/**
 * Loads the demonstration yard through the same repositories as a user's own engines, with times counted back from
 * `nowIso`.
 */
export function loadDemonstration(shop: Shop, yard: Yard, nowIso: string): void {
  const now = Date.parse(nowIso);
  const before: Before = (minutesAgo) => new Date(now - minutesAgo * MS_PER_MIN).toISOString();
  shop.transaction(() => {
    for (const { checkedDaysAgo, calibration = [], ...wrench } of yard.wrenches) {
      const checkedAt = checkedDaysAgo === undefined ? null : before(checkedDaysAgo * MIN_PER_DAY);
      shop.wrenches.add({ ...wrench, calibration, checkedAt, cameWith: null, version: 1, createdAt: before(70_000) });
    }
    loadShims(shop, yard.shims ?? [], before);
    for (const trial of yard.trials) loadTrial(shop, trial, before);
    yard.engines.forEach((engine, place) => loadEngine(shop, engine, before, place));
  });
}
