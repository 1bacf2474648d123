'use client';

import type { FitState } from '@/model/fit/place-state';
import { useLengths } from '@/interface/figures/preferences';
import styles from './runout.module.css';

const SIZE = 190;
const CENTRE = SIZE / 2;
const ROUND = 62;
const OFF = 14;

/**
 * A round part turning about an axis that is not its own: the dial shows the full reading, the axis lies off by half
 * of it.
 */
export function RunoutDrawing({ judged }: { readonly judged: FitState }) {
  const { gap } = useLengths();
  const figure = judged.places.flatMap(({ result }) => result.figures)[0];
  const full = figure && (judged.fit.wanted.as === 'eccentricity' ? figure.greatest_mm * 2 : figure.greatest_mm);
  const words = full === undefined ? '' : `Full indicator reading ${gap(full)}, eccentricity ${gap(full / 2)}`;
  return (
    <figure className={styles.figure}>
      <svg
        className={styles.drawing}
        viewBox={`0 0 420 ${SIZE}`}
        role="img"
        aria-label={words || 'Full indicator reading and eccentricity'}
      >
        <circle className={styles.path} cx={CENTRE} cy={CENTRE} r={ROUND + OFF} />
        <circle className={styles.path} cx={CENTRE} cy={CENTRE} r={ROUND - OFF} />
        <circle className={styles.part} cx={CENTRE + OFF} cy={CENTRE} r={ROUND} />
        <path className={styles.cross} d={`M${CENTRE - 7} ${CENTRE} h14 M${CENTRE} ${CENTRE - 7} v14`} />
        <circle className={styles.own} cx={CENTRE + OFF} cy={CENTRE} r={3} />
        <path className={styles.measure} d={`M${CENTRE} ${CENTRE + 18} h${OFF}`} />
        <path className={styles.leader} d={`M${CENTRE + OFF} ${CENTRE + 18} H214 V${SIZE - 48}`} />
        <path className={styles.measure} d={`M${CENTRE + ROUND - OFF} ${CENTRE - 40} h${OFF * 2}`} />
        <path className={styles.leader} d={`M${CENTRE + ROUND + OFF} ${CENTRE - 40} H214`} />
        <text className={styles.label} x={220} y={CENTRE - 44}>
          Full indicator reading
        </text>
        <text className={styles.value} x={220} y={CENTRE - 20}>
          {full === undefined ? 'highest − lowest' : gap(full)}
        </text>
        <text className={styles.label} x={220} y={SIZE - 44}>
          Eccentricity, half of it
        </text>
        <text className={styles.value} x={220} y={SIZE - 20}>
          {full === undefined ? 'how far the axis lies off' : gap(full / 2)}
        </text>
      </svg>
      <figcaption className="soft">
        The dial shows the full reading. A limit printed for the one must not be taken for the other.
      </figcaption>
    </figure>
  );
}
