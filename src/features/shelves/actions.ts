'use server';

import { nanoid } from 'nanoid';
import { revalidatePath } from 'next/cache';
import { DomainError, atField } from '@/core/units';
import { wrenchSetting } from '@/core/wrench';
import { jointsReferringTo } from '@/db/reads/joints-affected';
import { SHELF_SCHEMAS } from '@/model/shelf/shelf-schemas';
import { BUILT_IN } from '@/model/shelf/shelves';
import { keepShopPractice, shopPractice } from '@/db/reads/shelves-of-shop';
import { nowIso } from '@/server/clock';
import { currentShop } from '@/server/current-shop';
import { runAction } from '@/server/run-action';
import { pointsOf, wrenchSchema } from './schema';
import { keepRowSchema, practiceSchema, removeRowSchema } from './shelf-schema';

/** Hangs a wrench on the shelf, or changes what is known of one. What was tightened keeps the wrench as it was. */
export async function keepWrenchAction(input: unknown) {
  return runAction(wrenchSchema, input, async ({ id: known, calibration, checkedAt, ...fields }) => {
    const shop = await currentShop();
    const before = known === '' ? undefined : shop.wrenches.find(known);
    if (known !== '' && !before) throw new DomainError('not-found', 'That wrench is no longer on the shelf.', 'id');
    const points = pointsOf(calibration) ?? [];
    const wrench = {
      ...fields,
      calibration: points,
      checkedAt: checkedAt === null ? null : new Date(checkedAt).toISOString(),
      id: before?.id ?? nanoid(10),
      createdAt: before?.createdAt ?? nowIso(),
    };
    atField('calibration', () => wrenchSetting(1, { ...wrench, calibration: points }));
    if (before) shop.wrenches.alter(wrench);
    else shop.wrenches.add(wrench);
    revalidatePath('/', 'layout');
    return { id: wrench.id };
  });
}

/** Puts a row on a shelf, over the shipped one of the same id if there is one. The shipped row itself is never changed. */
export async function keepShelfRowAction(input: unknown) {
  return runAction(keepRowSchema, input, async ({ kind, row }) => {
    const checked = SHELF_SCHEMAS[kind].validate(
      { ...row, id: row.id || nanoid(8) },
      { abortEarly: false, stripUnknown: true },
    );
    if (checked.error)
      throw new DomainError(
        'bad-field',
        `${checked.error.details[0]?.message.replace(/"/g, '') ?? 'The row cannot be kept'}`.replace(/\.?$/, '.'),
      );
    const shop = await currentShop();
    shop.shelf.put(kind, checked.value as never, nowIso());
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Takes an own row off a shelf; one that a joint draws on and that nothing shipped stands under has to stay. */
export async function removeShelfRowAction(input: unknown) {
  return runAction(removeRowSchema, input, async ({ kind, id }) => {
    const shop = await currentShop();
    const shipped = BUILT_IN[kind].some((row) => row.id === id);
    const using = shipped ? [] : jointsReferringTo(shop, id);
    if (using.length > 0)
      throw new DomainError(
        'in-use',
        `It stays: ${using.join(', ')} ${using.length === 1 ? 'draws' : 'draw'} on it.`,
        'id',
      );
    shop.shelf.remove(kind, id);
    revalidatePath('/', 'layout');
    return {};
  });
}

/** Keeps the shop's practice, or where an engine differs from it. */
export async function keepPracticeAction(input: unknown) {
  return runAction(practiceSchema, input, async ({ engineId, practice }) => {
    const shop = await currentShop();
    if (engineId === null) keepShopPractice(shop, { ...shopPractice(shop), ...practice });
    else if (shop.engines.find(engineId)) shop.engines.practise(engineId, practice);
    else throw new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');
    revalidatePath('/', 'layout');
    return {};
  });
}
