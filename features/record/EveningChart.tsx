'use client';

import {
  Bar,
  CartesianGrid,
  ComposedChart,
  Legend,
  Line,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import classes from './record.module.css';

interface Series {
  /** Of the rows. */
  readonly key: string;
  readonly name: string;
}

interface EveningChartProps {
  /** What the chart shows, for who does not see it. */
  readonly label: string;
  /** One row an evening, oldest first. */
  readonly rows: readonly Readonly<Record<string, string | number | null>>[];
  /** Counts, on the left scale; several stand on each other. */
  readonly bars: readonly (Series & { readonly fill: string })[];
  /** On a scale of its own, at the right. */
  readonly line: Series & {
    readonly unit?: string;
    readonly domain?: readonly [number, number];
  };
  readonly height?: number;
}

const axis = { stroke: 'var(--lv-muted)', tick: { fill: 'var(--lv-ink)', fontSize: 13 } };

/** Evening by evening: counts as bars, one measure as a line over them. */
export function EveningChart({ label, rows, bars, line, height = 250 }: EveningChartProps) {
  const { unit, domain } = line;
  return (
    <div role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height={height}>
        <ComposedChart data={[...rows]} margin={{ left: -16, right: 4, top: 8 }}>
          <CartesianGrid stroke="var(--lv-rule)" vertical={false} />
          <XAxis dataKey="day" {...axis} />
          <YAxis yAxisId="counts" allowDecimals={false} {...axis} />
          <YAxis
            yAxisId="measure"
            orientation="right"
            {...(unit === undefined ? {} : { unit })}
            {...(domain === undefined ? {} : { domain: [...domain] })}
            {...axis}
          />
          <Legend formatter={(name: string) => <span className={classes.legend}>{name}</span>} />
          {bars.map(({ key, name, fill }) => (
            <Bar
              key={key}
              yAxisId="counts"
              stackId="counts"
              dataKey={key}
              name={name}
              fill={fill}
              isAnimationActive={false}
              maxBarSize={34}
            />
          ))}
          <Line
            yAxisId="measure"
            dataKey={line.key}
            name={line.name}
            stroke="var(--lv-brass)"
            strokeWidth={3}
            connectNulls={false}
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}

/** Tries as bars: those that came up below, the others on them. */
export const tryBars = [
  { key: 'reached', name: 'came up', fill: 'var(--lv-green)' },
  { key: 'missed', name: 'not yet', fill: 'var(--lv-soft)' },
] as const;
