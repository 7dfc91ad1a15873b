'use client';

import { memo, useMemo } from 'react';
import type { PlanFile } from '@/core/files/planFile';
import type { DrillBook } from '@/core/catalog/drills';
import { regionTable, regions } from '@/core/catalog/regions';
import { traceReserves } from '@/core/compose/curve';
import type { PreparedPerson } from '@/core/compose/prepared';
import { fatigueRule } from '@/core/fatigue/reserve';
import { Plot } from '@/design/Plot';
import { ticksTo } from '@/design/plotScale';
import classes from './plan.module.css';

/** Each region its own dash, so that none of it rests on colour. */
const dashes = ['', '7 3', '2 3', '10 3 2 3', '1 4', '5 2 1 2', '3 6'];

interface CurvesProps {
  readonly plan: PlanFile;
  readonly person: PreparedPerson;
  readonly drills: DrillBook;
  readonly name: string;
}

/** So many steps of minutes stand below it at most. */
const mostSteps = 6;
const inPercent = (share: number) => String(Math.round(100 * share));

/** A line for each region that is asked for, and which have least left. */
function traceLines(plan: PlanFile, person: PreparedPerson, drills: DrillBook) {
  const points = traceReserves(plan, person, drills);
  const used = regions.filter((region) => points.some(({ reserves }) => reserves[region] < 0.995));
  return {
    lastMinute: Math.max(1, ...points.map(({ minute }) => minute)),
    lines: used.map((region) => ({
      key: region,
      stroke: 'var(--lv-ink)',
      dash: dashes[regions.indexOf(region)] ?? '',
      points: points.map(({ minute, reserves }) => ({ x: minute, y: reserves[region] })),
    })),
    lowest: used
      .map((region) => ({
        region,
        least: Math.min(...points.map(({ reserves }) => reserves[region])),
      }))
      .sort((a, b) => a.least - b.least),
  };
}

/** What one student has left, region by region, from the first minute to the last. */
export const Curves = memo(function Curves({ plan, person, drills, name }: CurvesProps) {
  const { lines, lowest, lastMinute } = useMemo(
    () => traceLines(plan, person, drills),
    [plan, person, drills],
  );
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
      <div className={classes.course}>
        <Plot
          className={classes.plot}
          lines={lines}
          most={{ x: lastMinute, y: 1 }}
          ticks={{
            x: ticksTo(lastMinute, mostSteps).map((at) => ({ at, label: `${at} min` })),
            y: [0, fatigueRule.leastForAttempt, 1].map((at) => ({ at, label: inPercent(at) })),
          }}
          across={{ at: fatigueRule.leastForAttempt, stroke: 'var(--lv-brass)', dash: '5 4' }}
          {...(first === undefined ? {} : { down: { at: first, stroke: 'var(--lv-soft)' } })}
        />
      </div>
      <ul className={classes.legend}>
        {lines.map(({ key: region, dash }) => (
          <li key={region}>
            <svg width="34" height="8" aria-hidden>
              <line
                x1="0"
                x2="34"
                y1="4"
                y2="4"
                stroke="var(--lv-ink)"
                strokeWidth="1.6"
                strokeDasharray={dash}
              />
            </svg>
            {regionTable[region].label}
          </li>
        ))}
      </ul>
    </figure>
  );
});
