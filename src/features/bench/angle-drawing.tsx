import type { StageTurn } from '@/core/tightening';
import { FLAT_DEG } from '@/model/joint/turns-words';
import styles from './angle-drawing.module.css';

const RADIUS = 70;
const HEXAGON = 44;

/** A point at an angle clockwise from the top. */
const at = (deg: number, radius: number): readonly [number, number] => {
  const angle = ((deg - 90) * Math.PI) / 180;
  return [radius * Math.cos(angle), radius * Math.sin(angle)];
};

const point = (deg: number, radius: number) =>
  at(deg, radius)
    .map((one) => one.toFixed(1))
    .join(' ');

const corners = Array.from({ length: 6 }, (_, i) => point(i * FLAT_DEG, HEXAGON)).join(' ');

/** An arc clockwise from one angle to another; a whole turn and more is drawn as a turn. */
function arc(from_deg: number, to_deg: number): string {
  const end = Math.min(to_deg, from_deg + 359.9);
  return `M ${point(from_deg, RADIUS)} A ${RADIUS} ${RADIUS} 0 ${end - from_deg > 180 ? 1 : 0} 1 ${point(end, RADIUS)}`;
}

/** How far a nut is turned, from its mark on: an arc with its end, and where the page gives a range, its first figure. */
export function AngleDrawing({ turn: { min_deg, max_deg } }: { readonly turn: StageTurn }) {
  return (
    <svg className={styles.angle} viewBox="-95 -95 190 190" aria-hidden>
      <polygon points={corners} className={styles.nut} />
      <line x1="0" y1={-HEXAGON + 8} x2="0" y2={-RADIUS - 16} className={styles.mark} />
      <path d={arc(0, max_deg)} className={styles.turned} />
      {[...new Set([min_deg, max_deg])].map((deg) => {
        const [x1, y1] = at(deg, RADIUS - 14);
        const [x2, y2] = at(deg, RADIUS + 14);
        return <line key={deg} x1={x1} y1={y1} x2={x2} y2={y2} className={styles.mark} />;
      })}
    </svg>
  );
}
