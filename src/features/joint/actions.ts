'use server';

import { nanoid } from 'nanoid';
import { USUAL_PROOF_SHARE } from '@/core/joint';
import { readTorqueLine } from '@/core/print';
import { threadNamed } from '@/core/thread';
import { assertShape, isSameShape } from '@/model/joint/joint-shape';
import { DomainError, atField } from '@/core/units';
import { jointInputs } from '@/db/reads/joint-inputs';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { leafOfText } from '@/model/book/leaf-of-text';
import { againstLeaf, pageGuardsOfWhole } from '@/model/book/page-guards';
import { PLAIN_SOURCE } from '@/model/book/source';
import { rankedLeaves } from '@/model/book/source-precedence';
import { engineStateOf, jointStateOf } from '@/model/engine/engine-rows';
import { usesGuards } from '@/model/joint/uses';
import { gateOfRound } from '@/model/order/gate-of-round';
import type { Joint } from '@/model/joint/joint';
import { renamedKinds } from '@/model/joint/kind-places';
import { assertThreadTold, type ThreadHints } from '@/model/joint/likely-threads';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { COLD_RULES } from '@/model/practice/house-practice';
import { assertReckoned, usualFaceOf } from '@/model/joint/joint-result';
import { planOfJoint } from '@/model/joint/round-plan';
import { designationOn, shelvesFor } from '@/model/shelf/shelves';
import { assertFresh, assertWritten, changedWords } from '@/model/stale';
import { tryCore } from '@/model/try-core';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { assertShapeMayChange } from '@/server/shape-may-change';
import { engineRowsNow } from '@/server/engine-now';
import { engineOf, found, shopAction, type Bench } from '@/server/shop-action';
import { assertGate, assertReasoned } from '@/model/joint/gate-of-start';
import { originalFilmFor, originalFilmReason } from './film-reason';
import { sayJoint } from './joint-changes';
import { keptKinds } from './kept-kinds';
import { leavesOfJoint, torqueLeaves } from '@/model/book/leaves-of-joint';
import {
  chooseLeafSchema,
  jointSchema,
  newJointSchema,
  standardSchema,
  startSchema,
  type NewJointFields,
} from './schema';
import { standardReading } from './standard-leaf';

/** Refuses a joint that cannot be reckoned, naming the field. @throws DomainError */
function assertReckonable({ shop, now }: Bench, joint: Joint): void {
  atField('thread', () => threadNamed(joint.thread));
  assertShape(joint);
  assertReckoned(jointInputs(shop, joint, now));
}

const jointNamed = (shop: Shop, id: string): Joint => found(shop.joints, id, 'joint', 'jointId');

/** Writes a joint that was read in the same act. @throws StaleWrite */
function keepJoint(bench: Bench, joint: Joint): void {
  assertReckonable(bench, joint);
  assertWritten(joint.name, bench.shop.joints.alter(joint), joint);
}

const shelvesAt = ({ shop }: Bench, engineId: string) => shelvesFor(shelvesOf(shop), engineOf({ shop }, engineId));

const threadHints = (bench: Bench, engineId: string): ThreadHints => {
  const { year } = engineOf(bench, engineId);
  return { year, others: bench.shop.joints.ofEngine(engineId).map(({ thread }) => thread) };
};

/** The stages that the page itself prints, as shares of the last. */
function stagesOnPage(printedText: string): Joint['stageScheme'] | undefined {
  const read = tryCore(() => readTorqueLine(printedText));
  return read.ok && read.result.kind === 'stages' ? read.result.shares : undefined;
}

/** A new joint with the practice of its engine. The wrench comes from the shelf. */
function newJoint(bench: Bench, given: NewJointFields, conditionText: string | null, printedText = ''): Joint {
  const shelves = shelvesAt(bench, given.engineId);
  assertThreadTold(given.thread, threadHints(bench, given.engineId));
  const fields = { ...given, thread: designationOn(shelves, given.thread) };
  const { practice } = shelves;
  const wrench = shelves.wrenches.find(({ aside }) => aside === undefined);
  if (!wrench) throw new DomainError('bad-field', 'There is no wrench on the shelf yet.', 'wrenchId');
  const face = atField('thread', () => usualFaceOf(fields.thread));
  return {
    ...fields,
    id: nanoid(10),
    bearingOuter_mm: face.outer_mm,
    bearingInner_mm: face.inner_mm,
    bearingMeasured: false,
    originalFilmReason: originalFilmReason(conditionText, fields.originalFilm, practice),
    rangeSchool: practice.range,
    stageScheme: stagesOnPage(printedText) ?? practice.passes,
    unitOfWork: practice.unitOfWork,
    wrenchId: wrench.id,
    detail: {
      ...PLAIN_DETAIL,
      wrenchByHand: false,
      confirming: practice.confirming === 'yes',
      heatCycle: practice.heatCycle,
      cold: COLD_RULES[practice.cold],
    },
    version: 1,
    createdAt: bench.nowIso,
  };
}

const placeOf = ({ engineId, id }: Joint) => ({ href: `/engines/${engineId}/joints/${id}` });

/** Makes a joint from a leaf. */
export const addJointAction = shopAction(newJointSchema, (fields, bench) => {
  const leaf = bench.shop.book.findLeaf(fields.leafId);
  if (leaf?.engineId !== fields.engineId)
    throw new DomainError('not-found', 'That entry is not in this engine’s book.', 'leafId');
  const { leafReason, ...given } = fields;
  const { engine, leaves, sources } = engineRowsNow(bench, fields.engineId);
  const { stops, governingId } = againstLeaf(engine, leaves, sources, leaf);
  if (stops.length > 0 && !leafReason)
    throw new DomainError(
      'needs-reason',
      `${stops.map(({ message }) => message).join(' ')} Take that page, or write down why this one.`,
      'leafReason',
    );
  const made = newJoint(bench, given, leaf.conditionText, leaf.printedText);
  const reasoned = stops.length > 0 ? { leafReason, overLeafId: governingId } : {};
  const joint = { ...made, detail: { ...made.detail, ...reasoned } };
  assertReckonable(bench, joint);
  bench.shop.joints.add(joint);
  bench.tell(`The joint “${joint.name}” was made`);
  return placeOf(joint);
});

const STANDARD_TITLE = 'Standard figures, where no figure is printed';

/** The source under which an engine's standard figures stand; made when the first is needed. */
function standardSource({ shop, nowIso }: Bench, engineId: string): string {
  const known = shop.book.sources(engineId).find((source) => source.title === STANDARD_TITLE);
  if (known) return known.id;
  const id = nanoid(10);
  shop.book.addSource(engineId, {
    ...PLAIN_SOURCE,
    id,
    title: STANDARD_TITLE,
    edition: '',
    year: null,
    kind: 'own',
    rank: 20,
    version: 1,
    createdAt: nowIso,
  });
  return id;
}

/** The leaf of a standard figure, in the engine's book. */
function addStandardLeaf(
  bench: Bench,
  engineId: string,
  subject: string,
  printed: ReturnType<typeof standardReading>,
): string {
  const { printedText, page } = printed;
  const id = nanoid(10);
  bench.shop.book.addLeaf({
    id,
    engineId,
    sourceId: standardSource(bench, engineId),
    page,
    subject,
    printedText,
    replacesId: null,
    createdAt: bench.nowIso,
    ...leafOfText({ kind: 'torque', printedText, conditionText: null, readingIndex: 0 }),
  });
  return id;
}

/** Makes a joint that no page mentions, from the standard figure, which is marked as such. */
export const addStandardJointAction = shopAction(standardSchema, (fields, bench) => {
  const { engineId, name, thread, film, grade, metal, engagement_mm } = fields;
  const leafId = addStandardLeaf(bench, engineId, name, standardReading(fields, shelvesAt(bench, engineId)));
  const base: NewJointFields = {
    engineId,
    leafId,
    name,
    pattern: 'ring',
    fasteners: 1,
    thread,
    originalFilm: film,
    todayFilm: film,
    orderSchool: 'star',
    turnShaft: false,
    retorqueSchool: 'none',
  };
  const made = newJoint(bench, base, null);
  const joint: Joint = {
    ...made,
    originalFilmReason: 'the standard figure is reckoned in this lubricant',
    detail: {
      ...made.detail,
      original: { ...made.detail.original, form: 'bolt', grade },
      parent: { ...made.detail.parent, metal: metal || null, engagement_mm },
      standard: { grade, fraction: USUAL_PROOF_SHARE },
    },
  };
  assertReckonable(bench, joint);
  bench.shop.joints.add(joint);
  bench.tell(`The joint “${joint.name}” was made`);
  return placeOf(joint);
});

/** Keeps a change to a joint, if it is still as it was read. What was tightened before keeps the plan it had. */
export const alterJointAction = shopAction(jointSchema, ({ id, version, change, detail }, bench) => {
  const before = jointNamed(bench.shop, id);
  const shelves = shelvesAt(bench, before.engineId);
  assertFresh(before.name, { ...before, ...before.detail }, { version, ...change, ...detail }, sayJoint(shelves));
  const leaf = bench.shop.book.findLeaf(before.leafId);
  const originalFilm = change.originalFilm ?? before.originalFilm;
  const joint: Joint = {
    ...before,
    ...change,
    // Which page was taken, and why, is said where a page is chosen.
    detail: {
      ...before.detail,
      ...detail,
      ...(detail.kinds && {
        kinds: keptKinds(before, detail.kinds, engineRowsNow(bench, before.engineId), shelves),
      }),
      leafReason: before.detail.leafReason,
      overLeafId: before.detail.overLeafId,
    },
    originalFilmReason: before.detail.standard
      ? before.originalFilmReason
      : originalFilmReason(leaf?.conditionText ?? null, originalFilm, shelves.practice),
  };
  if (!isSameShape(before, joint)) assertShapeMayChange(bench.shop, before);
  keepJoint(bench, joint);
  for (const { from, to } of renamedKinds(before.detail.kinds, joint.detail.kinds))
    bench.shop.bolts.renameKind(joint.id, from, to);
  bench.tell(changedWords(before.name, { ...before, ...before.detail }, { ...change, ...detail }, sayJoint(shelves)));
  return { joint: { ...joint, version: version + 1 } };
});

/** Takes another leaf for a joint; one that does not govern only with a written reason. */
export const chooseLeafAction = shopAction(chooseLeafSchema, ({ jointId, version, leafId, reason }, bench) => {
  const joint = jointNamed(bench.shop, jointId);
  const { engine, leaves, sources } = engineRowsNow(bench, joint.engineId);
  const { practice } = shelvesAt(bench, joint.engineId);
  assertFresh(joint.name, joint, { version, leafId });
  const ranked = rankedLeaves(leavesOfJoint(torqueLeaves(leaves), joint), sources, engine);
  const chosen = ranked.find(({ leaf }) => leaf.id === leafId);
  const governing = ranked.find(({ governs }) => governs);
  if (!chosen) throw new DomainError('not-found', 'That entry is not for this joint.', 'leafId');
  if (!chosen.governs && !reason)
    throw new DomainError('needs-reason', 'A lower-ranked entry is taken only with a reason.', 'reason');
  const originalFilm = originalFilmFor(chosen.leaf.conditionText, practice);
  keepJoint(bench, {
    ...joint,
    leafId,
    originalFilm,
    originalFilmReason: originalFilmReason(chosen.leaf.conditionText, originalFilm, practice),
    detail: {
      ...joint.detail,
      leafReason: chosen.governs ? null : reason,
      overLeafId: chosen.governs ? null : (governing?.leaf.id ?? null),
    },
  });
  bench.tell(`“${joint.name}” takes “${chosen.leaf.printedText}”`);
  return {};
});

/** Begins a going-round with the plan as it stands now, and answers with its face. */
export const startTighteningAction = shopAction(startSchema, (fields, { shop, now, nowIso }) => {
  const { jointId, version, purpose, reason } = fields;
  const joint = jointNamed(shop, jointId);
  assertWorkedWith(shop, 'joint', jointId);
  // Whoever begins has a figure before them: it has to be the one that is on disk.
  assertFresh(joint.name, joint, { version });
  const rows = engineRowsNow({ shop }, joint.engineId);
  const { gate, guards, held } = gateOfRound(engineStateOf(rows), jointId, purpose);
  assertGate(gate, purpose);
  const inputs = jointInputs(shop, joint, now);
  const used = purpose === 'final' ? usesGuards(jointStateOf(rows, joint), inputs.shelves.practice) : [];
  const alsoAgainst = [...pageGuardsOfWhole(rows.engine, rows.leaves, rows.sources, joint), ...guards, ...used];
  const plan = planOfJoint(inputs, {
    reason,
    crankHeld: held !== undefined || purpose === 'strip',
    alsoAgainst,
  });
  assertReasoned(plan.guards, reason);
  const id = nanoid(12);
  shop.tightenings.start({ id, jointId, purpose, plan, startedAt: nowIso });
  return { href: `/face/${id}` };
});
