'use client';

import { CartesianGrid, ReferenceArea, ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from 'recharts';
import type { Spread } from '@/core/joint';

const FONT = { fontFamily: 'var(--text)', fontSize: 14, fill: 'var(--ink)' };
const FIGURES = { fontFamily: 'var(--figure)', fontSize: 13, fill: 'var(--ink)' };
const MARGIN = { top: 26, right: 24, bottom: 4, left: 8 };
const ROW = 44;
const HALF_BAR = 0.22;

/** Each way of tightening as a bar from the 5th to the 95th percentile, with the middle marked and the two limits drawn. */
export default function SpreadChart({ spread }: { readonly spread: Spread }) {
  const { rows, least_N, yield_N } = spread;
  const middles = rows.map(({ band }, row) => ({ clamp: band.p50_N / 1000, row }));
  const most = Math.max(...rows.map(({ band }) => band.p95_N), yield_N ?? 0) / 1000;
  const limit = (newtons: number, label: string, colour: string) => (
    <ReferenceLine
      x={newtons / 1000}
      stroke={colour}
      strokeWidth={2}
      strokeDasharray="6 4"
      label={{ value: label, position: 'top', ...FONT, fill: colour }}
    />
  );
  return (
    <ResponsiveContainer width="100%" height={rows.length * ROW + 60}>
      <ScatterChart margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--hairline)" horizontal={false} />
        <XAxis
          type="number"
          dataKey="clamp"
          domain={[0, Math.ceil((most * 1.06) / 10) * 10]}
          tick={FIGURES}
          stroke="var(--ink)"
          unit=" kN"
          tickCount={6}
        />
        <YAxis
          type="number"
          dataKey="row"
          domain={[-0.5, rows.length - 0.5]}
          ticks={rows.map((_, row) => row)}
          tickFormatter={(row: number) => rows[row]?.name.split(',')[0] ?? ''}
          width={190}
          reversed
          tick={FONT}
          stroke="var(--ink)"
          tickLine={false}
        />
        {rows.map(({ id, band }, row) => (
          <ReferenceArea
            key={id}
            x1={band.p5_N / 1000}
            x2={band.p95_N / 1000}
            y1={row - HALF_BAR}
            y2={row + HALF_BAR}
            fill="var(--verdigris)"
            fillOpacity={row === 0 ? 0.5 : 0.22}
            stroke="var(--verdigris)"
          />
        ))}
        {limit(least_N, 'least wanted', 'var(--brass)')}
        {yield_N !== undefined && limit(yield_N, 'yield', 'var(--red-lead)')}
        <Scatter data={middles} fill="var(--ink)" shape="diamond" isAnimationActive={false} />
      </ScatterChart>
    </ResponsiveContainer>
  );
}
