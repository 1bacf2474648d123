import { THOU_MM } from '@/core/units';
import { useFigures } from '@/interface/figures/preferences';
import { Refusal } from '@/interface/parts/action-form';
import table from '@/interface/parts/table.module.css';
import { useAct } from '@/interface/parts/use-act';
import { strikeBoltReadingAction } from './actions';
import type { SetPage } from './queries';
import styles from './set-table.module.css';
import { STRETCH_WORDS } from './stretch-words';

/** The bolts of a set: their lengths, what they come to, and what was read last to be taken back. */
export function SetTable({ page: { set, bolts, stiffness_N_per_mm } }: { readonly page: SetPage }) {
  const { act, pending, problem } = useAct();
  const { significant } = useFigures();
  const micro = (mm: number) => `${mm < 0 ? '−' : ''}${Math.abs(mm).toFixed(3)}`;
  const thou = (mm: number) => (mm / THOU_MM).toFixed(1);
  return (
    <div className={table.frame} tabIndex={0} role="group" aria-label={`${set.name}, bolt by bolt`}>
      <table className={table.table}>
        <thead>
          <tr>
            <th scope="col">Bolt</th>
            <th scope="col" className={table.right}>
              Free
            </th>
            <th scope="col" className={table.right}>
              Stretch mm
            </th>
            <th scope="col" className={table.right}>
              thou
            </th>
            <th scope="col" className={table.right}>
              Clamp kN
            </th>
            <th scope="col" className={table.right}>
              Torque N·m
            </th>
            <th scope="col" className={table.right}>
              Set mm
            </th>
            <th scope="col" className={table.right}>
              Uses
            </th>
            <th scope="col">Stands</th>
          </tr>
        </thead>
        <tbody>
          {bolts.map(({ bolt, verdict, free, tight, uses, last }) => {
            const { sign, words, kind } = STRETCH_WORDS[verdict.state];
            const { stretch_mm, set_mm } = verdict;
            return (
              <tr key={bolt} data-kind={kind} data-state={verdict.state}>
                <th scope="row">
                  {bolt}
                  <span className={styles.sign} data-kind={kind} aria-hidden>
                    {sign}
                  </span>
                </th>
                <td className={table.right}>{free ? free.typed : ''}</td>
                <td className={table.right}>{stretch_mm === undefined ? '' : micro(stretch_mm)}</td>
                <td className={table.right}>{stretch_mm === undefined ? '' : thou(stretch_mm)}</td>
                <td className={table.right}>
                  {stretch_mm === undefined || stretch_mm <= 0
                    ? ''
                    : significant((stretch_mm * stiffness_N_per_mm) / 1000)}
                </td>
                <td className={table.right}>
                  {tight?.torque_Nm === null || tight?.torque_Nm === undefined ? '' : significant(tight.torque_Nm)}
                </td>
                <td className={table.right}>{set_mm === undefined ? '' : micro(set_mm)}</td>
                <td className={table.right}>{uses}</td>
                <td className={styles.state} data-kind={kind}>
                  <span aria-hidden>{sign}</span> {words}{' '}
                  {last && (
                    <button
                      type="button"
                      className="text-button"
                      aria-disabled={pending || undefined}
                      onClick={() => act(() => strikeBoltReadingAction({ setId: set.id, readingId: last.id }))}
                    >
                      Undo last
                      <span className="only-spoken">
                        {' '}
                        of bolt {bolt}, {last.typed}
                      </span>
                    </button>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <Refusal problem={problem} />
    </div>
  );
}
