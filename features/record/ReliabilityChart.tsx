'use client';

import {
  CartesianGrid,
  ErrorBar,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  XAxis,
  YAxis,
} from 'recharts';
import type { Bin } from '@/core/calibration/reliability';

const axis = { stroke: 'var(--lv-muted)', tick: { fill: 'var(--lv-ink)', fontSize: 13 } };
const tens = [0, 20, 40, 60, 80, 100];
const hundredths = (share: number) => Math.round(share * 100);

interface Point {
  readonly expected: number;
  readonly came: number;
  /** Down and up from the share to the ends of its span. */
  readonly span: readonly [number, number];
  readonly count: number;
}

const toPoints = (bins: readonly Bin[]): Point[] =>
  bins.flatMap((bin) =>
    bin.expected === null || bin.came === null || bin.cameLow === null || bin.cameHigh === null
      ? []
      : [
          {
            expected: hundredths(bin.expected),
            came: hundredths(bin.came),
            span: [hundredths(bin.came - bin.cameLow), hundredths(bin.cameHigh - bin.came)],
            count: bin.count,
          },
        ],
  );

/** Chances against what came: on the line everything came as often as it was to be expected. */
export function ReliabilityChart({ bins }: { readonly bins: readonly Bin[] }) {
  const points = toPoints(bins);
  const label = points
    .map(({ expected, came, count }) => `expected ${expected}, came ${came}, ${count} looks`)
    .join('; ');
  return (
    <div role="img" aria-label={`In a hundred: ${label}`}>
      <ResponsiveContainer width="100%" height={320}>
        <ScatterChart margin={{ left: 4, right: 12, top: 8, bottom: 22 }}>
          <CartesianGrid stroke="var(--lv-rule)" />
          <XAxis
            type="number"
            dataKey="expected"
            domain={[0, 100]}
            ticks={tens}
            label={{
              value: 'to be expected, in 100',
              position: 'insideBottom',
              offset: -14,
              fill: 'var(--lv-ink)',
            }}
            {...axis}
          />
          <YAxis
            type="number"
            dataKey="came"
            domain={[0, 100]}
            ticks={tens}
            label={{
              value: 'came, in 100',
              angle: -90,
              position: 'insideLeft',
              offset: 14,
              fill: 'var(--lv-ink)',
            }}
            {...axis}
          />
          <ReferenceLine
            segment={[
              { x: 0, y: 0 },
              { x: 100, y: 100 },
            ]}
            stroke="var(--lv-muted)"
            strokeDasharray="5 5"
          />
          <Scatter data={points} fill="var(--lv-brass)" isAnimationActive={false}>
            <ErrorBar
              dataKey="span"
              direction="y"
              width={6}
              strokeWidth={2}
              stroke="var(--lv-ink)"
              isAnimationActive={false}
            />
          </Scatter>
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
