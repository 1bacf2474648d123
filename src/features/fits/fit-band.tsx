'use client';

import type { PlaceFigure, WantedFigures } from '@/core/fits';
import { cameTo } from '@/interface/figures/came-to';
import { useLengths } from '@/interface/figures/preferences';
import { bandShape } from './fit-band-geometry';
import styles from './fit-band.module.css';

const WIDTH = 240;
const HEIGHT = 30;
const MIDDLE = HEIGHT / 2;

interface Props {
  readonly figure: PlaceFigure;
  readonly wanted: WantedFigures;
  readonly kind: 'done' | 'wait' | 'stop' | 'rest';
  readonly label: string;
  /** True where figures are told as a size. */
  readonly whole?: boolean;
  /** Its words and its room alone: it is out of sight, and drawn a moment later. */
  readonly bare?: boolean;
}

function Marks({ figure, wanted }: Pick<Props, 'figure' | 'wanted'>) {
  const at = bandShape({ ...figure, hard: wanted.hard, soft: wanted.soft, target_mm: wanted.target_mm });
  const x = (share: number) => Math.round((4 + share * (WIDTH - 8)) * 10) / 10;
  const upright = (at: number, half: number) => `M${x(at)} ${MIDDLE - half}v${half * 2}`;
  const wide = (from: number, to: number) => Math.round((x(to) - x(from)) * 10) / 10;
  return (
    <>
      <line x1={4} x2={WIDTH - 4} y1={MIDDLE} y2={MIDDLE} />
      <rect className={styles.wanted} x={x(at.low)} width={wide(at.low, at.high)} y={5} height={HEIGHT - 10} />
      {at.soft && (
        <rect className={styles.soft} x={x(at.soft[0])} width={wide(...at.soft)} y={8} height={HEIGHT - 16} />
      )}
      <path className={styles.limit} d={upright(at.low, MIDDLE - 2) + upright(at.high, MIDDLE - 2)} />
      {at.target !== undefined && (
        <line className={styles.target} x1={x(at.target)} x2={x(at.target)} y1={5} y2={HEIGHT - 5} />
      )}
      <path
        d={`M${x(at.doubtLeft)} ${MIDDLE}H${x(at.doubtRight)}${upright(at.doubtLeft, 4)}${upright(at.doubtRight, 4)}`}
      />
      <rect x={x(at.least) - 2} width={wide(at.least, at.greatest) + 4} y={MIDDLE - 5} height={10} />
      {at.offLeft && <path className={styles.off} d={`M2 ${MIDDLE} l9 -7 v14 z`} />}
      {at.offRight && <path className={styles.off} d={`M${WIDTH - 2} ${MIDDLE} l-9 -7 v14 z`} />}
    </>
  );
}

/**
 * A fit as a band: the limits always at the same two places, the readings between their ends, their doubt as
 * whiskers. Scale, doubt and figure have their look from where they stand: a sheet draws some forty of these.
 */
export function FitBand({ figure, wanted, kind, label, whole, bare }: Props) {
  const told = useLengths(whole);
  const words = `${label}: ${cameTo(told, figure)}, wanted ${told.span(wanted.hard.min_mm, wanted.hard.max_mm)}`;
  return (
    <svg
      className={styles.band}
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={words}
      data-kind={kind}
      preserveAspectRatio="none"
    >
      {!bare && <Marks figure={figure} wanted={wanted} />}
    </svg>
  );
}
