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
  const metal =
    side === 'inner'
      ? `M0 2h10v58H0zM${width} 2h-10v58h10zM10 14h${width - 20}v34H10z`
      : `M4 2h${width - 8}v12H4zM4 48h${width - 8}v12H4z`;
  const upright = side === 'inner' ? '8v46' : '6v50';
  const marks = Array.from({ length: stations }, (_, station) => `M${stationX(station)} ${upright}`);
  return (
    <svg className={styles.part} viewBox={`0 0 ${width} ${HEIGHT}`} aria-hidden preserveAspectRatio="none">
      <path className={styles.metal} d={metal} />
      <path className={styles.centre} d={`M0 ${HEIGHT / 2}H${width}`} />
      <path className={styles.station} d={marks.join('')} />
    </svg>
  );
}

/** The part from its end, with the way the instrument is held across it. */
export const AngleDrawing = ({ degrees }: { readonly degrees: number }) => (
  <svg className={styles.angle} viewBox="-12 -12 24 24" aria-hidden>
    <circle r={9} />
    <path d="M0 9V-9" transform={degrees === 0 ? undefined : `rotate(${degrees})`} />
  </svg>
);

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
