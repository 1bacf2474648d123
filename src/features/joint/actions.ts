'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { patternPositions } from '@/core/tightening';
import { threadNamed } from '@/core/thread';
import { DomainError, atField } from '@/core/units';
import { settingOf } from '@/db/joint-setting';
import { ladderOfJoint, planOfJoint, usualFaceOf } from '@/db/joint-working';
import type { Joint } from '@/db/repositories/joint-repository';
import type { Shop } from '@/db/shop';
import { nowIso } from '@/interface/server/clock';
import { currentShop } from '@/interface/server/current-shop';
import { attempt } from '@/interface/server/outcome';
import { originalFilmReason } from './film-reason';
import { jointSchema, newJointSchema, startSchema } from './schema';

/** Refuses a joint that cannot be reckoned, naming the field. @throws DomainError */
function assertReckonable(shop: Shop, joint: Joint): void {
  atField('thread', () => threadNamed(joint.thread));
  atField('fasteners', () => patternPositions(joint.pattern, joint.fasteners));
  ladderOfJoint(settingOf(shop, joint));
}

/** Makes a joint from a leaf. */
export async function addJointAction(input: unknown) {
  return attempt(newJointSchema, input, async (fields) => {
    const shop = await currentShop();
    const leaf = shop.book.findLeaf(fields.leafId);
    if (leaf?.engineId !== fields.engineId) throw new DomainError('not-found', 'That leaf is not in this engine’s book.', 'leafId');
    const face = atField('thread', () => usualFaceOf(fields.thread));
    const joint: Joint = {
      ...fields,
      id: nanoid(10),
      bearingOuterMm: face.outer_mm,
      bearingInnerMm: face.inner_mm,
      bearingMeasured: false,
      originalFilmReason: originalFilmReason(leaf.conditionText, fields.originalFilm),
      createdAt: nowIso(),
    };
    assertReckonable(shop, joint);
    shop.joints.add(joint);
    revalidatePath('/', 'layout');
    return { href: `/engines/${joint.engineId}/joints/${joint.id}` };
  });
}

/** Keeps a change to a joint. What was tightened before keeps the plan it had. */
export async function alterJointAction(input: unknown) {
  return attempt(jointSchema, input, async (fields) => {
    const shop = await currentShop();
    const before = shop.joints.find(fields.id);
    if (!before) throw new DomainError('not-found', 'That joint is no longer here.', 'id');
    const leaf = shop.book.findLeaf(before.leafId);
    const joint: Joint = {
      ...fields,
      engineId: before.engineId,
      leafId: before.leafId,
      originalFilmReason: originalFilmReason(leaf?.conditionText ?? null, fields.originalFilm),
      createdAt: before.createdAt,
    };
    assertReckonable(shop, joint);
    shop.joints.alter(joint);
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Begins a going-round with the plan as it stands now, and answers with its face. */
export async function startTighteningAction(input: unknown) {
  return attempt(startSchema, input, async ({ jointId, purpose }) => {
    const shop = await currentShop();
    const joint = shop.joints.find(jointId);
    if (!joint) throw new DomainError('not-found', 'That joint is no longer here.', 'jointId');
    const plan = planOfJoint(settingOf(shop, joint));
    if (!plan.ladder.setting.onScale)
      throw new DomainError(
        'off-scale',
        plan.ladder.notes.find((note) => note.code === 'off-scale')?.message ?? 'The figure is off the wrench’s scale.',
        'wrenchId',
      );
    const id = nanoid(12);
    shop.tightenings.start({ id, jointId, purpose, plan, startedAt: nowIso() });
    revalidatePath('/', 'layout');
    return { href: `/face/${id}` };
  });
}
