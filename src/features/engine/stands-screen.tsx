import { Link } from '@/interface/parts/link';
import { Section, Screen } from '@/interface/parts/screen';
import key from '@/interface/parts/button.module.css';
import { COMES_FIRST, HELP_ALONE, OUTSIDE } from '@/interface/words/reach-of-tool';
import { BeingWorkedOut } from '@/interface/shell/being-worked-out';
import { AsideList } from './aside';
import type { DueFirst } from './due';
import { DueList } from './due-list';
import type { AsideEngine } from './queries';
import { StandList } from './stand-list';
import type { StandsPage } from './stands-page';
import styles from './stands-screen.module.css';

/** As many as stand above the engines. */
export const DUE_ON_STANDS = 6;

interface Props {
  readonly stands: StandsPage;
  readonly due: DueFirst;
  /** Of so many engines it is not known yet what is due. */
  readonly unknown: number;
  readonly aside: readonly AsideEngine[];
  /** What an empty shop offers beside an engine of one's own. */
  readonly demonstration: React.ReactNode;
  readonly reckoner: React.ReactNode;
  /** A first wrench, where the shelf is empty. */
  readonly shelf?: React.ReactNode;
}

/** Every stand of the shop; in an empty one, where to begin. A figure can be read at the side at any time. */
export const StandsScreen = ({ stands, due, unknown, aside, demonstration, reckoner, shelf }: Props) => (
  <div className={styles.frame}>
    <Screen
      title={stands.engines > 0 ? 'On the stands' : aside.length > 0 ? 'No engine on a stand' : 'An empty shop'}
      lead={
        stands.engines > 0
          ? undefined
          : 'Put your own engine on a stand, walk round the demonstration yard first, or just read a figure off a page.'
      }
      aside={
        <span className={styles.ways}>
          <Link href="/engines/read-in" className={key.key}>
            Read a build in
          </Link>
          <Link href="/engines/new" className={key.key} data-rank="main">
            Put an engine on a stand
          </Link>
        </span>
      }
    >
      {unknown > 0 && <BeingWorkedOut engines={unknown} />}
      {due.total > 0 && (
        <Section title="Due">
          <DueList lines={due.lines} />
          {due.total > due.lines.length && (
            <p>
              <Link href="/due">All {due.total} that are due</Link>
            </p>
          )}
        </Section>
      )}
      {stands.engines > 0 && <StandList stands={stands} />}
      <AsideList engines={aside} />
      {shelf && <Section title="First, a wrench on the shelf">{shelf}</Section>}
      <Section title="The demonstration yard">{demonstration}</Section>
      <p>
        <Link href="/copies">Copies of the shop</Link>
      </p>
      <p className="soft">
        {HELP_ALONE} {COMES_FIRST} {OUTSIDE}
      </p>
    </Screen>
    <aside className={styles.slip} aria-label="Read a figure">
      <h2 className={styles.slipTitle}>Read a figure now</h2>
      {reckoner}
    </aside>
  </div>
);
