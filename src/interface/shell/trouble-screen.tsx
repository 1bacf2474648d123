import { SHEET } from './sheet-id';
import styles from './trouble-screen.module.css';

/** Stands in for the whole shop while its file cannot be used. */
export const TroubleScreen = ({ message, nextStep }: { readonly message: string; readonly nextStep: string }) => (
  <main className={styles.screen} id={SHEET}>
    <h1>The shop file cannot be used</h1>
    <p>{message}</p>
    <p>{nextStep}</p>
    {/* Plain links: the whole page is asked for again. */}
    {/* oxlint-disable-next-line nextjs/no-html-link-for-pages */}
    <a href="/">Try again</a>
    {/* oxlint-disable-next-line nextjs/no-html-link-for-pages */}
    <a href="/copies">Copies of the shop</a>
  </main>
);
