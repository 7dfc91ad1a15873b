import fc from 'fast-check';
import { resolveBody } from '../../body/body';
import { distanceOf } from '../../posture/geometry';
import type { Leg } from '../../posture/joints';
import { InputProblem } from '../../problem';
import { poseShape } from '../../shapes/posed';
import { listShapes } from '../contactSheet';
import { makeFrame } from '../scene';
import { footOutline } from './foot';
import { drawFigure, drawLeg, listParts } from './figure';

/** A pixel is a millimetre, so that what is drawn can be measured. */
const frame = makeFrame(1000, 0, 0);
const placesOf = (d: string) =>
  [...d.matchAll(/(-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [Number(x), -Number(y)] as const);

const bodies = fc
  .record({
    heightM: fc.double({ min: 1.4, max: 2, noNaN: true }),
    massKg: fc.double({ min: 40, max: 130, noNaN: true }),
  })
  .map((given) => resolveBody(given));

function pose(body: ReturnType<typeof resolveBody>, ref: Parameters<typeof poseShape>[1]) {
  try {
    return poseShape({ body }, ref, undefined, null);
  } catch (error) {
    if (error instanceof InputProblem) return null;
    throw error;
  }
}

const isFlatFoot = ({ ankle, heel, toe }: Leg) =>
  distanceOf(heel, toe) > 1e-6 && distanceOf(heel, ankle) > 1e-6;

describe('the drawn body', () => {
  it.each(listShapes())('$label: stands on its floor, head last and whole', ({ ref }) => {
    fc.assert(
      fc.property(bodies, (body) => {
        const posed = pose(body, ref);
        fc.pre(posed !== null);
        const parts = listParts(frame, body, posed.joints, posed.isOnBack ? -1 : 1);
        const d = parts.flatMap(({ pieces }) => pieces).join('');
        expect(d).not.toMatch(/NaN|Infinity/);
        const names = parts.map(({ part }) => part);
        expect(names.slice(-2)).toEqual(['face', 'hair']);
        expect(names.indexOf('trunk')).toBeLessThan(names.indexOf('leg'));
        // Feet stand on what they stand on, and the crown does.
        const feet = parts.find(({ part }) => part === 'leg')!.pieces.at(-1)!;
        const lowest = Math.min(...placesOf(feet).map(([, y]) => y));
        const told = Math.min(posed.joints.toe[1], posed.joints.heel[1], posed.joints.ankle[1]);
        expect(lowest).toBeGreaterThan(1000 * (told - posed.joints.heelBackM) - 60);
      }),
      { numRuns: 20 },
    );
  });

  const body = resolveBody({ heightM: 1.7, massKg: 62 });
  const partsOf = (ref: Parameters<typeof poseShape>[1]) =>
    listParts(frame, body, pose(body, ref)!.joints).map(({ part }) => part);

  it('draws the turn of a folded limb, and none in a straight one', () => {
    expect(partsOf({ family: 'headstandTuck' })).toContain('fold');
    expect(partsOf({ family: 'crow' })).toContain('fold');
    expect(partsOf({ family: 'handstand' })).not.toContain('fold');
  });

  it('has hand and foot where the joints are', () => {
    const { joints } = pose(body, { family: 'handstandWall' })!;
    const arm = listParts(frame, body, joints).find(({ part }) => part === 'arm')!;
    const reach = Math.max(...arm.pieces.flatMap((d) => placesOf(d).map(([x]) => x)));
    expect(reach / 1000).toBeCloseTo(joints.fingertip[0], 2);
    const leg = listParts(frame, body, joints).find(({ part }) => part === 'leg')!;
    const foot = Math.max(
      ...leg.pieces
        .at(-1)!
        .split('C')
        .flatMap((d) => placesOf(d).map(([x]) => x)),
    );
    expect(Math.abs(foot / 1000 - joints.heel[0])).toBeLessThan(0.02);
  });

  it('draws a flat foot to its toes, and its heel behind the ankle', () => {
    const body = resolveBody({ heightM: 1.7 });
    const flat = listShapes().flatMap(({ ref }) => {
      const joints = pose(body, ref)?.joints;
      return joints !== undefined && isFlatFoot(joints) ? [joints] : [];
    });
    expect(flat.length).toBeGreaterThan(5);
    for (const joints of flat) {
      const { heel, toe, heelBackM } = joints;
      const soleM = distanceOf(heel, toe);
      const along = footOutline(joints, body.heightM, 1).map(
        ([x, y]) =>
          ((x - heel[0]) * (toe[0] - heel[0]) + (y - heel[1]) * (toe[1] - heel[1])) / soleM,
      );
      expect(Math.max(...along)).toBeCloseTo(soleM, 2);
      expect(Math.min(...along)).toBeCloseTo(-heelBackM, 2);
      // Heel and all it is as long as this person's, however it is turned.
      if (heelBackM > 0) expect(soleM + heelBackM).toBeCloseTo(body.lengths.foot, 1);
    }
  });

  it('shows the build, and no more of it than is drawn', () => {
    const widthOf = (massKg: number) => {
      const one = resolveBody({ heightM: 1.7, massKg });
      const trunk = listParts(frame, one, pose(one, { family: 'handstand' })!.joints).find(
        ({ part }) => part === 'trunk',
      )!;
      const xs = trunk.pieces.flatMap((d) => placesOf(d).map(([x]) => x));
      return Math.max(...xs) - Math.min(...xs);
    };
    expect(widthOf(100)).toBeGreaterThan(1.1 * widthOf(60));
    expect(widthOf(200)).toBe(widthOf(240));
  });

  it('is one tone as a ghost, and tones of its own as a figure', () => {
    const { joints } = pose(body, { family: 'headstandTuck' })!;
    expect(new Set(drawFigure('ghost', frame, body, joints).map(({ role }) => role))).toEqual(
      new Set(['ghost']),
    );
    expect(new Set(drawFigure('figure', frame, body, joints).map(({ role }) => role))).toEqual(
      new Set(['figureTrunk', 'figureEdge', 'figureFold', 'figureFace', 'figure']),
    );
    expect(drawLeg('figureFar', frame, body, joints)).toHaveLength(1);
  });

  it('turns with whoever lies on the back', () => {
    const { joints } = pose(body, { family: 'plank' })!;
    const low = (facing: 1 | -1) => {
      const face = listParts(frame, body, joints, facing).find(({ part }) => part === 'face')!;
      return Math.min(...placesOf(face.pieces[0]!).map(([, y]) => y));
    };
    // Face down the jaw is lower than face up.
    expect(low(1)).toBeLessThan(low(-1));
  });
});
