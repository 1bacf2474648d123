'use server';

import Joi from 'joi';
import { nanoid } from 'nanoid';
import { DomainError, type Checked } from '@/core/units';
import { jointForSister } from '@/model/joint/joint-for-sister';
import { assertWorkedWith } from '@/server/assert-worked-with';
import { found, shopAction } from '@/server/shop-action';
import { jointName } from './schema';

const copySchema = Joi.object<Checked<{ readonly jointId: string; readonly name: string }>, true>({
  jointId: Joi.string().max(60).required(),
  name: jointName,
});

/**
 * Another one like it in the same engine: a second head, the other bank. What the designer gave it goes along; what was
 * found, measured or pulled of these very fasteners is not known of those.
 */
export const copyJointAction = shopAction(copySchema, ({ jointId, name }, bench) => {
  const { shop, nowIso } = bench;
  const joint = found(shop.joints, jointId, 'joint', 'jointId');
  assertWorkedWith(shop, 'joint', jointId);
  if (shop.joints.ofEngine(joint.engineId).some((one) => one.name === name))
    throw new DomainError(
      'name-taken',
      `There is a joint “${name}” in this engine already. Give it another name.`,
      'name',
    );
  const leafIds = new Map(shop.book.leaves(joint.engineId).map(({ id }) => [id, id]));
  const copy = jointForSister(joint, { id: nanoid(10), engineId: joint.engineId, createdAt: nowIso, leafIds });
  if (!copy) throw new DomainError('not-found', 'An entry that it goes by is not in the book any more.', 'jointId');
  shop.joints.add({ ...copy, name });
  bench.tell(`The joint “${name}” was made as “${joint.name}” is`);
  return { href: `/engines/${copy.engineId}/joints/${copy.id}` };
});
