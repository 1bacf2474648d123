'use client';

import { CartesianGrid, LineChart, Line, ReferenceArea, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Recorded } from '@/core/heat';

const FONT = { fontFamily: 'var(--figure)', fontSize: 13, fill: 'var(--ink)' };
const MARGIN = { top: 12, right: 24, bottom: 8, left: 0 };

interface Props {
  readonly points: readonly Recorded[];
  readonly from_min: number;
  readonly to_min: number;
  /** The hour of so many minutes after its first line. */
  readonly hourOf: (minutes: number) => string;
}

/** What a recorder kept, with the run that is taken from it. */
export default function TemperatureChart({ points, from_min, to_min, hourOf }: Props) {
  return (
    <ResponsiveContainer width="100%" height={260}>
      <LineChart data={points.map(([minutes, C]) => ({ minutes, C }))} margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--hairline)" vertical={false} />
        <ReferenceArea
          x1={from_min}
          x2={to_min}
          fill="var(--brass)"
          fillOpacity={0.18}
          stroke="none"
          ifOverflow="hidden"
        />
        <XAxis
          dataKey="minutes"
          type="number"
          domain={['dataMin', 'dataMax']}
          tickFormatter={hourOf}
          tick={FONT}
          stroke="var(--ink)"
        />
        <YAxis type="number" unit="°" tick={FONT} stroke="var(--ink)" width={56} />
        <Line dataKey="C" stroke="var(--ink)" strokeWidth={2} dot={false} isAnimationActive={false} />
      </LineChart>
    </ResponsiveContainer>
  );
}
