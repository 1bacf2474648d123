import { THOU_MM } from '@/core/units';
import { useFigures } from '@/interface/figures/preferences';
import { fullTime } from '@/interface/figures/times';
import { READ_WHEN } from '@/interface/words/stretch-words';
import type { MeasuredSet } from '@/model/bolt/bolt-set';
import { boltSetState } from '@/model/bolt/bolt-state';
import { STRETCH_SAID } from '@/model/bolt/open-bolts';
import { cancelledOf } from '@/model/cancelled-lines';
import styles from './joint-record-page.module.css';

const mm = (value: number) => value.toFixed(3);

/** Where each bolt of a set stands: its stretch, what it kept, and how often it was used. */
function Stands({ measured }: { readonly measured: MeasuredSet }) {
  const { significant } = useFigures();
  const { bolts } = boltSetState(measured);
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">Bolt</th>
          <th scope="col" className={styles.right}>
            Stretch, mm
          </th>
          <th scope="col" className={styles.right}>
            Longer than it came, mm
          </th>
          <th scope="col" className={styles.right}>
            Torque, N·m
          </th>
          <th scope="col" className={styles.right}>
            Uses
          </th>
          <th scope="col">Stands</th>
        </tr>
      </thead>
      <tbody>
        {bolts.map(({ bolt, verdict: { state, stretch_mm, set_mm }, tight, uses }) => (
          <tr key={bolt} className={styles.line}>
            <th scope="row">{bolt}</th>
            <td className={styles.right}>{stretch_mm === undefined ? '' : mm(stretch_mm)}</td>
            <td className={styles.right}>{set_mm === undefined ? '' : mm(set_mm)}</td>
            <td className={styles.right}>{tight?.torque_Nm ? significant(tight.torque_Nm) : ''}</td>
            <td className={styles.right}>{uses}</td>
            <td>{STRETCH_SAID[state]}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Every length as it was read, those that were taken back too. */
function Lengths({ readings }: Pick<MeasuredSet, 'readings'>) {
  const { significant } = useFigures();
  const struck = cancelledOf(readings);
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">Time</th>
          <th scope="col">Bolt</th>
          <th scope="col">What was read</th>
          <th scope="col" className={styles.right}>
            Length
          </th>
          <th scope="col" className={styles.right}>
            Torque, N·m
          </th>
        </tr>
      </thead>
      <tbody>
        {readings.map(({ id, at, who, bolt, kind, typed, torque_Nm, strikes }) => (
          <tr key={id} data-struck={struck.has(id) || undefined} className={styles.line}>
            <td className="figure">
              {fullTime(at)}
              {who && `, ${who}`}
            </td>
            <td>{bolt}</td>
            <td>{strikes === null ? READ_WHEN[kind] : `Cancelled: ${READ_WHEN[kind].toLowerCase()}`}</td>
            <td className={styles.right}>{typed}</td>
            <td className={styles.right}>{torque_Nm === null ? '' : significant(torque_Nm)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The bolts of a joint that were tightened by stretch: what was wanted, where each stands, and every length. */
export const StretchRecord = ({ bolts }: { readonly bolts: readonly MeasuredSet[] }) =>
  bolts.map((measured) => {
    const { set, readings } = measured;
    const { minStretch_mm: least, maxStretch_mm: most, ceiling_Nm, maxSet_mm } = set;
    return (
      <section key={set.id} className={styles.round}>
        <h2>By stretch: {set.name}</h2>
        <p>
          {set.aside !== undefined && <b>Set aside: {set.aside}. </b>}
          Wanted {mm(least)} to {mm(most)} mm ({(least / THOU_MM).toFixed(1)} to {(most / THOU_MM).toFixed(1)} thou), at
          no more than {Number(ceiling_Nm.toPrecision(3))} N·m; scrap where it stays {maxSet_mm} mm longer.
          {!set.bothEnds && ' An end cannot be reached: nothing was read.'}
        </p>
        {set.bothEnds && <Stands measured={measured} />}
        {readings.length > 0 && <Lengths readings={readings} />}
      </section>
    );
  });
