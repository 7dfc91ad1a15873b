'use client';

import {
  CartesianGrid,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import type { PlanFile } from '@/core/files/planFile';
import type { DrillBook } from '@/core/catalog/drills';
import { regionTable, regions } from '@/core/catalog/regions';
import { traceReserves } from '@/core/compose/curve';
import type { PreparedPerson } from '@/core/compose/prepared';
import { fatigueRule } from '@/core/fatigue/reserve';
import classes from './plan.module.css';

/** Each region its own dash, so that none of it rests on colour. */
const dashes = ['', '7 3', '2 3', '10 3 2 3', '1 4', '5 2 1 2', '3 6'];

interface CurvesProps {
  readonly plan: PlanFile;
  readonly person: PreparedPerson;
  readonly drills: DrillBook;
  readonly name: string;
}

/** What one student has left, region by region, from the first minute to the last. */
export function Curves({ plan, person, drills, name }: CurvesProps) {
  const points = traceReserves(plan, person, drills);
  const used = regions.filter((region) => points.some(({ reserves }) => reserves[region] < 0.995));
  const lowest = used
    .map((region) => ({
      region,
      least: Math.min(...points.map(({ reserves }) => reserves[region])),
    }))
    .sort((a, b) => a.least - b.least);
  const data = points.map(({ minute, reserves }) => ({ minute, ...reserves }));
  const first = plan.timeline.find(({ kind }) => kind === 'round')?.startsAt;
  return (
    <figure className={classes.curves}>
      <figcaption>
        What {name} has left ·{' '}
        {lowest.length === 0
          ? 'everything'
          : lowest
              .slice(0, 2)
              .map(
                ({ region, least }) =>
                  `${regionTable[region].label} ${Math.round(100 * least)} % left at the lowest`,
              )
              .join(', ')}
      </figcaption>
      <ResponsiveContainer width="100%" height={170}>
        <LineChart data={data} margin={{ top: 6, right: 12, bottom: 0, left: -18 }}>
          <CartesianGrid stroke="var(--lv-rule)" vertical={false} />
          <XAxis
            dataKey="minute"
            type="number"
            domain={[0, 'dataMax']}
            unit=" min"
            tick={{ fill: 'var(--lv-muted)', fontSize: 12 }}
          />
          <YAxis
            domain={[0, 1]}
            ticks={[0, 0.6, 1]}
            tickFormatter={(value: number) => `${Math.round(100 * value)}`}
            tick={{ fill: 'var(--lv-muted)', fontSize: 12 }}
          />
          <ReferenceLine
            y={fatigueRule.leastForAttempt}
            stroke="var(--lv-brass)"
            strokeDasharray="5 4"
          />
          {first !== undefined && <ReferenceLine x={first} stroke="var(--lv-soft)" />}
          {used.map((region) => (
            <Line
              key={region}
              type="linear"
              dataKey={region}
              dot={false}
              isAnimationActive={false}
              stroke="var(--lv-ink)"
              strokeWidth={1.6}
              strokeDasharray={dashes[regions.indexOf(region)] ?? ''}
            />
          ))}
        </LineChart>
      </ResponsiveContainer>
      <ul className={classes.legend}>
        {used.map((region) => (
          <li key={region}>
            <svg width="34" height="8" aria-hidden>
              <line
                x1="0"
                x2="34"
                y1="4"
                y2="4"
                stroke="var(--lv-ink)"
                strokeWidth="1.6"
                strokeDasharray={dashes[regions.indexOf(region)] ?? ''}
              />
            </svg>
            {regionTable[region].label}
          </li>
        ))}
      </ul>
    </figure>
  );
}
