'use server';

import { existsSync } from 'node:fs';
import { join } from 'node:path';
import Joi from 'joi';
import { revalidatePath } from 'next/cache';
import { putInPlace, type TableCount } from '@/db/copies';
import { fail, ok, type Result } from '@/model/result';
import { copiesFolder, isCopyName, makeCopy } from '@/server/copies';
import { closeShop, shopNamed } from '@/server/current-shop';
import { checkedBy, problemOf, problemOfThrown } from '@/server/problem';
import { shopFile } from '@/server/shop-file';

const nameSchema = Joi.object<{ name: string }, true>({ name: Joi.string().max(80).required() });

const rowsOf = (counts: readonly TableCount[]) => counts.reduce((all, { rows }) => all + rows, 0);

/** Copies the person's own shop now. */
export async function makeCopyAction(): Promise<Result<{ readonly rows: number }>> {
  try {
    const { counts } = await makeCopy(shopNamed('own'), 'by-hand');
    revalidatePath('/copies');
    return ok({ rows: rowsOf(counts) });
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

/** Puts a copy in the place of the person's own shop; what was there is kept aside. */
export async function putInPlaceAction(
  input: unknown,
): Promise<Result<{ readonly rows: number; readonly aside?: string }>> {
  const checked = checkedBy(nameSchema, input);
  if (checked.error) return Promise.resolve(fail(problemOf(checked.error)));
  const { name } = checked.value;
  const copy = join(/* turbopackIgnore: true */ copiesFolder(), name);
  if (!isCopyName(name) || !existsSync(copy))
    return Promise.resolve(fail({ code: 'not-found', message: 'That copy is no longer there.', field: 'name' }));
  try {
    closeShop('own');
    const { counts, aside } = putInPlace(copy, shopFile('own'));
    revalidatePath('/', 'layout');
    return Promise.resolve(ok({ rows: rowsOf(counts), ...(aside !== undefined && { aside }) }));
  } catch (thrown) {
    return Promise.resolve(fail(problemOfThrown(thrown)));
  }
}
