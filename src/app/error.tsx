'use client';

import { SHEET } from '@/interface/shell/sheet-id';
import { Button } from '@/interface/parts/button';
import styles from '@/interface/shell/trouble-screen.module.css';

export default function ErrorScreen({ reset }: { readonly reset: () => void }) {
  return (
    <main className={styles.screen} id={SHEET}>
      <h1>Something failed that was not foreseen</h1>
      <p>What was recorded before is safe. Try again; the server’s window says more.</p>
      <Button onClick={reset}>Try again</Button>
    </main>
  );
}
