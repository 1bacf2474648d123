'use client';

import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import type { CoolingWindow } from '@/core/heat';
import { clockTime } from '@/interface/figures/times';
import { coolingCurve } from './cooling-curve';

interface Props {
  readonly window: CoolingWindow;
  readonly ranTo: number;
}

const FONT = { fontFamily: 'var(--figure)', fontSize: 13, fill: 'var(--ink)' };
const MARGIN = { top: 12, right: 24, bottom: 8, left: 0 };

const STEP_C = 10;
const HOUR_MS = 3_600_000;

/** Whole tens of degrees from the air up to the hottest reading. */
function temperatureTicks({ ambient_C, used }: CoolingWindow): readonly number[] {
  const low = Math.floor(ambient_C / STEP_C) * STEP_C;
  const high = Math.ceil(Math.max(...used.map((reading) => reading.C)) / STEP_C) * STEP_C;
  return Array.from({ length: (high - low) / STEP_C + 1 }, (_, i) => low + i * STEP_C);
}

/** Whole hours on the wall clock, in minutes from stopping; every second or fourth where there are many. */
function hourTicks(ranTo: number, end_min: number): readonly number[] {
  const hours = end_min / 60;
  const every = hours > 24 ? 6 : hours > 10 ? 2 : 1;
  const first = Math.ceil(ranTo / HOUR_MS) * HOUR_MS;
  return Array.from(
    { length: Math.floor(hours / every) + 1 },
    (_, i) => (first + i * every * HOUR_MS - ranTo) / 60_000,
  ).filter((at) => at <= end_min);
}

/** Readings at the head, the two laws that bound its cooling, and the window between them. */
export default function CoolingChart({ window, ranTo }: Props) {
  const curve = coolingCurve(window, ranTo);
  const at = (minutes: number) => clockTime(ranTo + minutes * 60_000);
  const minutes = (ms: number) => (ms - ranTo) / 60_000;
  const end = curve.at(-1)?.minutes ?? 1;
  const degrees = temperatureTicks(window);
  return (
    <ResponsiveContainer width="100%" height={260}>
      <ComposedChart data={[...curve]} margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--hairline)" vertical={false} />
        <ReferenceArea
          x1={minutes(window.from)}
          x2={minutes(window.by)}
          fill="var(--brass)"
          fillOpacity={0.18}
          stroke="none"
        />
        <XAxis
          dataKey="minutes"
          type="number"
          domain={[0, end]}
          ticks={[...hourTicks(ranTo, end)]}
          tickFormatter={at}
          tick={FONT}
          stroke="var(--ink)"
        />
        <YAxis
          type="number"
          domain={[degrees[0] ?? 0, degrees.at(-1) ?? 100]}
          ticks={[...degrees]}
          unit="°"
          tick={FONT}
          stroke="var(--ink)"
          width={52}
        />
        <ReferenceLine
          y={window.target_C}
          stroke="var(--verdigris)"
          strokeWidth={2}
          label={{ value: `cold at ${window.target_C.toFixed(0)} °C`, position: 'insideBottomLeft', ...FONT }}
        />
        <Line dataKey="early" stroke="var(--ink)" strokeWidth={2} dot={false} isAnimationActive={false} />
        <Line
          dataKey="late"
          stroke="var(--ink)"
          strokeWidth={2}
          strokeDasharray="7 5"
          dot={false}
          isAnimationActive={false}
        />
        <Scatter
          data={window.used.map(({ minutes: m, C }) => ({ minutes: m, C }))}
          dataKey="C"
          fill="var(--red-lead)"
          shape="diamond"
          isAnimationActive={false}
        />
      </ComposedChart>
    </ResponsiveContainer>
  );
}
