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
}

/**
 * A fit as a band: the limits always at the same two places, the readings between their ends, their doubt as
 * whiskers.
 */
export function FitBand({ figure, wanted, kind, label, whole }: Props) {
  const told = useLengths(whole);
  const at = bandShape({ ...figure, hard: wanted.hard, soft: wanted.soft, target_mm: wanted.target_mm });
  const x = (share: number) => 4 + share * (WIDTH - 8);
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
      <line className={styles.scale} x1={4} x2={WIDTH - 4} y1={MIDDLE} y2={MIDDLE} />
      <rect className={styles.wanted} x={x(at.low)} width={x(at.high) - x(at.low)} y={5} height={HEIGHT - 10} />
      {at.soft && (
        <rect
          className={styles.soft}
          x={x(at.soft[0])}
          width={x(at.soft[1]) - x(at.soft[0])}
          y={8}
          height={HEIGHT - 16}
        />
      )}
      <line className={styles.limit} x1={x(at.low)} x2={x(at.low)} y1={2} y2={HEIGHT - 2} />
      <line className={styles.limit} x1={x(at.high)} x2={x(at.high)} y1={2} y2={HEIGHT - 2} />
      {at.target !== undefined && (
        <line className={styles.target} x1={x(at.target)} x2={x(at.target)} y1={5} y2={HEIGHT - 5} />
      )}
      <line className={styles.doubt} x1={x(at.doubtLeft)} x2={x(at.doubtRight)} y1={MIDDLE} y2={MIDDLE} />
      <line className={styles.doubt} x1={x(at.doubtLeft)} x2={x(at.doubtLeft)} y1={MIDDLE - 4} y2={MIDDLE + 4} />
      <line className={styles.doubt} x1={x(at.doubtRight)} x2={x(at.doubtRight)} y1={MIDDLE - 4} y2={MIDDLE + 4} />
      <rect
        className={styles.figure}
        x={x(at.least) - 2}
        width={x(at.greatest) - x(at.least) + 4}
        y={MIDDLE - 5}
        height={10}
      />
      {at.offLeft && <path className={styles.off} d={`M2 ${MIDDLE} l9 -7 v14 z`} />}
      {at.offRight && <path className={styles.off} d={`M${WIDTH - 2} ${MIDDLE} l-9 -7 v14 z`} />}
    </svg>
  );
}
