'use server';

import type { ChosenPurpose } from '@/model/joint/tightening';
import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { USUAL_PROOF_SHARE } from '@/core/joint';
import { threadNamed } from '@/core/thread';
import { patternPositions } from '@/core/tightening';
import { DomainError, atField } from '@/core/units';
import { rankedLeaves } from '@/model/book/source-precedence';
import { PLAIN_DETAIL } from '@/model/joint/joint-detail';
import { jointInputs } from '@/db/reads/joint-inputs';
import { planOfJoint, usualFaceOf, computeJoint } from '@/model/joint/joint-result';
import { fitsOfEngine } from '@/db/reads/fits-of-engine';
import { type Gate, gateOf, guardsOfGate } from '@/model/fit/fit-gate';
import { leafOfText } from '@/model/book/leaf-of-text';
import { PLAIN_SOURCE } from '@/model/book/source';
import type { Engine } from '@/model/engine/engine';
import type { Joint } from '@/model/joint/joint';
import { designationOn } from '@/model/shelf/shelves';
import { shelvesOf } from '@/db/reads/shelves-of-shop';
import type { Shop } from '@/db/shop';
import { nowIso, nowMs } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { originalFilmFor, originalFilmReason } from './film-reason';
import {
  chooseLeafSchema,
  jointSchema,
  newJointSchema,
  standardSchema,
  startSchema,
  type NewJointFields,
} from './schema';
import { standardReading } from './standard-leaf';
import { leavesOfJoint } from './queries';

/** Refuses a joint that cannot be reckoned, naming the field. @throws DomainError */
function assertReckonable(shop: Shop, joint: Joint): void {
  atField('thread', () => threadNamed(joint.thread));
  atField('fasteners', () => patternPositions(joint.pattern, joint.fasteners));
  computeJoint(jointInputs(shop, joint, nowMs()));
}

const jointNamed = (shop: Shop, id: string): Joint => {
  const joint = shop.joints.find(id);
  if (!joint) throw new DomainError('not-found', 'That joint is no longer here.', 'jointId');
  return joint;
};

const engineNamed = (shop: Shop, id: string): Engine => {
  const engine = shop.engines.find(id);
  if (!engine) throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
  return engine;
};

/** A new joint with the practice of its engine. The wrench comes from the shelf. */
function newJoint(shop: Shop, given: NewJointFields, conditionText: string | null): Joint {
  const shelves = shelvesOf(shop, engineNamed(shop, given.engineId));
  const fields = { ...given, thread: designationOn(shelves, given.thread) };
  const { practice } = shelves;
  const wrench = shelves.wrenches[0];
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
    stageScheme: practice.passes,
    unitOfWork: practice.unitOfWork,
    wrenchId: wrench.id,
    detail: { ...PLAIN_DETAIL, wrenchByHand: false, confirming: practice.confirming === 'yes' },
    createdAt: nowIso(),
  };
}

/** Makes a joint from a leaf. */
export async function addJointAction(input: unknown) {
  return runAction(newJointSchema, input, async (fields) => {
    const shop = await currentShop();
    const leaf = shop.book.findLeaf(fields.leafId);
    if (leaf?.engineId !== fields.engineId)
      throw new DomainError('not-found', 'That leaf is not in this engine’s book.', 'leafId');
    const joint = newJoint(shop, fields, leaf.conditionText);
    assertReckonable(shop, joint);
    shop.joints.add(joint);
    revalidatePath('/', 'layout');
    return { href: `/engines/${joint.engineId}/joints/${joint.id}` };
  });
}

const STANDARD_TITLE = 'Standard figures, where no page speaks';

/** The source under which an engine's standard figures stand; made when the first is needed. */
function standardSource(shop: Shop, engineId: string): string {
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
    createdAt: nowIso(),
  });
  return id;
}

/** Makes a joint that no page mentions, from the standard figure, which is marked as such. */
export async function addStandardJointAction(input: unknown) {
  return runAction(standardSchema, input, async (fields) => {
    const shop = await currentShop();
    const shelves = shelvesOf(shop, engineNamed(shop, fields.engineId));
    const { printedText, page } = standardReading(fields, shelves);
    const conditionText = null;
    return shop.transaction(() => {
      const leafId = nanoid(10);
      shop.book.addLeaf({
        id: leafId,
        engineId: fields.engineId,
        sourceId: standardSource(shop, fields.engineId),
        page,
        subject: fields.name,
        printedText,
        replacesId: null,
        createdAt: nowIso(),
        ...leafOfText({ kind: 'torque', printedText, conditionText, readingIndex: 0 }),
      });
      const base: NewJointFields = {
        engineId: fields.engineId,
        leafId,
        name: fields.name,
        pattern: 'ring',
        fasteners: 1,
        thread: fields.thread,
        originalFilm: fields.film,
        todayFilm: fields.film,
        orderSchool: 'star',
        turnShaft: false,
        retorqueSchool: 'none',
      };
      const made = newJoint(shop, base, conditionText);
      const joint: Joint = {
        ...made,
        originalFilmReason: 'the standard figure is reckoned in this film',
        detail: {
          ...made.detail,
          original: { ...made.detail.original, form: 'bolt', grade: fields.grade },
          parent: { ...made.detail.parent, metal: fields.metal || null, engagement_mm: fields.engagement_mm },
          standard: { grade: fields.grade, fraction: USUAL_PROOF_SHARE },
        },
      };
      assertReckonable(shop, joint);
      shop.joints.add(joint);
      revalidatePath('/', 'layout');
      return { href: `/engines/${joint.engineId}/joints/${joint.id}` };
    });
  });
}

/** Keeps a change to a joint. What was tightened before keeps the plan it had. */
export async function alterJointAction(input: unknown) {
  return runAction(jointSchema, input, async (fields) => {
    const shop = await currentShop();
    const before = jointNamed(shop, fields.id);
    const leaf = shop.book.findLeaf(before.leafId);
    const joint: Joint = {
      ...fields,
      engineId: before.engineId,
      leafId: before.leafId,
      detail: { ...fields.detail, leafReason: before.detail.leafReason },
      originalFilmReason: before.detail.standard
        ? before.originalFilmReason
        : originalFilmReason(
            leaf?.conditionText ?? null,
            fields.originalFilm,
            shelvesOf(shop, engineNamed(shop, before.engineId)).practice,
          ),
      createdAt: before.createdAt,
    };
    assertReckonable(shop, joint);
    shop.joints.alter(joint);
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Takes another leaf for a joint; one that does not govern only with a written reason. */
export async function chooseLeafAction(input: unknown) {
  return runAction(chooseLeafSchema, input, async ({ jointId, leafId, reason }) => {
    const shop = await currentShop();
    const joint = jointNamed(shop, jointId);
    const engine = engineNamed(shop, joint.engineId);
    const speaking = rankedLeaves(leavesOfJoint(shop, joint), shop.book.sources(joint.engineId), engine);
    const chosen = speaking.find(({ leaf }) => leaf.id === leafId);
    if (!chosen) throw new DomainError('not-found', 'That leaf does not speak of this joint.', 'leafId');
    if (!chosen.governs && !reason)
      throw new DomainError('needs-reason', 'A lower-ranked leaf is taken only with a reason.', 'reason');
    const { practice } = shelvesOf(shop, engine);
    const originalFilm = originalFilmFor(chosen.leaf.conditionText, practice);
    const next: Joint = {
      ...joint,
      leafId,
      originalFilm,
      originalFilmReason: originalFilmReason(chosen.leaf.conditionText, originalFilm, practice),
      detail: { ...joint.detail, leafReason: chosen.governs ? null : reason },
    };
    assertReckonable(shop, next);
    shop.joints.alter(next);
    revalidatePath('/', 'layout');
    return {};
  });
}

/** What is out is not closed up for good, and nothing is while a strip lies in a bearing. A trial may go on. @throws DomainError */
function assertGate({ held, strips }: Gate, purpose: ChosenPurpose): void {
  if (purpose === 'trial') return;
  const out = held.map(({ line }) => line).join('; ');
  if (out)
    throw new DomainError(
      'fit-out',
      `${out}. Put it right and read it again; until then only a trial goes round.`,
      'purpose',
    );
  if (strips.length > 0)
    throw new DomainError(
      'strip-in',
      `A strip lies in ${strips.join(', ')}: until it is out only a trial goes round, without turning the shaft.`,
      'purpose',
    );
}

/** Begins a going-round with the plan as it stands now, and answers with its face. */
export async function startTighteningAction(input: unknown) {
  return runAction(startSchema, input, async ({ jointId, purpose, reason }) => {
    const shop = await currentShop();
    const joint = jointNamed(shop, jointId);
    const gate = gateOf(fitsOfEngine(shop, joint.engineId), joint.id);
    assertGate(gate, purpose);
    const alsoAgainst = purpose === 'final' ? guardsOfGate(gate) : [];
    const plan = planOfJoint(jointInputs(shop, joint, nowMs()), {
      reason,
      crankHeld: gate.strips.length > 0,
      alsoAgainst,
    });
    const stops = (plan.guards ?? []).filter((guard) => guard.severity === 'stop');
    const offScale = stops.find((guard) => guard.code === 'off-scale');
    if (offScale) throw new DomainError('off-scale', offScale.message, 'wrenchId');
    if (stops.length > 0 && !reason)
      throw new DomainError(
        'needs-reason',
        `This stands against it: ${stops.map((guard) => guard.message).join(' ')} Write down why it is pulled all the same.`,
        'reason',
      );
    const id = nanoid(12);
    shop.tightenings.start({ id, jointId, purpose, plan, startedAt: nowIso() });
    revalidatePath('/', 'layout');
    return { href: `/face/${id}` };
  });
}
