'use client';

import { Button, NativeSelect, SegmentedControl } from '@mantine/core';
import { useEffect, useRef, useState } from 'react';
import { Line, LineChart, ReferenceArea, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { NumberField } from '@/design/NumberField';
import { findSteadyPart, percentOfBody, type Reading } from '@/core/scale/steady';
import { useFloorClass } from './context';
import classes from './floor.module.css';

const shownSeconds = 30;
const everyMs = 250;

/** The load under the head, live; the steady part is found and offered as a record. */
export function LoadPanel() {
  const { floor, bundle, names, here } = useFloorClass();
  const [chosen, setPerson] = useState('');
  // Whoever went meanwhile is chosen no more: what the list shows is who it is kept for.
  const person = here.includes(chosen) ? chosen : (here[0] ?? '');
  const [source, setSource] = useState('practice');
  const [mass, setMass] = useState<number | null>(null);
  const [readings, setReadings] = useState<readonly Reading[]>([]);
  /** Whose load it is: the one who was chosen when the scale was started. */
  const [readOf, setReadOf] = useState('');
  const [isRunning, setRunning] = useState(false);
  const [words, setWords] = useState('');
  const stream = useRef<EventSource | null>(null);
  const stop = () => {
    stream.current?.close();
    stream.current = null;
    setRunning(false);
  };
  /** What was read is one body's on one scale: with another of either it is nobody's. */
  const clear = () => {
    stop();
    setReadings([]);
    setWords('');
  };
  useEffect(() => () => stream.current?.close(), []);
  const start = () => {
    clear();
    setReadOf(person);
    setRunning(true);
    const began = performance.now();
    const held: Reading[] = [];
    let shownAt = 0;
    const own = new EventSource(`/floor/scale?source=${source}&seed=${Math.round(began)}`);
    stream.current = own;
    own.addEventListener('reading', ({ data }: MessageEvent<string>) => {
      const now = performance.now();
      held.push({ atSeconds: (now - began) / 1000, kg: (JSON.parse(data) as { kg: number }).kg });
      if (now - shownAt < everyMs) return;
      shownAt = now;
      const from = (now - began) / 1000 - shownSeconds;
      setReadings(held.filter(({ atSeconds }) => atSeconds >= from));
      setWords('');
    });
    own.addEventListener('silent', () => setWords('The scale is silent just now.'));
    own.addEventListener('nonsense', ({ data }: MessageEvent<string>) =>
      setWords(`${(JSON.parse(data) as { count: number }).count} readings made no sense.`),
    );
    own.addEventListener('problem', ({ data }: MessageEvent<string>) => {
      setWords((JSON.parse(data) as { words: string }).words);
      stop();
    });
    own.onerror = () => {
      setWords('The stream has broken off. Start again.');
      stop();
    };
  };
  const steady = readOf === person ? findSteadyPart(readings) : null;
  const known = bundle.members.find(({ id }) => id === person)?.body.massKg;
  const massKg = mass ?? known;
  const percent =
    steady === null || massKg === undefined ? null : Math.round(percentOfBody(steady.kg, massKg));
  return (
    <section className={classes.load} aria-label="Head load">
      <div className={classes.holdHead}>
        <h2>Head load in the base set</h2>
        <NativeSelect
          size="lg"
          aria-label="Whose"
          value={person}
          data={here.map((id) => ({ value: id, label: names.get(id) ?? id }))}
          onChange={({ currentTarget: { value } }) => {
            setPerson(value);
            setMass(null);
            clear();
          }}
        />
        <SegmentedControl
          size="lg"
          aria-label="Scale"
          value={source}
          disabled={isRunning}
          data={[
            { value: 'practice', label: 'practice scale' },
            { value: 'device', label: 'the scale here' },
          ]}
          onChange={(value) => {
            setSource(value);
            clear();
          }}
        />
        <NumberField
          size="lg"
          w={130}
          aria-label="Body mass in kg"
          suffix=" kg"
          min={25}
          max={250}
          value={mass ?? known ?? null}
          onNumber={setMass}
          onEmpty={() => setMass(null)}
        />
        {isRunning ? (
          <Button size="lg" variant="default" onClick={stop}>
            Stop the scale
          </Button>
        ) : (
          <Button size="lg" onClick={start}>
            Start the scale
          </Button>
        )}
      </div>
      <div className={classes.curve} role="img" aria-label="Load over the last half minute">
        <ResponsiveContainer width="100%" height="100%">
          <LineChart data={[...readings]} margin={{ left: -18, right: 8, top: 8 }}>
            <XAxis
              dataKey="atSeconds"
              type="number"
              domain={['dataMin', 'dataMax']}
              unit=" s"
              tickFormatter={(value: number) => value.toFixed(0)}
              stroke="var(--lv-muted)"
            />
            <YAxis
              unit=" kg"
              domain={[0, (most: number) => Math.max(4, Math.ceil(most + 1))]}
              allowDataOverflow
              stroke="var(--lv-muted)"
            />
            {steady !== null && (
              <ReferenceArea
                x1={steady.fromSeconds}
                x2={steady.toSeconds}
                fill="var(--lv-green)"
                fillOpacity={0.18}
              />
            )}
            <Line
              dataKey="kg"
              stroke="var(--lv-ink)"
              strokeWidth={2.5}
              dot={false}
              isAnimationActive={false}
            />
          </LineChart>
        </ResponsiveContainer>
      </div>
      <p role="status" className={classes.sheetLabel}>
        {words !== ''
          ? words
          : steady === null
            ? isRunning
              ? 'Waiting for a steady part of three seconds.'
              : 'Crown on the scale, hands in charge of how much; then start.'
            : `Steady for ${(steady.toSeconds - steady.fromSeconds).toFixed(1)} s at ${steady.kg.toFixed(1)} kg${
                percent === null
                  ? '. Give the body mass for the share.'
                  : `: ${percent} % of body weight.`
              }`}
      </p>
      {source === 'practice' ? (
        <p>The practice scale measures nobody: nothing of it is kept for anyone.</p>
      ) : (
        <div>
          <Button
            size="lg"
            disabled={percent === null || person === ''}
            onClick={(event) => {
              if (percent === null) return;
              void floor.say(
                {
                  kind: 'seen',
                  person,
                  check: 'head-load',
                  value: percent,
                  base: null,
                  side: null,
                  faults: [],
                },
                event,
              );
              stop();
            }}
          >
            {percent === null ? 'Keep it' : `Keep ${percent} % for ${names.get(person) ?? person}`}
          </Button>
        </div>
      )}
    </section>
  );
}
