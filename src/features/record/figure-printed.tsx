import type { Ladder, Rung } from '@/core/joint';
import { formatPieces } from '@/interface/figures/format';
import { useFigures } from '@/interface/figures/preferences';
import type { TighteningPlan } from '@/model/joint/tightening-plan';
import { turnsWords } from '@/model/joint/turns-words';
import styles from './joint-record-page.module.css';
import type { FigureOfRecord } from './queries';

/** The working as a table: a line a rung, from the page to the wrench. */
export function WorkingTable({ ladder }: { readonly ladder: Pick<Ladder, 'rungs'> }) {
  const { torque, significant, decimalSign } = useFigures();
  const line = (rung: Rung) =>
    rung.working.map((one) => `${one.formula}: ${formatPieces(one.figures, decimalSign)}`).join('; ');
  return (
    <table className={styles.table}>
      <thead>
        <tr>
          <th scope="col">Rung</th>
          <th scope="col">Working</th>
          <th scope="col">Why, and from where</th>
          <th scope="col" className={styles.right}>
            Factor
          </th>
          <th scope="col" className={styles.right}>
            Figure
          </th>
        </tr>
      </thead>
      <tbody>
        {ladder.rungs.map((rung) => (
          <tr key={rung.id} data-aside={rung.override !== undefined || undefined}>
            <th scope="row">{rung.title}</th>
            <td className={styles.working}>{line(rung)}</td>
            <td>
              {rung.override && (
                <b>
                  {rung.override.value_Nm === null ? 'Taken out' : `Overruled by ${torque(rung.override.value_Nm, 4)}`}:{' '}
                  {rung.override.reason}.{' '}
                </b>
              )}
              {sentences(rung.school, rung.source, `Spread: ${rung.spread}`)}
            </td>
            <td className={styles.right}>{rung.factor === undefined ? '' : significant(rung.factor, 4)}</td>
            <td className={styles.right}>{torque(rung.value_Nm, 4)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Parts of a line as sentences, each said once and ended once. */
function sentences(...parts: readonly string[]): string {
  const said = parts.map((part) => part.trim().replace(/\.$/, '')).filter(Boolean);
  return said
    .filter((part, i) => !said.some((other, j) => j !== i && other.length > part.length && other.startsWith(part)))
    .map((part) => `${part}.`)
    .join(' ');
}

interface Props {
  readonly figure: FigureOfRecord;
  readonly count: number;
  /** Of the page, where it is known. */
  readonly language?: string;
  readonly care?: TighteningPlan['care'];
}

/** What fasteners that are alike were pulled with: page, thread, wrench, clamp load. */
export function FigureFacts({ figure, count, language, care }: Props) {
  const { plain, kilonewtons } = useFigures();
  const { leaf, ladder, turns } = figure;
  return (
    <dl className={`label-value ${styles.facts}`}>
      <div>
        <dt>Printed</dt>
        <dd className="printed" lang={language || undefined}>
          “{leaf.printedText}”
        </dd>
      </div>
      <div>
        <dt>Source</dt>
        <dd>
          {leaf.source}, p. {leaf.page}
        </dd>
      </div>
      {leaf.reason && (
        <div>
          <dt>Lower-ranked entry</dt>
          <dd>taken because: {leaf.reason}</dd>
        </div>
      )}
      <div>
        <dt>Fasteners</dt>
        <dd>
          {count} × {figure.thread}
        </dd>
      </div>
      <div>
        <dt>Wrench</dt>
        <dd>
          {care === 'hand' ? 'by hand, by feel; a wrench would be ' : ''}
          {figure.wrenchName}, set to {plain(ladder.setting.rounded)} {figure.unit}
          {turns.length > 0 && `, then turned ${turnsWords(turns)} further`}
        </dd>
      </div>
      <div>
        <dt>{turns.length > 0 ? 'Clamp load before the turn' : 'Clamp load'}</dt>
        <dd>
          {kilonewtons(ladder.band.p50_N)}; {kilonewtons(ladder.band.p5_N)} to {kilonewtons(ladder.band.p95_N)} (5th to
          95th percentile)
        </dd>
      </div>
    </dl>
  );
}
