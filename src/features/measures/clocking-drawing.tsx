import type { GapMark } from '@/core/fits';
import styles from './measures.module.css';

const CENTRE = 150;
const OUTER = 104;
const STEP = 17;
const GAP_DEG = 7;

/** A point at an angle clockwise from the front, which is drawn at the top. */
const at = (deg: number, radius: number): readonly [number, number] => {
  const turn = (deg * Math.PI) / 180;
  return [CENTRE + radius * Math.sin(turn), CENTRE - radius * Math.cos(turn)];
};

interface Props {
  readonly marks: readonly GapMark[];
  readonly pin_deg?: number;
  readonly thrust_deg?: number;
}

/** The piston from above, the front at the top: each ring a circle of its own with its gap, expander ends as points. */
export function ClockingDrawing({ marks, pin_deg, thrust_deg }: Props) {
  const rings = marks.filter(({ kind }) => kind === 'gap');
  const words = marks.map(({ name, at_deg }) => `${name} at ${at_deg}°`).join(', ');
  const line = (deg: number, radius: number) => {
    const [[x1, y1], [x2, y2]] = [at(deg, -radius), at(deg, radius)];
    return <line className={styles.axis} x1={x1} y1={y1} x2={x2} y2={y2} />;
  };
  return (
    <svg className={styles.drawing} viewBox="-24 0 348 300" role="img" aria-label={`The piston from above: ${words}`}>
      <circle className={styles.crown} cx={CENTRE} cy={CENTRE} r={OUTER + 12} />
      {pin_deg !== undefined && line(pin_deg, OUTER + 12)}
      <text className={styles.label} x={CENTRE} y={14} textAnchor="middle">
        front
      </text>
      {thrust_deg !== undefined && (
        <text
          className={styles.label}
          x={at(thrust_deg, OUTER + 14)[0]}
          y={at(thrust_deg, OUTER + 30)[1]}
          textAnchor={Math.sin((thrust_deg * Math.PI) / 180) > 0.3 ? 'start' : 'middle'}
        >
          thrust
        </text>
      )}
      {rings.map(({ name, at_deg }, i) => {
        const radius = OUTER - i * STEP;
        const [from, to] = [at(at_deg - GAP_DEG / 2, radius), at(at_deg + GAP_DEG / 2, radius)];
        const edges = [at_deg - GAP_DEG / 2, at_deg + GAP_DEG / 2].map(
          (deg) => [at(deg, radius - 5), at(deg, radius + 5)] as const,
        );
        const [x, y] = at(at_deg, radius - 12);
        return (
          <g key={name}>
            <circle className={styles.ring} cx={CENTRE} cy={CENTRE} r={radius} />
            <path
              className={styles.gap}
              d={`M${from.join(' ')} A${radius} ${radius} 0 0 1 ${to.join(' ')}`}
              fill="none"
            />
            {edges.map(([[x1, y1], [x2, y2]], edge) => (
              <line key={edge} className={styles.gapEdge} x1={x1} y1={y1} x2={x2} y2={y2} />
            ))}
            <text className={styles.label} x={x} y={y + 4} textAnchor="middle">
              {i + 1}
            </text>
          </g>
        );
      })}
      {marks
        .filter(({ kind }) => kind === 'expander')
        .map(({ name, at_deg }) => {
          const [cx, cy] = at(at_deg, OUTER - rings.length * STEP);
          return <circle key={name} className={styles.expander} cx={cx} cy={cy} r={5} />;
        })}
    </svg>
  );
}
