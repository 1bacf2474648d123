'use client';

import { CartesianGrid, ReferenceArea, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import type { TargetBand, TriedFilm } from './queries';

const FONT = { fontFamily: 'var(--text)', fontSize: 14, fill: 'var(--ink)' };
const FIGURES = { fontFamily: 'var(--figure)', fontSize: 13, fill: 'var(--ink)' };
const MARGIN = { top: 10, right: 24, bottom: 4, left: 8 };
const ROW = 64;
const HALF_BAR = 0.28;

/** Clamp load by film: a point a pull, and a bar where the next bolt lies. */
export default function TrialChart({ tried, target }: { readonly tried: readonly TriedFilm[]; readonly target?: TargetBand }) {
  const points = tried.flatMap(({ pulls }, row) => pulls.map((pull) => ({ clamp: pull.preload_N / 1000, row })));
  const most = Math.max(
    (target?.high_N ?? 0) / 1000,
    ...points.map((point) => point.clamp),
    ...tried.map(({ result }) => (result?.nextPreload_N?.high ?? 0) / 1000),
  );
  return (
    <ResponsiveContainer width="100%" height={tried.length * ROW + 50}>
      <ScatterChart margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--hairline)" horizontal={false} />
        <XAxis
          type="number"
          dataKey="clamp"
          domain={[0, Math.ceil((most * 1.05) / 10) * 10]}
          tick={FIGURES}
          stroke="var(--ink)"
          unit=" kN"
          tickCount={6}
        />
        <YAxis
          type="number"
          dataKey="row"
          domain={[-0.5, tried.length - 0.5]}
          ticks={tried.map((_, row) => row)}
          tickFormatter={(row: number) => tried[row]?.film.name.split(',')[0] ?? ''}
          width={200}
          reversed
          tick={FONT}
          stroke="var(--ink)"
          tickLine={false}
        />
        {target && (
          <ReferenceArea
            x1={target.low_N / 1000}
            x2={target.high_N / 1000}
            fill="var(--brass)"
            fillOpacity={0.16}
            stroke="var(--brass)"
            strokeDasharray="6 4"
          />
        )}
        {tried.map(
          ({ film, result }, row) =>
            result?.nextPreload_N && (
              <ReferenceArea
                key={film.id}
                x1={result.nextPreload_N.low / 1000}
                x2={result.nextPreload_N.high / 1000}
                y1={row - HALF_BAR}
                y2={row + HALF_BAR}
                fill="var(--verdigris)"
                fillOpacity={0.25}
                stroke="var(--verdigris)"
              />
            ),
        )}
        <Scatter data={points} fill="var(--red-lead)" shape="diamond" isAnimationActive={false} />
      </ScatterChart>
    </ResponsiveContainer>
  );
}
