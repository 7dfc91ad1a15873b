'use client';

import { Button, Chip, Group, NativeSelect, SegmentedControl, Slider } from '@mantine/core';
import { IconCamera } from '@tabler/icons-react';
import { useEffect, useMemo, useRef, useState } from 'react';
import { resolveBody } from '@/core/body/body';
import { getCheck, type BaseId } from '@/core/catalog/checks';
import { InputProblem } from '@/core/problem';
import { readClip } from '@/core/plumb/clip/clip';
import { heldS, type ClockStop } from '@/core/plumb/clip/clock';
import { readHolds } from '@/core/plumb/clip/holds';
import { clipChecks, offersOfClip, timedChecks, upOn, type TimedCheck } from '@/core/plumb/feeds';
import type { MarkName, MarkSet, PixelLine } from '@/core/plumb/marks';
import { getMeasure, type StillMeasureId } from '@/core/plumb/measureTable';
import { settleMarks } from '@/core/plumb/settle';
import { basePoint, readStill } from '@/core/plumb/still';
import { sayValue } from '@/core/plumb/words';
import { firstUp } from '@/core/units/words';
import { soundBell, wakeSound } from '@/design/sound';
import { useNow, useWakeLock } from '@/design/useNow';
import { barIn } from '../Offers';
import type { PlumbLook } from '../look';
import { OfferList } from '../OfferList';
import type { PlumbView } from '../read';
import { useCamera } from './useCamera';
import { useLive, type LiveFacts } from './useLive';
import classes from '../plumb.module.css';
import own from './camera.module.css';

interface CameraPaneProps {
  readonly view: PlumbView;
  /** The shape or the check that somebody came from. */
  readonly opened: PlumbLook;
}

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

/** What is taken for the upright where the base point itself is hidden. */
const beside: Readonly<Record<BaseId, MarkName>> = {
  hands: 'elbow',
  forearms: 'wrist',
  head: 'ear',
};

/** Wall and floor as they were marked, in shares of the picture; the camera stands level. */
function linesAt(
  { width, height }: { readonly width: number; readonly height: number },
  wallPercent: number | null,
  floorPercent: number | null,
): { readonly wall: PixelLine | null; readonly floor: PixelLine | null } {
  const x = (width * (wallPercent ?? 0)) / 100;
  const y = height - (height * (floorPercent ?? 0)) / 100;
  return {
    wall:
      wallPercent === null
        ? null
        : [
            [x, height],
            [x, 0],
          ],
    floor:
      floorPercent === null
        ? null
        : [
            [0, y],
            [width, y],
          ],
  };
}

function through(set: MarkSet, names: readonly (keyof MarkSet)[]): string {
  const points = names.flatMap((name) => {
    const mark = set[name];
    return mark === undefined ? [] : [`${mark.x},${mark.y}`];
  });
  return points.join(' ');
}

interface MarkSliderProps {
  readonly words: string;
  readonly thumbLabel: string;
  readonly max: number;
  /** Percent of the picture. */
  readonly value: number;
  readonly onChange: (value: number) => void;
}

/** Moves a line over the picture. */
const MarkSlider = ({ words, ...rest }: MarkSliderProps) => (
  <div className={classes.zoom}>
    <span aria-hidden="true">{words}</span>
    <Slider {...rest} label={null} min={0} step={0.5} />
  </div>
);

/** The live picture with its plumb line, a few lines large enough for the mat, and a clock without hands. */
export function CameraPane({ view, opened }: CameraPaneProps) {
  const { person, units } = view;
  const camera = useCamera();
  const video = useRef<HTMLVideoElement>(null);
  const [base, setBase] = useState<BaseId>(upOn.find((one) => one === opened.base) ?? 'hands');
  const [check, setCheck] = useState<TimedCheck>(opened.timed ?? 'wall-hold');
  const bases: readonly BaseId[] = clipChecks[check].bases;
  const pickCheck = (next: TimedCheck) => {
    const taken: readonly BaseId[] = clipChecks[next].bases;
    setCheck(next);
    // A check that is not taken on this base is on its own.
    if (!taken.includes(base)) setBase(taken[0]!);
  };
  const [chosen, setChosen] = useState<readonly StillMeasureId[]>(['shoulderOverBase', 'hipBend']);
  const [wallPercent, setWallPercent] = useState<number | null>(null);
  const [floorPercent, setFloorPercent] = useState<number | null>(null);
  const [size, setSize] = useState({ width: 640, height: 480 });
  const facts = useMemo((): LiveFacts => {
    const { wall, floor } = linesAt(size, wallPercent, floorPercent);
    return {
      base,
      body: person.body,
      scale: { segment: 'thigh' },
      ...(wall === null ? {} : { wall }),
      ...(floor === null ? {} : { floor }),
    };
  }, [base, person.body, wallPercent, floorPercent, size]);
  const stop: ClockStop = clipChecks[check].clock;
  const body = useMemo(() => resolveBody(person.body), [person.body]);
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
  // As of a picture that is taken: the same line read twice says the same, and is drawn where it is said.
  const near = useMemo((): MarkSet => {
    if (seen === null) return {};
    const { near: read, facing, tiltDeg } = seen.marks;
    return settleMarks(read, body, { shape: null, base: facts.base, facing, tiltDeg });
  }, [seen, facts.base, body]);
  const reading = useMemo(() => {
    if (seen === null) return null;
    try {
      const { far, facing } = seen.marks;
      return readStill({ ...facts, view: 'side', facing: facing ?? 'right', marks: { near, far } });
    } catch (error) {
      if (error instanceof InputProblem) return null;
      throw error;
    }
  }, [seen, near, facts]);
  // What was seen is offered once nobody is up any more.
  const isDown = clock.sinceS === null && clock.hops > 0;
  const offers = useMemo(() => {
    if (!isDown || taken === null) return [];
    // What it was held on then, whatever is chosen for the next one.
    const { base: heldOn, wall } = taken;
    return offersOfClip(readClip(taken), {
      base: heldOn,
      hasWall: wall !== undefined,
      holds: readHolds(taken),
    }).filter((one) => one.check === check);
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
  const carries = near[basePoint[base]] ?? near[beside[base]];
  const drawn = linesAt(size, wallPercent, floorPercent);
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
          {[drawn.wall, drawn.floor].map(
            (line, index) =>
              line !== null && (
                <line
                  key={index}
                  x1={line[0][0]}
                  y1={line[0][1]}
                  x2={line[1][0]}
                  y2={line[1][1]}
                  className={own.wall}
                />
              ),
          )}
          {carries !== undefined && (
            <line x1={carries.x} x2={carries.x} y1={0} y2={size.height} className={own.upright} />
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
          data={timedChecks.map((value) => ({ value, label: getCheck(value).label }))}
          onChange={(value) => pickCheck(value as TimedCheck)}
          disabled={isArmed}
        />
        <Button
          size="xl"
          onClick={isArmed ? live.disarm : live.arm}
          {...(isArmed ? { color: 'var(--lv-stop)' } : {})}
        >
          {isArmed ? 'Stop the clock' : `Arm it for ${person.name}`}
        </Button>
        {live.problem !== null && <p className={classes.problem}>{live.problem}</p>}
        {isDown && clipChecks[check].atWall && wallPercent === null && (
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
        <NativeSelect
          label="Weight on"
          value={base}
          disabled={isArmed}
          data={bases.map((value) => ({ value, label: value }))}
          onChange={({ currentTarget: { value } }) => setBase(value as BaseId)}
        />
        <Group grow>
          <Button
            variant="default"
            onClick={() => setWallPercent(wallPercent === null ? 85 : null)}
          >
            {wallPercent === null ? 'Mark the wall' : 'No wall'}
          </Button>
          <Button
            variant="default"
            onClick={() => setFloorPercent(floorPercent === null ? 8 : null)}
          >
            {floorPercent === null ? 'Mark the floor' : 'No floor'}
          </Button>
        </Group>
        {wallPercent !== null && (
          <MarkSlider
            words="Wall"
            thumbLabel="Where the wall stands"
            max={100}
            value={wallPercent}
            onChange={setWallPercent}
          />
        )}
        {floorPercent !== null && (
          <MarkSlider
            words="Floor"
            thumbLabel="How high in the picture the floor lies"
            max={60}
            value={floorPercent}
            onChange={setFloorPercent}
          />
        )}
        {chosen.includes('headClearance') && floorPercent === null && (
          <p className={classes.note}>How high the head is needs the floor: mark it.</p>
        )}
        <Button variant="default" onClick={camera.close}>
          Close the camera
        </Button>
      </div>
    </div>
  );
}
