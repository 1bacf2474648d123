import { troubleOf } from '@/db/trouble';

type Found<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly message: string; readonly nextStep: string };

/** Runs a query; trouble with the shop's file becomes a sentence and a next step instead of a broken page. */
export async function troubleIn<T>(query: () => Promise<T>): Promise<Found<T>> {
  try {
    return { ok: true, value: await query() };
  } catch (error) {
    const trouble = troubleOf(error, 'the shop file');
    if (!trouble) throw error;
    return { ok: false, message: trouble.message, nextStep: trouble.nextStep };
  }
}
