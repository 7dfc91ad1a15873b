import { resolveBody } from '../body/body';
import { distanceOf } from '../posture/geometry';
import { readClip } from './clip/clip';
import { heldS, joinClocks, readClock } from './clip/clock';
import { courseOf, tellingFrames, writeVtt } from './clip/course';
import { clipSize, kickAt, kickWishes, practiceClip, type PracticeKick } from './practiceClip';

const heights = [1.48, 1.7, 1.96];
const kicks = Object.keys(kickWishes) as PracticeKick[];
const body = resolveBody({ heightM: 1.7 });
const clipOf = (kick: PracticeKick, framesPerS = 20) =>
  practiceClip(body, kickWishes[kick], framesPerS);
const readKick = (kick: PracticeKick, framesPerS?: number) =>
  readClip({ ...clipOf(kick, framesPerS), body: { heightM: 1.7 } });

describe('a painted kick', () => {
  it.each(heights.flatMap((heightM) => kicks.map((kick) => [heightM, kick] as const)))(
    'keeps every limb as long as it is and every foot above the floor (%s m, %s)',
    (heightM, kick) => {
      const one = resolveBody({ heightM });
      const { forearm, upperArm, trunk, thigh, shank } = one.lengths;
      let before = kickAt(one, kickWishes[kick], 0);
      for (let atS = 0; atS <= clipSize.durationS; atS += 0.02) {
        const joints = kickAt(one, kickWishes[kick], atS);
        const { wrist, elbow, shoulder, hip, otherLeg } = joints;
        expect(distanceOf(wrist, elbow)).toBeCloseTo(forearm, 9);
        expect(distanceOf(elbow, shoulder)).toBeCloseTo(upperArm, 9);
        expect(distanceOf(shoulder, hip)).toBeCloseTo(trunk, 9);
        for (const leg of [joints, otherLeg!]) {
          expect(distanceOf(hip, leg.knee)).toBeCloseTo(thigh, 6);
          expect(distanceOf(leg.knee, leg.ankle)).toBeCloseTo(shank, 6);
          expect(Math.min(leg.ankle[1], leg.toe[1])).toBeGreaterThan(-0.001);
        }
        // Nothing leaps from one frame to the next.
        expect(distanceOf(joints.ankle, before.ankle)).toBeLessThan(0.25);
        before = joints;
      }
    },
  );

  it('is placed, or has the faults that were asked for', () => {
    expect(readKick('placed').faults).toEqual([]);
    expect(readKick('thrown').faults.map(({ fault }) => fault)).toEqual([
      'knee-bends',
      'swing-kick',
      'heavy-landing',
    ]);
    const { exitS, liftS } = readKick('placed').measures;
    expect(exitS!.value).toBeGreaterThan(liftS!.value);
  });

  it('tells its events at ten frames a second as at fifty, to a tenth of a second and a half', () => {
    const [coarse, fine] = [readKick('thrown', 10), readKick('thrown', 50)];
    expect(coarse.events.map(({ kind }) => kind)).toEqual(fine.events.map(({ kind }) => kind));
    coarse.events.forEach(({ atS }, index) => {
      expect(Math.abs(atS - fine.events[index]!.atS)).toBeLessThanOrEqual(0.15);
    });
  });
});

describe('the course of a clip', () => {
  it('gives heights over the floor and the way to the wall in metres', () => {
    const course = courseOf({ ...clipOf('placed'), body: { heightM: 1.7 } });
    const at = (atS: number) => course.find((one) => Math.abs(one.atS - atS) < 1e-9)!;
    const held = kickAt(body, kickWishes.placed, 5);
    expect(at(5).hips).toBeCloseTo(held.hip[1], 2);
    expect(at(0).nearFoot).toBeLessThan(0.02);
    expect(at(3.2).toWall).toBeLessThan(0.04);
    expect(at(5).toWall).toBeGreaterThan(0.3);
  });

  it('is empty without a scale', () => {
    const { scale: _, ...rest } = clipOf('placed');
    expect(courseOf(rest)).toEqual([]);
  });

  it('picks at most six moments, in their order', () => {
    const reading = readKick('placed');
    const telling = tellingFrames(
      reading,
      clipOf('placed').frames.map(({ atS }) => atS),
    );
    expect(telling).toHaveLength(6);
    const times = telling.map(({ atS }) => atS);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(telling[0]!.words).toBe('before');
    expect(telling.at(-1)!.words).toBe('first foot down');
    expect(tellingFrames(reading, [])).toEqual([]);
  });

  it('writes its events as subtitles that end before the next begins', () => {
    expect(
      writeVtt([
        { kind: 'leaves-floor', atS: 1.5 },
        { kind: 'hips-over', atS: 1.9 },
        { kind: 'lands', atS: 3661.25 },
      ]),
    ).toBe(
      [
        'WEBVTT\n',
        '1\n00:00:01.500 --> 00:00:01.900\nlast foot off\n',
        '2\n00:00:01.900 --> 00:00:02.500\nhips over\n',
        '3\n01:01:01.250 --> 01:01:01.850\nfirst foot down\n',
      ].join('\n'),
    );
  });
});

describe('the hands-free clock', () => {
  const upTo = (atS: number, framesPerS = 4) => {
    const input = clipOf('placed', framesPerS);
    return { ...input, frames: input.frames.filter((frame) => frame.atS <= atS) };
  };

  it('stands, runs from both feet off, and stops when one comes back', () => {
    expect(readClock(upTo(1), 'floor').sinceS).toBeNull();
    const up = readClock(upTo(4), 'floor');
    expect(up.sinceS).toBeCloseTo(1.5, 0);
    expect(heldS(up)).toBeCloseTo(2.3, 0);
    const down = readClock(upTo(8), 'floor');
    const [off, lands] = (['leaves-floor', 'lands'] as const).map(
      (kind) => readKick('placed', 50).events.find((event) => event.kind === kind)!.atS,
    );
    expect(down).toMatchObject({ sinceS: null, hops: 1, wallTouches: 1 });
    // Even at four frames a second within three tenths.
    expect(Math.abs(down.longestS - (lands! - off!))).toBeLessThanOrEqual(0.3);
  });

  it('says how far off it may be where few pictures are read', () => {
    const truth = readKick('placed', 50).events;
    const [off, lands] = (['leaves-floor', 'lands'] as const).map(
      (kind) => truth.find((event) => event.kind === kind)!.atS,
    );
    for (const framesPerS of [2, 4, 10]) {
      const read = readClock(clipOf('placed', framesPerS), 'floor');
      expect(read.longestErrS).toBeCloseTo(2 / framesPerS, 6);
      expect(Math.abs(read.longestS - (lands! - off!))).toBeLessThanOrEqual(read.longestErrS);
    }
  });

  it('takes the wall for an end where that is asked', () => {
    const atWall = readClock(upTo(3.2, 10), 'wall');
    expect(atWall.sinceS).toBeNull();
    expect(atWall.lastS).toBeCloseTo(0.7, 0);
    const off = readClock(upTo(5.5, 10), 'wall');
    expect(off.sinceS).toBeCloseTo(3.8, 0);
    expect(readClock(upTo(8, 10), 'wall').longestS).toBeGreaterThan(2.4);
  });

  it('counts a hop that reaches the wall once, and none where no wall is', () => {
    const { wall: _, ...noWall } = clipOf('placed', 10);
    expect(readClock(clipOf('placed', 10), 'floor').reached).toBe(1);
    expect(readClock(noWall, 'floor')).toMatchObject({ hops: 1, reached: 0 });
  });

  it('does not count a hold that was under way when it was armed', () => {
    const input = clipOf('placed', 10);
    const late = { ...input, frames: input.frames.filter(({ atS }) => atS >= 4) };
    expect(readClock(late, 'floor')).toMatchObject({ hops: 0, longestS: 0, sinceS: null });
  });

  it('is the same in one stretch and in two that are parted with nobody up', () => {
    const one = clipOf('placed', 10);
    const later = one.frames.map(({ atS, marks }) => ({ atS: atS + 8.1, marks }));
    const all = { ...one, frames: [...one.frames, ...later] };
    const whole = readClock(all, 'floor');
    // Parted after the first landing, with what lies just before it.
    const parted = joinClocks(
      readClock(one, 'floor'),
      readClock({ ...all, frames: all.frames.slice(one.frames.length - 12) }, 'floor'),
    );
    expect(parted).toMatchObject({ hops: 2, wallTouches: 2, reached: 2, sinceS: null });
    expect(parted.longestS).toBeCloseTo(whole.longestS, 6);
    expect(whole.hops).toBe(2);
  });

  it('says nothing of frames in which nobody is seen', () => {
    const input = clipOf('placed', 10);
    const empty = {
      ...input,
      frames: input.frames.map(({ atS }) => ({ atS, marks: { near: {} } })),
    };
    expect(readClock(empty, 'floor').hops).toBe(0);
  });
});
