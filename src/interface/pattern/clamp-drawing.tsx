import type { Position } from '@/core/tightening';
import { patternBox } from './pattern-geometry';
import styles from './clamp-drawing.module.css';

interface Props {
  readonly positions: readonly Position[];
  /** What is left in each, as a share of what it was pulled to. */
  readonly shares: readonly number[];
  /** The one that was just pulled. */
  readonly pulled?: number;
  readonly label: string;
}

const RADIUS = 38;

/** The joint from above, each fastener filled as high as what is left in it, with the per cent in figures. */
export function ClampDrawing({ positions, shares, pulled, label }: Props) {
  const box = patternBox(positions);
  return (
    <svg
      className={styles.drawing}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="img"
      aria-label={label}
    >
      {positions.map(([x, y], i) => {
        const share = Math.min(1, Math.max(0, shares[i] ?? 0));
        const level = RADIUS - 2 * RADIUS * share;
        const half = Math.sqrt(Math.max(0, RADIUS ** 2 - level ** 2));
        return (
          <g
            key={i}
            transform={`translate(${x} ${y})`}
            data-pulled={i === pulled || undefined}
            className={styles.fastener}
          >
            {share >= 1 ? (
              <circle r={RADIUS} className={styles.fill} />
            ) : (
              share > 0 && (
                <path
                  className={styles.fill}
                  d={`M ${-half} ${level} A ${RADIUS} ${RADIUS} 0 ${share > 0.5 ? 1 : 0} 0 ${half} ${level} Z`}
                />
              )
            )}
            <circle r={RADIUS} className={styles.rim} />
            <text dy="0.36em">{share === 0 ? '–' : Math.round((shares[i] ?? 0) * 100)}</text>
          </g>
        );
      })}
    </svg>
  );
}
