import { SHEET } from '@/interface/shell/sheet-id';
import { Link } from '@/interface/parts/link';
import styles from '@/interface/shell/trouble-screen.module.css';

export default function NotFound() {
  return (
    <main className={styles.screen} id={SHEET}>
      <h1>That is not in this shop</h1>
      <p>It may be in the other one: your own shop and the demonstration yard are two files.</p>
      <Link href="/">All stands</Link>
    </main>
  );
}
