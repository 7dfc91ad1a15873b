'use client';

import { memo, useMemo } from 'react';
import type { CoursePoint } from '@/core/plumb/clip/course';
import { Plot } from '@/design/Plot';
import { ticksTo } from '@/design/plotScale';
import { courseLines } from './courseLines';
import classes from './clip.module.css';

interface CourseProps {
  readonly course: readonly CoursePoint[];
  /** When the clip ends, seconds. */
  readonly last: number;
}

/** So many steps an axis has at most. */
const mostSteps = { x: 9, y: 4 } as const;

const isThere = (value: number | null): value is number => value !== null;
/** In centimetres as everywhere on this page. */
const toCm = (metres: number) => 100 * metres;

/** Heights and distances over the clip, centimetres. */
export const Course = memo(function Course({ course, last }: CourseProps) {
  const { mostCm, lines } = useMemo(() => {
    const heights = course.flatMap((point) => courseLines.map(({ key }) => point[key]));
    return {
      // A little air above the highest.
      mostCm: Math.max(10, 1.05 * toCm(Math.max(0, ...heights.filter(isThere)))),
      lines: courseLines.map(({ key, stroke, dash }) => ({
        key,
        stroke,
        dash,
        points: course.map((point) => {
          const height = point[key];
          return { x: point.atS, y: height === null ? null : toCm(height) };
        }),
      })),
    };
  }, [course]);
  return (
    <Plot
      className={classes.plot}
      lines={lines}
      most={{ x: last, y: mostCm }}
      ticks={{
        x: ticksTo(last, mostSteps.x).map((at) => ({ at, label: `${at} s` })),
        y: ticksTo(mostCm, mostSteps.y).map((at) => ({ at, label: String(at) })),
      }}
    />
  );
});
