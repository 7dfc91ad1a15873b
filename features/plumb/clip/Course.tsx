'use client';

import { line } from 'd3-shape';
import { memo, useMemo } from 'react';
import type { CoursePoint } from '@/core/plumb/clip/course';
import { courseLines } from './courseLines';
import classes from './clip.module.css';

interface CourseProps {
  readonly course: readonly CoursePoint[];
  /** When the clip ends, seconds. */
  readonly last: number;
}

/** Steps of an axis that are easily read, and how many of them there are at most. */
const steps = [0.5, 1, 2, 5, 10, 25, 50, 100, 250, 500, 1000];
const mostSteps = { x: 9, y: 4 } as const;

/** The round figures of an axis from nought; the last is at most `most`. */
function ticksTo(most: number, count: number): number[] {
  const step = steps.find((one) => most / one <= count) ?? most;
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, index) => index * step);
}

const isThere = (value: number | null): value is number => value !== null;

/**
 * Heights and distances over the clip, centimetres. Drawn here and by no chart of the library: while
 * a clip is read it is drawn anew twice a second, and may keep no hand waiting.
 */
export const Course = memo(function Course({ course, last }: CourseProps) {
  const { mostCm, paths } = useMemo(() => {
    const heights = course.flatMap((point) => courseLines.map(({ key }) => point[key]));
    // A little air above the highest; in centimetres as everywhere on this page.
    const most = Math.max(10, 105 * Math.max(0, ...heights.filter(isThere)));
    const drawn = courseLines.map(({ key, stroke, dash }) => ({
      key,
      stroke,
      dash,
      d: line<CoursePoint>()
        .defined((point) => isThere(point[key]))
        .x(({ atS }) => (100 * atS) / last)
        .y((point) => 100 - (100 * 100 * Math.max(0, point[key] ?? 0)) / most)(course),
    }));
    return { mostCm: most, paths: drawn };
  }, [course, last]);
  return (
    <div className={classes.plot} aria-hidden="true">
      <svg viewBox="0 0 100 100" preserveAspectRatio="none">
        {ticksTo(mostCm, mostSteps.y).map((cm) => (
          <path key={cm} d={`M0,${100 - (100 * cm) / mostCm}H100`} className={classes.grid} />
        ))}
        {paths.map(({ key, stroke, dash, d }) => (
          <path key={key} d={d ?? ''} stroke={stroke} strokeDasharray={dash} />
        ))}
      </svg>
      {ticksTo(mostCm, mostSteps.y).map((cm) => (
        <span key={cm} className={classes.yTick} style={{ bottom: `${(100 * cm) / mostCm}%` }}>
          {cm}
        </span>
      ))}
      {ticksTo(last, mostSteps.x).map((atS) => (
        <span key={atS} className={classes.xTick} style={{ left: `${(100 * atS) / last}%` }}>
          {atS} s
        </span>
      ))}
    </div>
  );
});
