import type { PlannedStage } from '@/core/tightening';
import { SignLine } from '@/interface/parts/sign-line';
import { kindLetter } from '@/interface/words/kind-words';
import { stageWords } from './stage-words';
import styles from './print-card.module.css';

/** Fasteners of one kind: their stages, and which places they have. */
interface KindOfCard {
  readonly stageList: readonly PlannedStage[];
  readonly unit: string;
  readonly places: readonly number[];
}

interface Props {
  /** The joint’s own first. */
  readonly kinds: readonly KindOfCard[];
  /** The places in their turn. */
  readonly turn: readonly number[];
  readonly plain: (value: number) => string;
}

/** On paper alone: a box for every fastener at every stage, in the order of the turn. */
export function PrintCard({ kinds, turn, plain }: Props) {
  const rows = kinds.flatMap(({ stageList, unit, places }, at) =>
    stageList.map((stage) => ({
      words: `${kinds.length > 1 ? `${kindLetter(at)}: ` : ''}${stageWords(stage, unit, plain)}`,
      places,
    })),
  );
  if (rows.length === 0) return null;
  return (
    <section className={styles.card} aria-hidden>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">Number</th>
            {turn.map((place, i) => (
              <th key={place} scope="col">
                {i + 1}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ words, places }, i) => (
            <tr key={i}>
              <th scope="row">{words}</th>
              {turn.map((place) => (
                <td key={place} data-none={places.includes(place) ? undefined : true}>
                  {places.includes(place) ? '' : '–'}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <SignLine />
    </section>
  );
}
