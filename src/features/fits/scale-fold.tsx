'use client';

import { fetchedPart } from '@/interface/parts/fetched-part';
import type { FitState } from '@/model/fit/place-state';
import { useLengths } from '@/interface/figures/preferences';
import { Disclosure } from '@/interface/parts/disclosure';

const BandChart = fetchedPart(() => import('@/interface/parts/band-chart').then((module) => module.default));

/**
 * Every place on one scale, in µm or tenths of a thou: a bar from least to greatest, a point its mean, behind them
 * what is wanted.
 */
export function ScaleFold({ judged }: { readonly judged: FitState }) {
  const { inch, smallUnit } = useLengths();
  const unit = inch ? '0.0001 in' : 'µm';
  const in_ = (mm: number) => mm / (inch ? 0.00254 : 0.001);
  const rows = judged.places.flatMap(({ name, result }) =>
    result.figures
      .slice(0, 1)
      .map((one) => ({ name, band: [in_(one.least_mm), in_(one.greatest_mm)] as const, points: [in_(one.mean_mm)] })),
  );
  const hard = judged.places.find(({ result }) => result.wanted)?.result.wanted?.hard;
  const target = judged.fit.wanted.target_mm;
  if (rows.length === 0) return null;
  return (
    <Disclosure title="On one scale" line={`every place, in ${inch ? 'tenths of a thou' : 'µm'}`}>
      <BandChart
        rows={rows}
        unit={unit}
        rowHeight={46}
        pointColour="var(--ink)"
        behind={hard && [in_(hard.min_mm), in_(hard.max_mm)]}
        lines={target === undefined ? [] : [{ at: in_(target), label: 'own target', colour: 'var(--verdigris)' }]}
      />
      <p className="soft">
        The bar is from the least to the greatest, the point the mean; behind it is what is wanted. A figure in{' '}
        {smallUnit} stands above.
      </p>
    </Disclosure>
  );
}
