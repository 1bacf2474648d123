import type Joi from 'joi';
import { revalidatePath } from 'next/cache';
import { DomainError } from '@/core/units';
import type { Shop } from '@/db/shop';
import { fail, ok, type Result } from '@/model/result';
import { asAct, type Tell, type Undo } from './acts';
import { nowIso, nowMs } from './clock';
import { currentShop } from './current-shop';
import { currentWho } from './current-who';
import { checkedBy, problemOf, problemOfThrown } from './problem';

/** What an action works on: the shop this browser looks at, and the hour by the server's clock. */
export interface Bench {
  readonly shop: Shop;
  readonly now: number;
  readonly nowIso: string;
  /** Initials of whoever does it; empty where nobody gave them. */
  readonly who: string;
  readonly tell: Tell;
}

type Work<Fields, T> = (fields: Fields, bench: Bench) => T;

/**
 * Validates, then works in one transaction, reads and writes together; whatever goes wrong comes back in the one
 * shape. What was told of it comes with the answer, as the way to take it back.
 */
export function runAction<Fields, T>(
  shop: Shop,
  schema: Joi.ObjectSchema<Fields>,
  input: unknown,
  work: Work<Fields, T>,
  { who = '', isLogged = true }: { readonly who?: string; readonly isLogged?: boolean } = {},
): Result<T & { readonly undo?: Undo }> {
  const checked = checkedBy(schema, input, { abortEarly: false, stripUnknown: true });
  if (checked.error) return fail(problemOf(checked.error));
  const done = (at: string, tell: Tell) => work(checked.value, { shop, now: nowMs(), nowIso: at, who, tell });
  try {
    const plainly = () => shop.inNameOf(who, () => shop.transaction(() => done(nowIso(), () => undefined)));
    return ok(isLogged ? asAct(shop, who, done) : (plainly() as T & { undo?: undefined }));
  } catch (thrown) {
    return fail(problemOfThrown(thrown));
  }
}

const onCurrentShop =
  (after: () => void, isLogged: boolean) =>
  <Fields, T>(schema: Joi.ObjectSchema<Fields>, work: Work<Fields, T>) =>
  async (input: unknown): Promise<Result<T & { readonly undo?: Undo }>> => {
    try {
      const outcome = runAction(await currentShop(), schema, input, work, { who: await currentWho(), isLogged });
      if (outcome.ok) after();
      return outcome;
    } catch (thrown) {
      return fail(problemOfThrown(thrown));
    }
  };

const drawAnew = () => revalidatePath('/', 'layout');

/** A server action that writes: checked, in one transaction, and the page is drawn anew with the answer, once. */
export const shopAction = onCurrentShop(drawAnew, true);

/** One of which no row is written down for taking back: a whole build at once, or an act of taking back itself. */
export const plainShopAction = onCurrentShop(drawAnew, false);

/** A server action that only answers a question: nothing is drawn anew. */
export const shopQuestion = onCurrentShop(() => undefined, false);

/** A question whose answer takes so long that others are served meanwhile: no transaction is held over it. */
export const longQuestion =
  <Fields, T>(schema: Joi.ObjectSchema<Fields>, work: (fields: Fields, shop: Shop) => Promise<T>) =>
  async (input: unknown): Promise<Result<T>> => {
    const checked = checkedBy(schema, input, { abortEarly: false, stripUnknown: true });
    if (checked.error) return fail(problemOf(checked.error));
    try {
      return ok(await work(checked.value, await currentShop()));
    } catch (thrown) {
      return fail(problemOfThrown(thrown));
    }
  };

/** The row of an id. @throws DomainError not-found */
export function found<Row>(
  rows: { readonly find: (id: string) => Row | undefined },
  id: string,
  what: string,
  field: string,
): Row {
  const row = rows.find(id);
  if (row === undefined) throw new DomainError('not-found', `That ${what} is no longer here.`, field);
  return row;
}

export const goneEngine = () => new DomainError('not-found', 'That engine is no longer on a stand.', 'engineId');

/** The engine of an id. @throws DomainError not-found */
export const engineOf = ({ shop }: Pick<Bench, 'shop'>, id: string) => {
  const engine = shop.engines.find(id);
  if (!engine) throw goneEngine();
  return engine;
};
