import { kindLetter } from '@/interface/words/kind-words';
import type { Joint } from '@/model/joint/joint';
import { ownPlaces } from '@/model/joint/kind-places';
import styles from './kind-switch.module.css';

interface Props {
  readonly joint: Joint;
  readonly shown: number | undefined;
  readonly onShow: (kind: number | undefined) => void;
}

/** Whose figure the sheet shows: the joint's own fasteners, or one of its kinds. */
export function KindSwitch({ joint, shown, onShow }: Props) {
  const { kinds } = joint.detail;
  if (kinds.length === 0) return null;
  const all = [
    { name: 'the joint’s own', count: ownPlaces(joint).length, at: undefined },
    ...kinds.map(({ name, places }, at) => ({ name, count: places.length, at })),
  ];
  return (
    <div className={styles.kinds} role="group" aria-label="Whose figure is shown">
      {all.map(({ name, count, at }, i) => (
        <button key={name} type="button" className={styles.kind} aria-pressed={shown === at} onClick={() => onShow(at)}>
          <b>{kindLetter(i)}</b> {count} × {name}
        </button>
      ))}
    </div>
  );
}
