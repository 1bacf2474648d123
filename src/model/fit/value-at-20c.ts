import { sizeAt20C } from '@/core/fits';
import { EXPANSIONS_UM_PER_MK } from '@/core/units';
import type { Fit, ReadingLine } from './fit';

/** A reading in mm at 20 °C, where its temperatures were taken. */
export function value20_mm(line: ReadingLine, fit: Fit): number {
  const { part_C, gauge_C } = line.body;
  if (part_C === undefined) return line.value_mm;
  const expansion = line.part === 'bore' ? fit.detail.expansion?.bore : fit.detail.expansion?.journal;
  return sizeAt20C(
    line.value_mm,
    { expansion: expansion ?? EXPANSIONS_UM_PER_MK.steel, at_C: part_C },
    { expansion: EXPANSIONS_UM_PER_MK.steel, at_C: gauge_C ?? part_C },
  );
}
