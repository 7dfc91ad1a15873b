import fc from 'fast-check';
import { resolveBody } from '../body/body';
import type { Mark, MarkSet } from './marks';
import { practiceSize, practiceTruth } from './practice';
import { settleMarks, type Stance } from './settle';

const heights = fc.double({ min: 1.45, max: 2, noNaN: true });
const apart = (a: Mark | undefined, b: Mark | undefined) =>
  a === undefined || b === undefined ? NaN : Math.hypot(a.x - b.x, a.y - b.y);
const trueMarks = (heightM: number, shape: 'handstand' | 'forearmStandWall' | 'plank'): MarkSet => {
  const truth = practiceTruth(resolveBody({ heightM }), { shape });
  if (truth.view !== 'side') throw new Error('from the side');
  return truth.marks.near;
};

/** Nothing lies on the floor, or nobody knows which way it runs. */
const unknown: Stance = { shape: null, base: 'feet', facing: null };

describe('marks brought together with the lengths of the person', () => {
  it('leaves alone what agrees with them, whatever the scale', () => {
    fc.assert(
      fc.property(
        heights,
        fc.constantFrom('handstand', 'forearmStandWall', 'plank'),
        fc.double({ min: 0.3, max: 3, noNaN: true }),
        (heightM, shape, zoom) => {
          const near = Object.fromEntries(
            Object.entries(trueMarks(heightM, shape)).map(([name, { x, y }]) => [
              name,
              { x: x * zoom, y: y * zoom },
            ]),
          ) as MarkSet;
          const settled = settleMarks(near, resolveBody({ heightM }), unknown);
          for (const [name, mark] of Object.entries(near)) {
            expect(apart(settled[name as keyof MarkSet], mark)).toBeLessThan(1e-3);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  it('puts a shoulder that was read along the arm back towards its place, and the hip stays', () => {
    fc.assert(
      fc.property(
        heights,
        fc.constantFrom('handstand', 'forearmStandWall', 'plank'),
        fc.double({ min: 0.03, max: 0.07, noNaN: true }),
        (heightM, shape, alongM) => {
          const near = trueMarks(heightM, shape);
          const { shoulder, elbow } = near;
          const share = (practiceSize.pxPerM * alongM) / apart(shoulder, elbow);
          const read = {
            ...near,
            shoulder: {
              x: shoulder!.x + (elbow!.x - shoulder!.x) * share,
              y: shoulder!.y + (elbow!.y - shoulder!.y) * share,
            },
          };
          const settled = settleMarks(read, resolveBody({ heightM }), unknown);
          expect(apart(settled.shoulder, shoulder)).toBeLessThan(
            0.6 * apart(read.shoulder, shoulder),
          );
          expect(apart(settled.hip, near.hip)).toBeLessThan(0.1 * apart(read.shoulder, shoulder));
        },
      ),
      { numRuns: 60 },
    );
  });

  it('goes by what was measured of this person', () => {
    const near = trueMarks(1.7, 'handstand');
    const usual = resolveBody({ heightM: 1.7 });
    const long = resolveBody({ heightM: 1.7, lengths: { trunk: usual.lengths.trunk + 0.05 } });
    expect(apart(settleMarks(near, usual, unknown).shoulder, near.shoulder)).toBeLessThan(1e-3);
    expect(apart(settleMarks(near, long, unknown).shoulder, near.shoulder)).toBeGreaterThan(5);
  });

  it('stretches no thigh that points out of the picture', () => {
    const near = trueMarks(1.7, 'handstand');
    const { hip, knee } = near;
    // Folded, the knee half as far away as it is long, the shank back towards the hip.
    const folded = {
      ...near,
      knee: { x: hip!.x + 0.5 * apart(hip, knee), y: hip!.y },
      ankle: { x: hip!.x + 10, y: hip!.y - 60 },
    };
    const settled = settleMarks(folded, resolveBody({ heightM: 1.7 }), unknown);
    expect(settled.knee).toMatchObject(folded.knee);
    expect(settled.ankle).toMatchObject(folded.ankle);
  });

  it('keeps deviations, and everything where too little is seen', () => {
    const near = trueMarks(1.7, 'handstand');
    const { wrist, elbow, hip, toe } = near;
    const few = { wrist: wrist!, elbow: { ...elbow!, sd: 4 }, hip: hip!, toe: toe! };
    const body = resolveBody({ heightM: 1.7 });
    expect(settleMarks(few, body, unknown)).toEqual(few);
    const moved = settleMarks(
      { ...near, elbow: { x: elbow!.x + 30, y: elbow!.y, sd: 4 } },
      body,
      unknown,
    );
    expect(moved.elbow?.sd).toBe(4);
    expect(moved.toe).toEqual(toe);
  });
});

describe('what lies flat on the floor', () => {
  const body = resolveBody({ heightM: 1.7 });
  const shapes = ['handstand', 'plank', 'forearmStand', 'dolphin'] as const;
  interface Taken {
    readonly shape: (typeof shapes)[number];
    readonly tiltDeg: number;
    readonly facing: 'left' | 'right';
  }
  const takes = fc.record<Taken>({
    shape: fc.constantFrom(...shapes),
    tiltDeg: fc.double({ min: -5, max: 5, noNaN: true }),
    facing: fc.constantFrom('left', 'right'),
  });

  /** Where the joints are, with the knuckle on the floor before the wrist; `shift` is along it and up. */
  function seen({ shape, tiltDeg, facing }: Taken) {
    const truth = practiceTruth(body, { shape, tiltDeg });
    if (truth.view !== 'side') throw new Error('from the side');
    const [from, to] = truth.floor;
    const long = Math.hypot(to[0] - from[0], to[1] - from[1]);
    const [ux, uy] = [(to[0] - from[0]) / long, (to[1] - from[1]) / long];
    const moved = ({ x, y }: Mark, aheadM: number, upM = 0): Mark => {
      const [ahead, up] = [aheadM * practiceSize.pxPerM, upM * practiceSize.pxPerM];
      return { x: x + ux * ahead + uy * up, y: y + uy * ahead - ux * up };
    };
    const { near } = truth.marks;
    const right = { ...near, knuckle: moved(near.wrist!, body.lengths.knuckle) };
    const mirrored = (marks: MarkSet) =>
      Object.fromEntries(
        Object.entries(marks).map(([name, { x, y }]) => [name, { x: practiceSize.width - x, y }]),
      ) as MarkSet;
    const facingTo = (marks: MarkSet) => (facing === 'right' ? marks : mirrored(marks));
    // A mirrored picture falls to the other side.
    const tilt = facing === 'right' ? tiltDeg : -tiltDeg;
    return {
      right,
      moved,
      facingTo,
      stance: { shape, base: 'feet', facing, tiltDeg: tilt } as const,
    };
  }

  it('stays where it is', () => {
    fc.assert(
      fc.property(takes, (take) => {
        const { right, facingTo, stance } = seen(take);
        const marks = facingTo(right);
        const settled = settleMarks(marks, body, stance);
        for (const name of ['knuckle', 'wrist', 'elbow', 'shoulder'] as const) {
          expect(apart(settled[name], marks[name])).toBeLessThan(1);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('brings a wrist that was read into the hand back to where the hand begins', () => {
    fc.assert(
      fc.property(takes, fc.double({ min: 0.03, max: 0.07, noNaN: true }), (take, aheadM) => {
        const { right, moved, facingTo, stance } = seen(take);
        const read = facingTo({ ...right, wrist: moved(right.wrist!, aheadM, 0.02) });
        const wrist = facingTo(right).wrist;
        const without = settleMarks(read, body, { ...stance, facing: null });
        const settled = settleMarks(read, body, stance);
        expect(apart(settled.wrist, wrist)).toBeLessThan(0.6 * apart(read.wrist, wrist));
        expect(apart(settled.wrist, wrist)).toBeLessThan(apart(without.wrist, wrist));
      }),
      { numRuns: 60 },
    );
  });

  it('bends no elbow backwards, and leaves one that is bent as it was read', () => {
    const bendOf = ({ shoulder, elbow, wrist }: MarkSet) => {
      const way = (from: Mark, to: Mark) => Math.atan2(to.y - from.y, to.x - from.x);
      const turn = way(elbow!, wrist!) - way(shoulder!, elbow!);
      return Math.abs((Math.atan2(Math.sin(turn), Math.cos(turn)) * 180) / Math.PI);
    };
    const straight = takes.filter(({ shape }) => shape === 'handstand');
    fc.assert(
      fc.property(straight, fc.double({ min: 0.02, max: 0.05, noNaN: true }), (take, offM) => {
        const { right, moved, facingTo, stance } = seen(take);
        const readAt = (aheadM: number) =>
          facingTo({ ...right, elbow: moved(right.elbow!, aheadM, 0) });
        const nobodyKnows = { ...stance, facing: null };
        const backwards = settleMarks(readAt(offM), body, stance);
        expect(bendOf(backwards)).toBeLessThan(2);
        expect(bendOf(backwards)).toBeLessThan(
          0.6 * bendOf(settleMarks(readAt(offM), body, nobodyKnows)),
        );
        const bent = settleMarks(readAt(-offM), body, stance);
        expect(bendOf(bent)).toBeGreaterThan(
          0.9 * bendOf(settleMarks(readAt(-offM), body, nobodyKnows)),
        );
      }),
      { numRuns: 60 },
    );
  });

  it.each([
    ['a hand that stands on end', [0, 0.09] as const],
    ['a hand that points backwards', [-0.09, 0] as const],
  ])('is not laid flat: %s', (_, [aheadM, upM]) => {
    const { right, moved, stance } = seen({ shape: 'handstand', tiltDeg: 0, facing: 'right' });
    const read = { ...right, knuckle: moved(right.wrist!, aheadM, upM) };
    expect(settleMarks(read, body, stance)).toEqual(
      settleMarks(read, body, { ...stance, facing: null }),
    );
  });

  it('goes by what carries where no shape is said, and by the shape where one is', () => {
    const { right, moved, stance } = seen({ shape: 'forearmStand', tiltDeg: 0, facing: 'right' });
    const read = { ...right, elbow: moved(right.elbow!, 0.03, 0.05) };
    const off = (over: Partial<Stance>) =>
      apart(settleMarks(read, body, { ...stance, ...over }).elbow, right.elbow);
    // Of a standing person, or of hands alone, the forearm may point anywhere.
    const [standing, hands, forearms] = (['feet', 'hands', 'forearms'] as const).map((base) =>
      off({ shape: null, base }),
    );
    expect(forearms!).toBeLessThan(0.8 * standing!);
    expect(forearms!).toBeLessThan(0.9 * hands!);
    expect(off({ shape: 'forearmStand', base: 'feet' })).toBeCloseTo(forearms!, 6);
    expect(off({ shape: 'shoulderStand', base: 'feet' })).toBeCloseTo(standing!, 6);
  });
});
