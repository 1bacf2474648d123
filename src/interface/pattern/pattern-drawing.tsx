import type { FastenerMark, Position } from '@/core/tightening';
import { patternBox, pennant, tickEnds, trianglePoints, WITNESS_ENDS, type Box } from './pattern-geometry';
import styles from './pattern-drawing.module.css';

interface Props {
  readonly positions: readonly Position[];
  /** Positions in the turn in which they are pulled; the number drawn is the place in the turn. */
  readonly order: readonly number[];
  readonly marks?: readonly FastenerMark[];
  /** Drawn as a line of caps: a bar across each pair. */
  readonly caps?: boolean;
  readonly next?: number;
  /** Places of which something special was noted: a pennant stands at them. */
  readonly noted?: ReadonlySet<number>;
  /** By place, a letter for its kind, where there are several. */
  readonly letters?: readonly string[];
  /** Positions whose last line is not yet on disk. */
  readonly pending?: ReadonlySet<number>;
  /** The part that is drawn; the whole if not said. */
  readonly box?: Box;
  /** The part that is drawn large beside this drawing of the whole. */
  readonly near?: Box;
  readonly label: string;
  /** The element that says in words what is drawn. */
  readonly describedBy?: string;
  /** By place, its state by name: shown where a pointer rests on it. */
  readonly states?: readonly string[];
}

const HEAD = 27;
const NONE: FastenerMark = { ticks: 0, unmoved: [], final: false, attention: false };

interface FastenerProps {
  readonly at: Position;
  readonly turn: number;
  readonly mark: FastenerMark;
  readonly next: boolean;
  readonly pending: boolean;
  readonly noted: boolean;
  readonly letter?: string;
  readonly state?: string;
}

/**
 * One fastener: open ring, a tick a pass, a small ring for a pass at which it did not move, witness mark when final,
 * triangle when it wants attention. The ring, the ticks and the number have their look from where they stand: with names
 * of their own a sheet of joints would be heavier by half.
 */
const Fastener = ({ at: [x, y], turn, mark, next, pending, noted, letter, state }: FastenerProps) => (
  <g
    transform={`translate(${x} ${y})`}
    data-next={next || undefined}
    data-pending={pending || undefined}
    data-final={mark.final || undefined}
  >
    {state && <title>{`${turn}: ${state}`}</title>}
    {next && <circle r={HEAD + 13} className={styles.halo} />}
    {mark.attention ? (
      <polygon points={trianglePoints(HEAD + 10)} className={styles.attention} />
    ) : (
      <circle r={next ? HEAD + 7 : HEAD} />
    )}
    {mark.final &&
      WITNESS_ENDS.map((side) => (
        <line
          key={side}
          x1={side * 18}
          y1={-side * 9}
          x2={side * (next ? HEAD + 24 : HEAD + 13)}
          y2={-side * 20}
          className={styles.witness}
        />
      ))}
    {Array.from({ length: mark.ticks }, (_, pass) => {
      const [x1, y1, x2, y2] = tickEnds(pass, next ? HEAD + 14 : HEAD);
      if (mark.unmoved.includes(pass))
        return <circle key={pass} cx={(x1 + x2) / 2} cy={(y1 + y2) / 2} r={5} className={styles.unmoved} />;
      return <line key={pass} x1={x1} y1={y1} x2={x2} y2={y2} />;
    })}
    {noted && <path className={styles.pennant} d={pennant(next ? HEAD + 7 : HEAD)} />}
    {letter && (
      <text className={styles.letter} x={-HEAD - (next ? 18 : 9)} y={HEAD + (next ? 31 : 17)}>
        {letter}
      </text>
    )}
    <text dy="0.36em">{turn}</text>
  </g>
);

const Caps = ({ positions }: Pick<Props, 'positions'>) =>
  positions.flatMap(([x, y], i) => {
    const other = positions[i + 1];
    if (i % 2 === 1 || !other) return [];
    return [
      <rect key={i} x={x - 38} y={y - 40} width={76} height={other[1] - y + 80} rx={14} className={styles.cap} />,
    ];
  });

/** The joint seen from above, with the turn and what has been done. */
export function PatternDrawing({
  positions,
  order,
  marks,
  next,
  pending,
  noted,
  letters,
  caps = false,
  box = patternBox(positions),
  near,
  label,
  describedBy,
  states,
}: Props) {
  return (
    <svg
      className={styles.drawing}
      viewBox={`${box.x} ${box.y} ${box.width} ${box.height}`}
      role="img"
      aria-label={label}
      aria-describedby={describedBy}
    >
      {caps && <Caps positions={positions} />}
      {positions.map((at, i) => (
        <Fastener
          key={i}
          at={at}
          turn={order.indexOf(i) + 1}
          mark={marks?.[i] ?? NONE}
          next={next === i}
          pending={pending?.has(i) ?? false}
          noted={noted?.has(i) ?? false}
          letter={letters?.[i]}
          state={states?.[i]}
        />
      ))}
      {near && <rect {...near} rx={18} className={styles.near} />}
    </svg>
  );
}
