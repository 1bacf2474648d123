import styles from './readings.module.css';

const WIDTH = 100;
const HEIGHT = 62;
const stationX = (station: number) => (station + 0.5) * WIDTH;

/**
 * The part from the side, as wide as its stations: a journal between its webs, or a bore cut open. A line stands at
 * each station.
 */
export function PartDrawing({ side, stations }: { readonly side: 'inner' | 'outer'; readonly stations: number }) {
  const width = stations * WIDTH;
  const marks = Array.from({ length: stations }, (_, i) => i);
  return (
    <svg className={styles.part} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden preserveAspectRatio="none">
      {side === 'inner' ? (
        <>
          <path className={styles.metal} d={`M0 2 h10 v58 h-10 z M${width} 2 h-10 v58 h10 z`} />
          <rect className={styles.metal} x={10} y={14} width={width - 20} height={34} />
        </>
      ) : (
        <>
          <rect className={styles.metal} x={4} y={2} width={width - 8} height={12} />
          <rect className={styles.metal} x={4} y={48} width={width - 8} height={12} />
        </>
      )}
      <line className={styles.centre} x1={0} x2={width} y1={HEIGHT / 2} y2={HEIGHT / 2} />
      {marks.map((station) => (
        <line
          key={station}
          className={styles.station}
          x1={stationX(station)}
          x2={stationX(station)}
          y1={side === 'inner' ? 8 : 6}
          y2={side === 'inner' ? 54 : 56}
        />
      ))}
    </svg>
  );
}

/** The part from its end, with the way the instrument is held across it. */
export function AngleDrawing({ degrees }: { readonly degrees: number }) {
  const turn = (degrees * Math.PI) / 180;
  const [x, y] = [Math.sin(turn) * 9, Math.cos(turn) * 9];
  return (
    <svg className={styles.angle} viewBox="-12 -12 24 24" aria-hidden>
      <circle className={styles.round} r={9} />
      <line className={styles.station} x1={-x} y1={y} x2={x} y2={-y} />
    </svg>
  );
}

/** A stud, or the blind hole that takes it, from the side, with the length that is read. */
export const LengthDrawing = ({ side }: { readonly side: 'inner' | 'outer' }) => (
  <svg className={styles.part} viewBox="0 0 200 62" aria-hidden preserveAspectRatio="none">
    {side === 'inner' ? (
      <path className={styles.metal} d="M24 20 h142 l8 6 v10 l-8 6 h-142 z" />
    ) : (
      <path className={styles.metal} d="M24 2 h160 v58 h-160 v-18 h140 l12 -11 l-12 -11 h-140 z" />
    )}
    <line className={styles.centre} x1={10} x2={190} y1={31} y2={31} />
    <path className={styles.station} d="M24 52 v8 M24 56 h150 M174 52 v8" fill="none" />
  </svg>
);
