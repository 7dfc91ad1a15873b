import { resolveBody } from '../../body/body';
import { seededRandom } from '../../random';
import type { MarkName } from '../marks';
import { kickWishes, practiceClip } from '../practiceClip';
import { kick, makeClip, type Moment } from '../testing/kick';
import { level } from '../testing/project';
import { settle } from './contacts';
import { readClip, type ClipEventKind } from './clip';
import { untangle, type ClipFrame, type ClipInput } from './frames';

const times = (input: ClipInput, kind: ClipEventKind) =>
  readClip(input)
    .events.filter((event) => event.kind === kind)
    .map(({ atS }) => atS);

function expectNear(found: readonly number[], wanted: readonly number[], withinS = 0.1): void {
  expect(found).toHaveLength(wanted.length);
  found.forEach((atS, index) =>
    expect(Math.abs(atS - wanted[index]!)).toBeLessThanOrEqual(withinS),
  );
}

/** Frames changed one by one. */
const changed = (
  input: ClipInput,
  change: (frame: ClipFrame, index: number) => ClipFrame,
): ClipInput => ({ ...input, frames: input.frames.map(change) });

const without = (frame: ClipFrame, ...names: readonly MarkName[]): ClipFrame => ({
  ...frame,
  marks: {
    ...frame.marks,
    near: Object.fromEntries(
      Object.entries(frame.marks.near).filter(([name]) => !names.some((one) => one === name)),
    ),
  },
});

describe('a clip', () => {
  it.each([10, 20, 30])('finds the events of a kick at %i frames a second', (framesPerS) => {
    const input = makeClip(kick, { framesPerS });
    const reading = readClip(input);
    expect(reading.leadingLeg).toBe('far');
    expectNear(times(input, 'leaves-floor'), [1.03]);
    expectNear(times(input, 'hips-over'), [1.35]);
    expectNear(times(input, 'touches-wall'), [1.55]);
    expectNear(times(input, 'leaves-wall'), [2.43]);
    expectNear(times(input, 'lands'), [4.98]);
    const { measures } = reading;
    expect(measures.hops).toEqual({ value: 1, low: 1, high: 1, unit: 'count' });
    expect(measures.wallTouches!.value).toBe(1);
    expect(measures.offWallS!.value).toBeGreaterThan(1.5);
    expect(measures.invertedS!.value).toBeGreaterThan(measures.offWallS!.value);
    expect(measures.invertedS!.high - measures.invertedS!.value).toBeCloseTo(1 / framesPerS, 6);
    expect(measures.liftS!.value + measures.invertedS!.value + measures.exitS!.value).toBeCloseTo(
      times(input, 'lands')[0]! - times(input, 'leaves-floor')[0]!,
      6,
    );
  });

  it('is the same mirrored, tilted and seen from nearer', () => {
    const plain = readClip(makeClip());
    const other = readClip(
      makeClip(kick, {
        camera: { pxPerM: 700, tiltDeg: -12, facing: 'left', originPx: [900, 1800] },
      }),
    );
    expect(other.events).toEqual(plain.events);
    expect(other.tiltDeg).toBeCloseTo(-12, 6);
    for (const [id, { value }] of Object.entries(plain.measures)) {
      expect(other.measures[id as 'swayM']!.value).toBeCloseTo(value, 4);
    }
  });

  it('keeps its times to a tenth of a second with a noisy reader', () => {
    const random = seededRandom(3);
    const input = makeClip(kick, { noise: () => (random() - 0.5) * 8 });
    expectNear(times(input, 'leaves-floor'), [1.03]);
    expectNear(times(input, 'lands'), [4.98]);
    expectNear(times(input, 'touches-wall'), [1.55]);
  });

  it('reads the leading knee, whichever frame is the worst', () => {
    const straight = readClip(makeClip());
    expect(straight.measures.kneeMinDeg!.value).toBeGreaterThan(175);
    expect(straight.faults.map(({ fault }) => fault)).not.toContain('knee-bends');
    const bent = readClip(makeClip(kick, { kneeOffM: 0.15, sd: 1 }));
    expect(bent.measures.kneeMinDeg!.high).toBeLessThan(160);
    expect(bent.faults.map(({ fault }) => fault)).toContain('knee-bends');
    // One frame in which the reader lost the knee decides nothing.
    const slipped = changed(makeClip(), (frame) =>
      Math.abs(frame.atS - 0.8) > 0.01
        ? frame
        : {
            ...frame,
            marks: {
              ...frame.marks,
              far: {
                ...frame.marks.far,
                knee: { x: frame.marks.far!.knee!.x + 150, y: frame.marks.far!.knee!.y },
              },
            },
          },
    );
    expect(readClip(slipped).measures.kneeMinDeg!.value).toBeGreaterThan(175);
  });

  it('measures drift, overshoot and landing', () => {
    const swung: readonly Moment[] = kick.map((moment) =>
      moment.atS === 1.6
        ? { ...moment, hip: [0.25, 1.08], shoulderX: 0.06 }
        : moment.atS > 1 && moment.atS < 4.5
          ? { ...moment, shoulderX: 0.06 }
          : moment,
    );
    const { measures, faults } = readClip(makeClip(swung, { sd: 1 }));
    expect(measures.pelvisOvershootM!.value).toBeGreaterThan(0.2);
    expect(measures.pelvisOvershootM!.low).toBeGreaterThan(0);
    expect(faults.map(({ fault }) => fault)).toContain('swing-kick');
    expect(readClip(makeClip()).measures.pelvisOvershootM!.value).toBeLessThan(0.08);
    // Up to the first inverted frame, so only what has come by then.
    expect(measures.shoulderDriftM!.value).toBeGreaterThan(0);
    expect(measures.shoulderDriftM!.value).toBeLessThanOrEqual(0.06 + 1e-9);
    expect(measures.landingMPerS!.value).toBeGreaterThan(1.5);
    expect(faults.map(({ fault }) => fault)).toContain('heavy-landing');
    const soft = kick.map((moment) =>
      moment.atS > 4.6 ? { ...moment, atS: moment.atS + (moment.atS === 5 ? 2.5 : 3) } : moment,
    );
    const gentle = readClip(makeClip(soft, { sd: 1 }));
    expect(gentle.measures.landingMPerS!.value).toBeLessThan(0.6);
    expect(gentle.faults.map(({ fault }) => fault)).not.toContain('heavy-landing');
  });

  it('takes the noise of the marks out of the sway', () => {
    const up = kick.filter(({ atS }) => atS >= 2.5 && atS <= 4);
    const held = up.map((moment) => ({ ...moment, atS: moment.atS - 2.5 }));
    expect(readClip(makeClip(held)).measures.swayM!.value).toBeCloseTo(0, 6);
    const random = seededRandom(11);
    const gauss = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    const shaken = readClip(makeClip(held, { framesPerS: 60, sd: 6, noise: () => 6 * gauss() }));
    // Six pixels are 15 mm; of the whole body's middle, less than 2 mm are left unexplained.
    expect(shaken.measures.swayM!.value).toBeLessThan(0.003);
    const swaying = kick.flatMap((moment): Moment[] =>
      moment.atS === 2.5
        ? [
            moment,
            ...Array.from({ length: 14 }, (_, index): Moment => {
              const x = 0.05 * (index % 2 === 0 ? 1 : -1);
              return {
                atS: 2.6 + index * 0.1,
                hip: [x, 1.08],
                near: [2 * x, 1.95],
                far: [2 * x, 1.95],
              };
            }),
          ]
        : [moment],
    );
    const { swayM } = readClip(makeClip(swaying)).measures;
    expect(swayM!.value).toBeGreaterThan(0.02);
    expect(swayM!.value).toBeLessThan(0.06);
  });

  it('counts hops, but none that was under way when the clip began', () => {
    const hop = (from: number): Moment[] => [
      { atS: from, hip: [-0.45, 0.9], near: [-0.95, 0.09], far: [-0.95, 0.09] },
      { atS: from + 0.2, hip: [-0.3, 1.1], near: [-0.6, 0.7], far: [-0.6, 0.7] },
      { atS: from + 0.4, hip: [-0.45, 0.9], near: [-0.95, 0.09], far: [-0.95, 0.09] },
    ];
    const three = [...hop(0.5), ...hop(1.5), ...hop(2.5)];
    const start: Moment = { ...three[0]!, atS: 0 };
    const reading = readClip(makeClip([start, ...three, { ...start, atS: 3.5 }]));
    expect(reading.measures.hops!.value).toBe(3);
    // Both leave together: nobody leads; and it never goes upside down.
    expect(reading.leadingLeg).toBeNull();
    expect(reading.measures.invertedS).toBeUndefined();
    const cut = changed(makeClip(kick), (frame) => frame);
    const late = { ...cut, frames: cut.frames.filter(({ atS }) => atS >= 2) };
    const cutReading = readClip(late);
    expect(cutReading.measures.hops!.value).toBe(0);
    expect(cutReading.measures.liftS).toBeUndefined();
    expect(cutReading.events.map(({ kind }) => kind)).toEqual(['leaves-wall', 'lands']);
  });

  it('bridges a short gap, and ends what a long one interrupts', () => {
    const lost = (fromS: number, toS: number) =>
      changed(makeClip(), (frame) =>
        frame.atS > fromS && frame.atS < toS ? without(frame, 'hip', 'shoulder') : frame,
      );
    const short = readClip(lost(2.99, 3.21));
    expect(short.measures.invertedS!.value).toBeCloseTo(
      readClip(makeClip()).measures.invertedS!.value,
      6,
    );
    expect(short.notes.join()).not.toContain('lost');
    const long = readClip(lost(2.99, 3.41));
    expect(long.measures.invertedS!.value).toBeLessThan(2.2);
    expect(long.notes.join()).toContain('Hip or shoulder is lost');
    // The rest was under way when it came into sight again.
    expect(long.measures.hops!.value).toBe(1);
  });

  it('lets the near leg stand for both where no far one is marked', () => {
    const near = changed(makeClip(), ({ atS, marks }) => ({ atS, marks: { near: marks.near } }));
    const reading = readClip(near);
    expect(reading.leadingLeg).toBe('near');
    expect(reading.notes.join()).toContain('stands for both');
    expectNear(times(near, 'leaves-floor'), [1.03]);
  });

  it('finds contacts without a floor line, and without heels and toes', () => {
    const { floor: _, ...noFloor } = makeClip();
    expectNear(times(noFloor, 'leaves-floor'), [1.03]);
    expectNear(times(noFloor, 'lands'), [4.98]);
    const ankles = changed(makeClip(), (frame) => ({
      atS: frame.atS,
      marks: {
        near: without(frame, 'heel', 'toe').marks.near,
        far: without({ ...frame, marks: { near: frame.marks.far! } }, 'heel', 'toe').marks.near,
      },
    }));
    expectNear(times(ankles, 'leaves-floor'), [1.03]);
  });

  it('puts swapped legs right, and leaves legs that pass each other alone', () => {
    const input = makeClip();
    const swapped = changed(input, (frame) =>
      frame.atS > 0.79 && frame.atS < 0.91
        ? {
            ...frame,
            marks: {
              near: { ...frame.marks.near, ...frame.marks.far },
              far: Object.fromEntries(
                (['knee', 'ankle', 'heel', 'toe'] as const).map((name) => [
                  name,
                  frame.marks.near[name]!,
                ]),
              ),
            },
          }
        : frame,
    );
    expect(readClip(swapped).events).toEqual(readClip(input).events);
    expect(readClip(swapped).leadingLeg).toBe('far');
    expect(untangle(input.frames, 1.7 * level.pxPerM)).toEqual(input.frames);
  });

  it('takes one foot that comes as the other goes for one stay at the wall', () => {
    const input = makeClip(kick, { framesPerS: 10 });
    const aside = (marks: ClipFrame['marks']['near'], isAway: boolean) =>
      Object.fromEntries(
        Object.entries(marks).map(([name, mark]) => [
          name,
          isAway && ['toe', 'heel', 'ankle'].includes(name) ? { ...mark, x: mark.x - 120 } : mark,
        ]),
      );
    /** @param gap frames in which neither foot is at the wall */
    const handedOver = (gap: number) =>
      changed(input, (frame) => {
        const tenth = Math.round(frame.atS * 10);
        const { near, far = {} } = frame.marks;
        return {
          ...frame,
          marks: {
            near: aside(near, tenth >= 15 && tenth < 20),
            far: aside(far, tenth >= 20 - gap && tenth <= 26),
          },
        };
      });
    for (const gap of [0, 1]) {
      expectNear(times(handedOver(gap), 'touches-wall'), [1.55]);
      expect(readClip(handedOver(gap)).measures.wallTouches!.value).toBe(1);
    }
    // Two frames decide.
    expectNear(times(handedOver(2), 'touches-wall'), [1.55, 2]);
  });

  it.each([
    ['hidden behind the near one from the wall on', 2.5, 5.8],
    ['hidden just before both leave', 3.3, 5.8],
    ['hidden and seen again while both are away', 2.5, 4.6],
  ])('leaves the wall with the foot that is seen: the far one %s', (_, from, to) => {
    const input = practiceClip(resolveBody({ heightM: 1.7 }), kickWishes.placed, 10);
    const hidden = changed(input, (frame) =>
      frame.atS < from || frame.atS > to
        ? frame
        : { ...frame, marks: { near: frame.marks.near, far: {} } },
    );
    expectNear(times(hidden, 'leaves-wall'), times(input, 'leaves-wall'));
    const [seen, whole] = [readClip(hidden), readClip(input)];
    expect(seen.measures.offWallS!.value).toBeCloseTo(whole.measures.offWallS!.value, 1);
    expect(seen.measures.hops!.value).toBe(1);
  });

  it('takes a far foot that is hidden from before the jump for one that leaves with the near one', () => {
    const input = practiceClip(resolveBody({ heightM: 1.7 }), kickWishes.placed, 10);
    const hidden = changed(input, (frame) =>
      frame.atS < 0.7 ? frame : { ...frame, marks: { near: frame.marks.near, far: {} } },
    );
    expectNear(times(hidden, 'leaves-floor'), times(input, 'leaves-floor'));
    expect(readClip(hidden).measures.hops!.value).toBe(1);
  });

  it('leaves a far leg that leads out of the picture the one that leads', () => {
    const input = practiceClip(resolveBody({ heightM: 1.7 }), kickWishes.placed, 10);
    // The standing foot is still down as the other one is cut off at the top.
    const cut = changed(input, (frame) =>
      frame.atS < 1.4 || frame.atS > 2
        ? frame
        : { ...frame, marks: { near: frame.marks.near, far: {} } },
    );
    expect(readClip(cut).leadingLeg).toBe('far');
    expectNear(times(cut, 'leaves-floor'), times(input, 'leaves-floor'));
  });

  it('says degrees and seconds without a scale, and no metres', () => {
    const { scale: _, ...bare } = makeClip();
    const { measures, metresPerPixel } = readClip(bare);
    expect(metresPerPixel).toBeNull();
    expect(Object.keys(measures).sort()).toEqual(
      ['exitS', 'hops', 'invertedS', 'kneeMinDeg', 'liftS', 'offWallS', 'wallTouches'].sort(),
    );
  });

  it('takes all the time upside down where no wall is marked, and says so', () => {
    const { wall: _, ...open } = makeClip();
    const { measures, notes } = readClip(open);
    expect(measures.offWallS).toEqual(measures.invertedS);
    expect(measures.wallTouches).toBeUndefined();
    expect(notes.join()).toContain('No wall is marked');
  });

  it('names the frame that is wrong', () => {
    const input = makeClip();
    const late = changed(input, (frame, index) => (index === 2 ? { ...frame, atS: 0 } : frame));
    expect(() => readClip(late)).toThrow(expect.objectContaining({ path: ['frames', 2, 'atS'] }));
    const empty = changed(input, ({ atS }) => ({ atS, marks: { near: {} } }));
    expect(() => readClip(empty)).toThrow(expect.objectContaining({ path: ['frames'] }));
    const same = changed(input, (frame, index) =>
      index === 4
        ? { ...frame, marks: { near: { ...frame.marks.near, hip: frame.marks.near.shoulder! } } }
        : frame,
    );
    expect(() => readClip(same)).toThrow(
      expect.objectContaining({ path: ['frames', 4, 'marks', 'near', 'hip'] }),
    );
  });
});

it('lets a state hold from two frames on, and dates it from the first of them', () => {
  const say = (text: string) =>
    settle([...text].map((one) => one === '1'))
      .map(Number)
      .join('');
  expect(say('0010011011')).toBe('0000011111');
  expect(say('1000')).toBe('0000');
  expect(say('0001')).toBe('0000');
  expect(say('1101100')).toBe('1111100');
  expect(say('')).toBe('');
});
