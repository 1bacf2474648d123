import { surfaceWords } from '@/interface/words/order-words';
import type { Step } from '@/model/order/step';
import styles from './order-screen.module.css';

interface Props {
  readonly step: Step;
  readonly effects: readonly string[];
  /** The entry of the book that it is from. */
  readonly from?: string;
}

/** What is known of a step beside how it stands; what nobody said takes no room. */
export function StepFacts({ step: { detail }, effects, from = '' }: Props) {
  const { words, lies, surfaces, kit, people, putsIn, takesOut } = detail;
  const facts: readonly (readonly [name: string, what: string])[] = [
    ['How', words],
    ['From', from],
    ['How it lies', lies],
    ...surfaces.map((surface) => ['On its faces', surfaceWords(surface)] as const),
    ['Lay out', kit.join(', ')],
    ['People', people > 1 ? `${people}` : ''],
    ['Goes in', putsIn.map(({ name, inside }) => `${name}${inside ? ' (inside)' : ''}`).join(', ')],
    ['Comes out', takesOut.join(', ')],
    ['Once done', effects.join('; ')],
  ];
  const said = facts.filter(([, what]) => what !== '');
  if (said.length === 0) return null;
  return (
    <dl className={styles.facts}>
      {said.map(([name, what]) => (
        <div key={`${name} ${what}`}>
          <dt>{name}</dt>
          <dd>{what}</dd>
        </div>
      ))}
    </dl>
  );
}
