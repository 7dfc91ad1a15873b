import fc from 'fast-check';
import { resolveBody } from '../body/body';
import type { Mark, MarkSet } from './marks';
import { practiceSize, practiceTruth } from './practice';
import { settleMarks } from './settle';

const heights = fc.double({ min: 1.45, max: 2, noNaN: true });
const apart = (a: Mark | undefined, b: Mark | undefined) =>
  a === undefined || b === undefined ? NaN : Math.hypot(a.x - b.x, a.y - b.y);
const trueMarks = (heightM: number, shape: 'handstand' | 'forearmStandWall' | 'plank'): MarkSet => {
  const truth = practiceTruth(resolveBody({ heightM }), { shape });
  if (truth.view !== 'side') throw new Error('from the side');
  return truth.marks.near;
};

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
          const settled = settleMarks(near, resolveBody({ heightM }));
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
          const settled = settleMarks(read, resolveBody({ heightM }));
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
    expect(apart(settleMarks(near, usual).shoulder, near.shoulder)).toBeLessThan(1e-3);
    expect(apart(settleMarks(near, long).shoulder, near.shoulder)).toBeGreaterThan(5);
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
    const settled = settleMarks(folded, resolveBody({ heightM: 1.7 }));
    expect(settled.knee).toMatchObject(folded.knee);
    expect(settled.ankle).toMatchObject(folded.ankle);
  });

  it('keeps deviations, and everything where too little is seen', () => {
    const near = trueMarks(1.7, 'handstand');
    const { wrist, elbow, hip, toe } = near;
    const few = { wrist: wrist!, elbow: { ...elbow!, sd: 4 }, hip: hip!, toe: toe! };
    const body = resolveBody({ heightM: 1.7 });
    expect(settleMarks(few, body)).toEqual(few);
    const moved = settleMarks({ ...near, elbow: { x: elbow!.x + 30, y: elbow!.y, sd: 4 } }, body);
    expect(moved.elbow?.sd).toBe(4);
    expect(moved.toe).toEqual(toe);
  });
});
