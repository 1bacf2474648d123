'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';

interface Props {
  /** As a share. */
  readonly limit: number;
  readonly lines: readonly {
    readonly number: number;
    readonly isLosing: boolean;
    /** Retorque by retorque; undefined where nobody can say. */
    readonly most: readonly (number | undefined)[];
  }[];
  readonly label: string;
}

const FONT = { fontFamily: 'var(--figure)', fontSize: 13, fill: 'var(--ink)' };
const MARGIN = { top: 12, right: 24, bottom: 8, left: 0 };

/** The most that each nut may have lost, over the retorques, against the limit. */
export default function SettledChart({ limit, lines, label }: Props) {
  const rounds = lines[0]?.most.length ?? 0;
  const data = Array.from({ length: rounds }, (_, i) => ({
    round: i + 1,
    ...Object.fromEntries(
      lines.map(({ number, most }) => {
        const value = most[i];
        return [`n${number}`, value === undefined ? null : 100 * value];
      }),
    ),
  }));
  return (
    <div role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height={240}>
        <LineChart data={data} margin={MARGIN} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--hairline)" vertical={false} />
          <XAxis
            dataKey="round"
            type="number"
            domain={[1, rounds]}
            ticks={data.map(({ round }) => round)}
            tick={FONT}
            stroke="var(--ink)"
          />
          <YAxis type="number" domain={[0, 'auto']} unit=" %" tick={FONT} stroke="var(--ink)" width={60} />
          <ReferenceLine
            y={100 * limit}
            stroke="var(--verdigris)"
            strokeWidth={2}
            label={{ value: 'limit', position: 'insideTopLeft', ...FONT }}
          />
          {lines.map(({ number, isLosing }) => (
            <Line
              key={number}
              dataKey={`n${number}`}
              name={`Number ${number}`}
              stroke={isLosing ? 'var(--red-lead)' : 'var(--ink)'}
              strokeWidth={isLosing ? 3 : 1}
              dot={{ r: isLosing ? 4 : 2, fill: isLosing ? 'var(--red-lead)' : 'var(--ink)' }}
              isAnimationActive={false}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
