'use client';

import { Button, Chip, Group, NativeSelect, SegmentedControl, Slider } from '@mantine/core';
import { IconCamera } from '@tabler/icons-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { getCheck, type CheckId } from '@/core/catalog/checks';
import { InputProblem } from '@/core/problem';
import { readClip } from '@/core/plumb/clip/clip';
import { heldS, type ClockStop } from '@/core/plumb/clip/clock';
import { offersOfClip } from '@/core/plumb/feeds';
import { plumbBases, type MarkSet, type PlumbBase } from '@/core/plumb/marks';
import { getMeasure, type StillMeasureId } from '@/core/plumb/measureTable';
import { readStill } from '@/core/plumb/still';
import { sayValue } from '@/core/plumb/words';
import { firstUp } from '@/core/units/words';
import { soundBell, wakeSound } from '@/design/sound';
import { useNow, useWakeLock } from '@/design/useNow';
import { barIn } from '../Offers';
import { OfferList } from '../OfferList';
import type { PlumbView } from '../read';
import { useCamera } from './useCamera';
import { useLive, type LiveFacts } from './useLive';
import classes from '../plumb.module.css';
import own from './camera.module.css';

interface CameraPaneProps {
  readonly view: PlumbView;
}

/** What the clock can time without a hand, and what ends it. */
const timed = {
  'wall-hold': 'floor',
  'balance-off-wall': 'wall',
  'hops-reaching': 'floor',
} as const satisfies Partial<Record<CheckId, ClockStop>>;
type TimedCheck = keyof typeof timed;
const timedIds = Object.keys(timed) as TimedCheck[];

/** Lines that can be read large beside the picture. */
const shown = [
  'shoulderOverBase',
  'hipOverShoulder',
  'shoulderBend',
  'hipBend',
  'elbowAngle',
  'headClearance',
] as const satisfies readonly StillMeasureId[];
const mostShown = 3;

const chain = ['wrist', 'elbow', 'shoulder', 'hip', 'knee', 'ankle'] as const;
const farLeg = ['knee', 'ankle'] as const;

function through(set: MarkSet, names: readonly (keyof MarkSet)[]): string {
  const points = names.flatMap((name) => {
    const mark = set[name];
    return mark === undefined ? [] : [`${mark.x},${mark.y}`];
  });
  return points.join(' ');
}

/** The live picture with its plumb line, a few lines large enough for the mat, and a clock without hands. */
export function CameraPane({ view }: CameraPaneProps) {
  const { person, units } = view;
  const camera = useCamera();
  const video = useRef<HTMLVideoElement>(null);
  const [base, setBase] = useState<PlumbBase>('hands');
  const [check, setCheck] = useState<TimedCheck>('wall-hold');
  const [chosen, setChosen] = useState<readonly StillMeasureId[]>(['shoulderOverBase', 'hipBend']);
  const [wallPercent, setWallPercent] = useState<number | null>(null);
  const [size, setSize] = useState({ width: 640, height: 480 });
  const facts = useMemo((): LiveFacts => {
    const x = wallPercent === null ? null : (size.width * wallPercent) / 100;
    return {
      base,
      body: person.body,
      scale: { segment: 'thigh' },
      ...(x === null
        ? {}
        : {
            wall: [
              [x, size.height],
              [x, 0],
            ],
          }),
    };
  }, [base, person.body, wallPercent, size]);
  const stop = timed[check];
  const live = useLive(video, camera.stream !== null, facts, stop);
  const { clock, seen, taken } = live;
  const isArmed = live.armedMs !== null;
  useWakeLock(camera.stream !== null);
  const nowMs = useNow(100);
  useEffect(() => {
    if (video.current !== null) video.current.srcObject = camera.stream;
  }, [camera.stream]);

  const bar = barIn(view)(check);
  const isHold = getCheck(check).scoring.kind === 'hold';
  const held =
    isArmed && clock.sinceS !== null && live.armedMs !== null
      ? heldS(clock, Math.max(clock.nowS, (nowMs - live.armedMs) / 1000))
      : heldS(clock);
  const figure = isHold ? held : clock.reached;
  const isAtBar = isArmed && figure >= bar && figure > 0;
  // Once, when the bar is reached.
  useEffect(() => {
    if (isAtBar) soundBell();
  }, [isAtBar]);
  const reading = useMemo(() => {
    if (seen === null) return null;
    try {
      const { near, far, facing } = seen.marks;
      return readStill({ ...facts, view: 'side', facing: facing ?? 'right', marks: { near, far } });
    } catch (error) {
      if (error instanceof InputProblem) return null;
      throw error;
    }
  }, [seen, facts]);
  // What was seen is offered once nobody is up any more.
  const isDown = clock.sinceS === null && clock.hops > 0;
  const offers = useMemo(() => {
    if (!isDown || taken === null) return [];
    // What it was held on then, whatever is chosen for the next one.
    const { base: heldOn, wall } = taken;
    return offersOfClip(readClip(taken), { base: heldOn, hasWall: wall !== undefined }).filter(
      (one) => one.check === check,
    );
  }, [isDown, taken, check]);

  if (camera.stream === null) {
    return (
      <div className={classes.begin}>
        <h2>Lines while they happen</h2>
        <ul>
          <li>Stand the camera still, level, about hip height, three metres away or more.</li>
          <li>Square to the body, with hands and feet in the picture.</li>
        </ul>
        <p>It is looked at on this device and nowhere else; nothing is recorded without a tap.</p>
        {camera.problem !== null && <p className={classes.problem}>{camera.problem}</p>}
        <Button
          size="lg"
          leftSection={<IconCamera size={22} />}
          onClick={() => {
            // Sound wants a tap of the hand first.
            wakeSound();
            void camera.open();
          }}
        >
          Open the camera
        </Button>
      </div>
    );
  }
  const near = seen?.marks.near ?? {};
  const wrist = near.wrist ?? near.elbow;
  const wallX = wallPercent === null ? null : (size.width * wallPercent) / 100;
  return (
    <div className={own.camera}>
      <div className={own.stage}>
        <video
          ref={video}
          autoPlay
          muted
          playsInline
          onLoadedMetadata={({ currentTarget: { videoWidth, videoHeight } }) =>
            setSize({ width: videoWidth, height: videoHeight })
          }
        />
        <svg viewBox={`0 0 ${size.width} ${size.height}`} aria-hidden="true">
          {wallX !== null && (
            <line x1={wallX} x2={wallX} y1={0} y2={size.height} className={own.wall} />
          )}
          {wrist !== undefined && (
            <line x1={wrist.x} x2={wrist.x} y1={0} y2={size.height} className={own.upright} />
          )}
          {seen !== null && (
            <>
              <polyline
                points={through({ hip: near.hip, ...seen.marks.far } as MarkSet, [
                  'hip',
                  ...farLeg,
                ])}
                className={own.far}
              />
              <polyline points={through(near, chain)} className={own.near} />
              <polyline points={through(near, ['shoulder', 'ear'])} className={own.near} />
            </>
          )}
        </svg>
      </div>
      <div className={own.side}>
        <section aria-label="Clock" className={own.clock} data-bar={isAtBar} data-on={isArmed}>
          <p className={own.figure}>
            {isHold ? figure.toFixed(1) : String(figure)}
            <span>{isHold ? ' s' : ' at the wall'}</span>
          </p>
          <p role="status">
            {!isArmed
              ? 'The clock stands.'
              : clock.sinceS !== null
                ? `${person.name} is up.`
                : clock.hops === 0
                  ? `Armed for ${person.name}: it starts when both feet leave the floor.`
                  : `Down again. ${clock.hops} ${clock.hops === 1 ? 'try' : 'tries'}, ${clock.reached} at the wall.`}
          </p>
          {isHold && clock.sinceS === null && clock.longestS > 0 && (
            <p className={classes.note}>
              Give or take {clock.longestErrS.toFixed(1)} s: so far apart this device can look.
            </p>
          )}
          <p className={classes.note}>
            The bar: {bar} {isHold ? 's' : 'that reach the wall'}. A bell sounds there.
          </p>
        </section>
        <SegmentedControl
          aria-label="What is timed"
          orientation="vertical"
          fullWidth
          value={check}
          data={timedIds.map((value) => ({ value, label: getCheck(value).label }))}
          onChange={(value) => setCheck(value as TimedCheck)}
          disabled={isArmed}
        />
        <Button
          size="xl"
          onClick={isArmed ? live.disarm : live.arm}
          color={isArmed ? 'red' : 'green'}
        >
          {isArmed ? 'Stop the clock' : `Arm it for ${person.name}`}
        </Button>
        {live.problem !== null && <p className={classes.problem}>{live.problem}</p>}
        {isDown && wallPercent === null && (
          <p className={classes.note}>Show where the wall stands: what is at the wall needs it.</p>
        )}
        <OfferList view={view} offers={offers} by="camera" faults={[]} />
        <dl className={own.lines} aria-label="Lines">
          {chosen.map((id) => {
            const found = reading?.measures[id];
            return (
              <div key={id}>
                <dt>{firstUp(getMeasure(id).label)}</dt>
                <dd>{found === undefined ? '–' : sayValue(found, units)}</dd>
              </div>
            );
          })}
        </dl>
        <Chip.Group
          multiple
          value={[...chosen]}
          onChange={(value) =>
            setChosen(shown.filter((id) => value.includes(id)).slice(0, mostShown))
          }
        >
          <Group gap={6}>
            {shown.map((id) => (
              <Chip
                key={id}
                value={id}
                size="xs"
                disabled={chosen.length >= mostShown && !chosen.includes(id)}
              >
                {getMeasure(id).label}
              </Chip>
            ))}
          </Group>
        </Chip.Group>
        <Group grow align="flex-end">
          <NativeSelect
            label="Weight on"
            value={base}
            disabled={isArmed}
            data={plumbBases
              .filter((one) => one !== 'feet')
              .map((value) => ({ value, label: value }))}
            onChange={({ currentTarget: { value } }) => setBase(value as PlumbBase)}
          />
          <Button
            variant="default"
            onClick={() => setWallPercent(wallPercent === null ? 85 : null)}
          >
            {wallPercent === null ? 'Mark the wall' : 'No wall'}
          </Button>
        </Group>
        {wallPercent !== null && (
          <Slider
            thumbLabel="Where the wall stands"
            label={null}
            min={0}
            max={100}
            step={0.5}
            value={wallPercent}
            onChange={setWallPercent}
          />
        )}
        <Button variant="default" onClick={camera.close}>
          Close the camera
        </Button>
      </div>
    </div>
  );
}
