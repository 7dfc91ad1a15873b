import type { CheckId } from '../catalog/checks';
import { getCheckIn, shippedSchool } from '../catalog/school';
import { turned } from '../posture/geometry';
import type { Point } from '../posture/joints';
import { readClip } from './clip/clip';
import { offerOfDrift, offersOfClip, offersOfStill, stillChecks, type StillCheck } from './feeds';
import type { ShapeId } from '../shapes/postures';
import type { StillInput } from './marks';
import { baseOfShape } from './shapeBase';
import { readStill } from './still';
import { kick, makeClip } from './testing/kick';
import { level, lineOf, marksOf, project } from './testing/project';

const school = shippedSchool('prop-led');
const barOf = (check: CheckId) => getCheckIn(school, check).bar;

function read(places: Record<string, Point>, base: StillInput['base'], sd: number) {
  return readStill({
    view: 'side',
    facing: 'right',
    base,
    marks: { near: marksOf(places, level, sd) },
    floor: lineOf([-1, 0], [2, 0], level),
    scale: { from: project([0, 0], level), to: project([1, 0], level), metres: 1 },
  } as StillInput);
}
const offers = (places: Record<string, Point>, base: StillInput['base'], sd = 1) =>
  offersOfStill(read(places, base, sd), { view: 'side', base, barOf });

describe('what a picture may become', () => {
  const lying = {
    elbow: [0.9, 0.13] as Point,
    shoulder: [0.6, 0.1] as Point,
    hip: [0.1, 0.1] as Point,
    ankle: turned([0.1, 0.1], -15, 0.8),
  };

  it('reads ranges of somebody who lies, and of nobody who stands on their hands', () => {
    expect(offers(lying, 'feet').map(({ check }) => check)).toEqual([
      'straight-leg-raise',
      'shoulder-flexion',
    ]);
    const raise = offers(lying, 'feet')[0]!;
    expect(raise.value).toBeCloseTo(75, 6);
    expect(raise.tooCoarse).toBeUndefined();
    const up = { elbow: [0, 0.3], shoulder: [0, 0.6], hip: [0, 1.1], ankle: [0, 1.9] } as const;
    expect(offers(up as never, 'hands')).toEqual([]);
    // The same trunk level on forearms is a shape, and no range.
    expect(offers(lying, 'forearms')).toEqual([]);
  });

  it('shows what is too coarse, and keeps it from being kept', () => {
    const dolphin = {
      elbow: [0, 0.03] as Point,
      shoulder: [0, 0.35] as Point,
      crown: [0.02, 0.04] as Point,
    };
    const [fine] = offers(dolphin, 'forearms');
    expect(fine).toMatchObject({ check: 'head-clearance', measure: 'headClearance' });
    expect(fine!.value).toBeCloseTo(4, 6);
    expect(fine!.tooCoarse).toBeUndefined();
    expect(offers(dolphin, 'forearms', 20)[0]!.tooCoarse).toContain('larger than what it decides');
    expect(offers(dolphin, 'hands')).toEqual([]);
    expect(offers(lying, 'feet', 80)[0]!.tooCoarse).toContain('°');
  });

  it('passes an upright walk-in only where the span decides', () => {
    const at = (lean: number, sd: number) => {
      const shoulder: Point = [0, 0.3];
      const crown: Point = [0, 0.02];
      return offers({ crown, shoulder, hip: turned(shoulder, lean, 0.5) }, 'head', sd)[0]!;
    };
    expect(at(3, 1)).toEqual({
      check: 'upright-walk-in',
      base: null,
      measure: 'trunkLean',
      value: 1,
      error: 0,
    });
    expect(at(-30, 1)).toMatchObject({ value: 0 });
    expect(at(10, 4).tooCoarse).toContain('holds the bar');
  });

  it('takes the drift of the elbows from two pictures', () => {
    const facing = (half: number) =>
      readStill({
        view: 'front',
        base: 'forearms',
        marks: {
          left: marksOf({ elbow: [half, 0.03] as Point }, level, 1),
          right: marksOf({ elbow: [-half, 0.03] as Point }, level, 1),
        },
        floor: lineOf([-1, 0], [2, 0], level),
        scale: { from: project([0, 0], level), to: project([1, 0], level), metres: 1 },
      });
    const [drift] = offerOfDrift(facing(0.18), facing(0.195), { barOf });
    expect(drift).toMatchObject({ check: 'elbow-drift' });
    expect(drift!.value).toBeCloseTo(3, 6);
    expect(offerOfDrift(facing(0.18), read({ hip: [0, 1] }, 'hands', 1), { barOf })).toEqual([]);
  });
});

describe('what a clip may become', () => {
  it('offers holds by base, hops that reach, and the way out', () => {
    const found = offersOfClip(readClip(makeClip(kick)), {
      base: 'hands',
      hasWall: true,
      holds: {},
    });
    const byCheck = new Map(found.map((offer) => [offer.check, offer]));
    expect([...byCheck.keys()]).toEqual([
      'balance-off-wall',
      'wall-hold',
      'hops-reaching',
      'controlled-exit',
    ]);
    expect(byCheck.get('balance-off-wall')).toMatchObject({ base: 'hands' });
    expect(byCheck.get('hops-reaching')!.value).toBe(1);
    // It fell out of the air: no controlled exit, however long the way down took.
    expect(byCheck.get('controlled-exit')).toMatchObject({ value: 0 });
    expect(byCheck.get('controlled-exit')!.tooCoarse).toBeUndefined();
  });

  it('offers nothing of a wall that is not marked, and no clock of frames too far apart', () => {
    const { wall: _, ...open } = makeClip(kick);
    expect(
      offersOfClip(readClip(open), { base: 'hands', hasWall: false, holds: {} }).map(
        ({ check }) => check,
      ),
    ).toEqual(['controlled-exit']);
    const held = kick.filter(({ atS }) => atS <= 4).map((one) => one);
    const slow = [...held, { ...held.at(-1)!, atS: 20 }];
    const [first] = offersOfClip(readClip(makeClip(slow, { framesPerS: 0.8 })), {
      base: 'hands',
      hasWall: true,
      holds: {},
    });
    expect(first!.tooCoarse).toContain('too far apart');
  });
});

describe('what a check is taken in', () => {
  const dolphin = {
    elbow: [0, 0.03] as Point,
    shoulder: [0, 0.35] as Point,
    crown: [0.02, 0.04] as Point,
    hip: [0.02, 0.85] as Point,
  };
  const checksOf = (
    places: Record<string, Point>,
    base: StillInput['base'],
    shape: ShapeId | null,
  ) =>
    offersOfStill(read(places, base, 1), { view: 'side', base, shape, barOf }).map(
      ({ check }) => check,
    );

  it('is offered in its own shape, or where no shape is said, and in no other', () => {
    expect(checksOf(dolphin, 'forearms', 'dolphin')).toEqual(['head-clearance']);
    expect(checksOf(dolphin, 'forearms', null)).toEqual(['head-clearance']);
    // Up at the wall it is another clearance than the one the check asks for.
    expect(checksOf(dolphin, 'forearms', 'forearmStandWall')).toEqual([]);
    expect(checksOf(dolphin, 'head', 'headstandBase')).toEqual(['upright-walk-in']);
    // Whoever is up already has not just walked in.
    expect(checksOf(dolphin, 'head', 'headstand')).toEqual([]);
  });

  it('takes the wrist with the palm flat, and none that carries a stand', () => {
    const palm = {
      elbow: [0.02, 0.3] as Point,
      wrist: [0, 0.04] as Point,
      knuckle: [0.09, 0.02] as Point,
    };
    expect(checksOf(palm, 'hands', null)).toEqual(['wrist-extension']);
    expect(checksOf(palm, 'hands', 'handstand')).toEqual([]);
    expect(checksOf(palm, 'forearms', null)).toEqual([]);
  });

  it('has a row for every check, with the shape and the base it is taken on', () => {
    for (const check of Object.keys(stillChecks) as StillCheck[]) {
      const { shape, base } = stillChecks[check];
      if (shape !== null) expect(baseOfShape(shape)).toBe(base);
    }
  });

  it('counts no hop on the forearms for one on the hands', () => {
    const clip = readClip(makeClip(kick));
    const on = (base: StillInput['base']) =>
      offersOfClip(clip, { base, hasWall: true, holds: {} }).map(({ check }) => check);
    expect(on('hands')).toContain('hops-reaching');
    expect(on('forearms')).not.toContain('hops-reaching');
    expect(on('feet')).toEqual([]);
  });
});
