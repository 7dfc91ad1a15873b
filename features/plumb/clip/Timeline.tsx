'use client';

import { Slider } from '@mantine/core';
import { Line, LineChart, ReferenceLine, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { ClipEvent } from '@/core/plumb/clip/clip';
import { eventWords, type CoursePoint, type TellingFrame } from '@/core/plumb/clip/course';
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

const lines = [
  { key: 'hips', label: 'hips', stroke: 'var(--lv-ink)', dash: undefined },
  { key: 'nearFoot', label: 'near foot', stroke: 'var(--lv-green)', dash: undefined },
  { key: 'farFoot', label: 'far foot', stroke: 'var(--lv-green)', dash: '5 4' },
  { key: 'toWall', label: 'foot to wall', stroke: 'var(--lv-brass)', dash: '2 3' },
] as const;

/** From one picture to the next, seconds. */
const stepS = 1 / framesPerS;

const seconds = (value: number) => `${value.toFixed(1)} s`;

/** The clip over time: heights in centimetres, its events, and six pictures that tell it. */
export function Timeline({ course, events, telling, times, at, urlAt, lookAt }: TimelineProps) {
  const now = times[at] ?? 0;
  const last = times.at(-1) ?? 0;
  const indexOf = (atS: number) =>
    times.reduce(
      (best, time, index) => (Math.abs(time - atS) < Math.abs(times[best]! - atS) ? index : best),
      0,
    );
  const data = course.map(({ atS, ...rest }) => ({
    atS,
    ...Object.fromEntries(
      Object.entries(rest).map(([key, metres]) => [
        key,
        metres === null ? null : Math.round(metres * 1000) / 10,
      ]),
    ),
  }));
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
      {data.length > 0 && (
        <>
          <div aria-hidden="true">
            <ResponsiveContainer width="100%" height={170}>
              <LineChart
                accessibilityLayer={false}
                data={data}
                margin={{ top: 18, right: 10, bottom: 0, left: 0 }}
              >
                <XAxis
                  dataKey="atS"
                  type="number"
                  domain={[0, last]}
                  tickCount={Math.min(9, Math.round(last) + 1)}
                  stroke="var(--lv-muted)"
                  unit=" s"
                />
                <YAxis width={52} stroke="var(--lv-muted)" domain={[0, 'auto']} allowDataOverflow />
                {events.map(({ kind, atS }) => (
                  <ReferenceLine key={`${kind} ${atS}`} x={atS} stroke="var(--lv-rule)" />
                ))}
                <ReferenceLine x={now} stroke="var(--lv-stop)" strokeWidth={2} />
                {lines.map(({ key, stroke, dash }) => (
                  <Line
                    key={key}
                    dataKey={key}
                    stroke={stroke}
                    strokeWidth={2}
                    {...(dash === undefined ? {} : { strokeDasharray: dash })}
                    dot={false}
                    isAnimationActive={false}
                  />
                ))}
              </LineChart>
            </ResponsiveContainer>
          </div>
          <p className={classes.legend}>
            <span>cm:</span>
            {lines.map(({ key, label, stroke, dash }) => (
              <span key={key}>
                <svg width="26" height="8" aria-hidden="true">
                  <line
                    x1="0"
                    y1="4"
                    x2="26"
                    y2="4"
                    stroke={stroke}
                    strokeWidth="3"
                    strokeDasharray={dash}
                  />
                </svg>{' '}
                {label}
              </span>
            ))}
          </p>
        </>
      )}
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
                    // eslint-disable-next-line @next/next/no-img-element -- a picture of this page's memory
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
}
