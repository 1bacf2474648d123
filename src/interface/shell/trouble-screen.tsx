import { troubleOf } from '@/db/trouble';
import styles from './trouble-screen.module.css';

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

/** Stands in for the whole shop while its file cannot be used. */
export const TroubleScreen = ({ message, nextStep }: { readonly message: string; readonly nextStep: string }) => (
  <main className={styles.screen}>
    <h1>The shop file cannot be used</h1>
    <p>{message}</p>
    <p>{nextStep}</p>
    {/* A plain link: the whole page is asked for again. */}
    {/* eslint-disable-next-line @next/next/no-html-link-for-pages */}
    <a href="/">Try again</a>
  </main>
);
