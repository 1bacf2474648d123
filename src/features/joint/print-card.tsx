import type { PlannedStage } from '@/core/tightening';
import { SignLine } from '@/interface/parts/sign-line';
import { turnWords } from '@/model/joint/turns-words';
import styles from './print-card.module.css';

interface Props {
  readonly stageList: readonly PlannedStage[];
  readonly fasteners: number;
  readonly unit: string;
  readonly plain: (value: number) => string;
}

/** On paper alone: a box for every fastener at every stage, in the order of the turn. */
export function PrintCard({ stageList, fasteners, unit, plain }: Props) {
  if (stageList.length === 0) return null;
  return (
    <section className={styles.card} aria-hidden>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Number</th>
            {Array.from({ length: fasteners }, (_, i) => (
              <th key={i} scope="col">
                {i + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {stageList.map((stage, i) => (
            <tr key={i}>
              <th scope="row">{stage.turn ? `${turnWords(stage.turn)} further` : `${plain(stage.setting)} ${unit}`}</th>
              {Array.from({ length: fasteners }, (_, n) => (
                <td key={n} />
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <SignLine />
    </section>
  );
}
