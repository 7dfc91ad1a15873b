'use client';

import { Slider } from '@mantine/core';
import { memo } from 'react';
import type { ClipEvent } from '@/core/plumb/clip/clip';
import { eventWords, type CoursePoint, type TellingFrame } from '@/core/plumb/clip/course';
import { Course } from './Course';
import { CourseLegend } from './CourseLegend';
import { framesPerS } from './source';
import classes from './clip.module.css';

interface TimelineProps {
  readonly course: readonly CoursePoint[];
  readonly events: readonly ClipEvent[];
  readonly telling: readonly TellingFrame[];
  readonly times: readonly number[];
  readonly at: number;
  readonly urlAt: (index: number) => string | null;
  readonly lookAt: (index: number) => void;
}

/** From one picture to the next, seconds. */
const stepS = 1 / framesPerS;

const seconds = (value: number) => `${value.toFixed(1)} s`;

/** The clip over time: heights in centimetres, its events, and six pictures that tell it. */
export const Timeline = memo(function Timeline({
  course,
  events,
  telling,
  times,
  at,
  urlAt,
  lookAt,
}: TimelineProps) {
  const now = times[at] ?? 0;
  const last = times.at(-1) ?? 0;
  const indexOf = (atS: number) =>
    times.reduce(
      (best, time, index) => (Math.abs(time - atS) < Math.abs(times[best]! - atS) ? index : best),
      0,
    );
  return (
    <section aria-label="The clip over time" className={classes.timeline}>
      <Slider
        thumbLabel="Moment of the clip, seconds"
        label={seconds(now)}
        min={0}
        max={Math.max(stepS, last)}
        step={stepS}
        value={now}
        onChange={(atS) => lookAt(indexOf(atS))}
        marks={events.map(({ atS }) => ({ value: atS }))}
        className={classes.scrub}
      />
      {course.length > 0 && last > 0 && (
        <div className={classes.course}>
          <Course course={course} last={last} />
          {/* Over the chart, so that a moment that moves draws no line of it anew. */}
          <div className={classes.moments} aria-hidden="true">
            {events.map(({ kind, atS }) => (
              <i key={`${kind} ${atS}`} style={{ left: `${(100 * atS) / last}%` }} />
            ))}
            <i data-now="true" style={{ left: `${(100 * now) / last}%` }} />
          </div>
        </div>
      )}
      {course.length > 0 && <CourseLegend />}
      {events.length > 0 && (
        <ol className={classes.events} aria-label="What happens">
          {events.map(({ kind, atS }) => (
            <li key={`${kind} ${atS}`}>
              <button type="button" onClick={() => lookAt(indexOf(atS))}>
                <strong>{seconds(atS)}</strong> {eventWords[kind]}
              </button>
            </li>
          ))}
        </ol>
      )}
      {telling.length > 0 && (
        <ol className={classes.strip} aria-label="Pictures that tell it">
          {telling.map(({ atS, words }) => {
            const index = indexOf(atS);
            const url = urlAt(index);
            return (
              <li key={atS} data-now={index === at}>
                <button type="button" onClick={() => lookAt(index)}>
                  {url !== null && (
                    // oxlint-disable-next-line nextjs/no-img-element -- a picture of this page's memory
                    <img src={url} alt="" />
                  )}
                  <span>
                    {words}
                    <br />
                    {seconds(atS)}
                  </span>
                </button>
              </li>
            );
          })}
        </ol>
      )}
    </section>
  );
});
