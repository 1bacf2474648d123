import { nearTime } from '@/interface/figures/times';
import type { Wait } from '@/model/engine/engine-wait';

/** The one line on an engine's tag. */
export const waitLine = ({ waitsFor, about }: Wait, now: number): string =>
  about === undefined ? waitsFor : `${waitsFor} about ${nearTime(about, now)}`;
