'use client';

import {
  CartesianGrid,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import { bandHeight } from './band-height';

/** A row of the chart: its band and the points on it, in the chart's unit. */
export interface BandRow {
  readonly name: string;
  readonly band?: readonly [low: number, high: number];
  readonly strong?: boolean;
  readonly points: readonly number[];
}

export interface BandLine {
  readonly at: number;
  readonly label: string;
  readonly colour: string;
}

interface Props {
  readonly rows: readonly BandRow[];
  readonly unit: string;
  readonly rowHeight: number;
  readonly pointColour: string;
  readonly lines?: readonly BandLine[];
  /** A band behind all rows. */
  readonly behind?: readonly [low: number, high: number];
}

const FONT = { fontFamily: 'var(--text)', fontSize: 14, fill: 'var(--ink)' };
const FIGURES = { fontFamily: 'var(--figure)', fontSize: 13, fill: 'var(--ink)' };
const MARGIN = { top: 26, right: 24, bottom: 4, left: 8 };
const HALF_BAR = 0.24;
const ROOM = 1.06;

const roundUp = (value: number) => Math.ceil(value / 10) * 10;

/** Bands one beneath the other on one scale, with points on them and lines across. */
export default function BandChart({ rows, unit, rowHeight, pointColour, lines = [], behind }: Props) {
  const points = rows.flatMap((row, at) => row.points.map((value) => ({ value, row: at })));
  const reach = [
    ...points.map((point) => point.value),
    ...rows.flatMap((row) => row.band ?? []),
    ...lines.map((line) => line.at),
    ...(behind ?? []),
  ];
  return (
    <ResponsiveContainer width="100%" height={bandHeight(rows.length, rowHeight)}>
      <ScatterChart margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid stroke="var(--hairline)" horizontal={false} />
        <XAxis
          type="number"
          dataKey="value"
          domain={[0, roundUp(Math.max(...reach) * ROOM)]}
          tick={FIGURES}
          stroke="var(--ink)"
          unit={` ${unit}`}
          tickCount={6}
        />
        <YAxis
          type="number"
          dataKey="row"
          domain={[-0.5, rows.length - 0.5]}
          ticks={rows.map((_, at) => at)}
          tickFormatter={(at: number) => rows[at]?.name.split(',')[0] ?? ''}
          width={200}
          reversed
          tick={FONT}
          stroke="var(--ink)"
          tickLine={false}
        />
        {behind && (
          <ReferenceArea
            x1={behind[0]}
            x2={behind[1]}
            fill="var(--brass)"
            fillOpacity={0.16}
            stroke="var(--brass)"
            strokeDasharray="6 4"
          />
        )}
        {rows.map(
          ({ name, band, strong }, at) =>
            band && (
              <ReferenceArea
                key={name}
                x1={band[0]}
                x2={band[1]}
                y1={at - HALF_BAR}
                y2={at + HALF_BAR}
                fill="var(--verdigris)"
                fillOpacity={strong ? 0.5 : 0.22}
                stroke="var(--verdigris)"
              />
            ),
        )}
        {lines.map(({ at, label, colour }) => (
          <ReferenceLine
            key={label}
            x={at}
            stroke={colour}
            strokeWidth={2}
            strokeDasharray="6 4"
            label={{ value: label, position: 'top', ...FONT, fill: colour }}
          />
        ))}
        <Scatter data={points} fill={pointColour} shape="diamond" isAnimationActive={false} />
      </ScatterChart>
    </ResponsiveContainer>
  );
}
