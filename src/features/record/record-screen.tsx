import { Link } from '@/interface/parts/link';
import key from '@/interface/parts/button.module.css';
import { Section, Notice, Screen } from '@/interface/parts/screen';
import styles from './record-screen.module.css';

interface Props {
  readonly engineId: string;
  readonly joints: readonly { readonly id: string; readonly name: string; readonly line: string }[];
  /** How much of the order is done; undefined where it has none. */
  readonly order?: string;
  /** How many fits are proven; undefined where nothing is measured. */
  readonly fits?: string;
}

/** The record: each joint as a page to print and as a file, and the way back in. */
export const RecordScreen = ({ engineId, joints, fits, order }: Props) => (
  <Screen
    plain
    title="Record"
    lead="Who set what, to what, with which wrench, in which lubricant, from which page."
    aside={
      <a className={key.key} href={`/api/engines/${engineId}/build`} download>
        The whole build as JSON
      </a>
    }
  >
    <ul>
      {joints.map((joint) => (
        <li key={joint.id} className={styles.joint}>
          <Link href={`/engines/${engineId}/record/${joint.id}`} className={styles.name}>
            {joint.name}
          </Link>
          <span>{joint.line}</span>
          <a href={`/api/engines/${engineId}/build?joint=${joint.id}`} download>
            JSON<span className="only-spoken"> of {joint.name}</span>
          </a>
        </li>
      ))}
    </ul>
    {fits !== undefined && (
      <p className={styles.joint}>
        <Link href={`/engines/${engineId}/record/fits`} className={styles.name}>
          Fits, weights and volumes
        </Link>
        <span>{fits}</span>
        <a href={`/api/engines/${engineId}/fits`} download>
          CSV<span className="only-spoken"> of the readings</span>
        </a>
      </p>
    )}
    {order !== undefined && (
      <p className={styles.joint}>
        <Link href={`/engines/${engineId}/record/order`} className={styles.name}>
          The order of the build
        </Link>
        <span>{order}</span>
        <a href={`/api/engines/${engineId}/tray`} download>
          CSV<span className="only-spoken"> of the tray</span>
        </a>
      </p>
    )}
    {joints.length === 0 && <Notice kind="plain">Nothing to record yet.</Notice>}
    <Section title="Read back in">
      <p className="soft">
        A build file holds an engine, or one joint of it, with its leaves, plans, pulls, fits and heat. If the engine
        already stands here, a copy is put beside it.
      </p>
      <p>
        <Link href="/engines/read-in" className={key.key}>
          Look at a build file
        </Link>
      </p>
    </Section>
  </Screen>
);
