import { readClip } from './clip';
import { offersOfClip } from '../feeds';
import { kick, makeClip, type Moment } from '../testing/kick';
import type { Point } from '../../posture/joints';
import { readHolds } from './holds';

const stand: Point = [-0.95, 0.09];
/** Hips over the shoulders, the legs out level, the feet away from the wall ahead. */
const out: Point = [-0.82, 1.05];
const hip: Point = [0, 1.06];

/** Up at 1 s, the L from 1.4 s to 5 s, down at 5.6 s. */
const heldL: readonly Moment[] = [
  { atS: 0, hip: [-0.45, 0.9], near: stand, far: stand },
  { atS: 1, hip: [-0.45, 0.9], near: stand, far: stand },
  { atS: 1.4, hip, near: out, far: out },
  { atS: 5, hip, near: out, far: out },
  { atS: 5.6, hip: [-0.45, 0.9], near: stand, far: stand },
  { atS: 6.5, hip: [-0.45, 0.9], near: stand, far: stand },
];
/** Knees in from 1.6 s to 6 s. */
const folded: Point = [-0.12, 0.85];
const heldTuck: readonly Moment[] = [
  { atS: 0, hip: [-0.2, 0.95], near: stand, far: stand },
  { atS: 1, hip: [-0.2, 0.95], near: stand, far: stand },
  { atS: 1.6, hip: [0, 1.02], near: folded, far: folded },
  { atS: 6, hip: [0, 1.02], near: folded, far: folded },
  { atS: 6.6, hip: [-0.2, 0.95], near: stand, far: stand },
  { atS: 7.4, hip: [-0.2, 0.95], near: stand, far: stand },
];

const holdsOf = (moments: readonly Moment[], noisePx = 0) => {
  let seed = 7;
  const noise = () => {
    seed = (seed * 16807) % 2147483647;
    return noisePx * (seed / 1073741823.5 - 1);
  };
  return readHolds(makeClip(moments, { noise }));
};

it('times an L from feet at the height of the hips to feet that leave it', () => {
  const { lHoldS, tuckHoldS } = holdsOf(heldL);
  // The way up and down passes by: a fraction of a second at each end.
  expect(lHoldS!.value).toBeGreaterThan(3.5);
  expect(lHoldS!.value).toBeLessThan(4.05);
  expect(lHoldS!.high - lHoldS!.value).toBeCloseTo(0.05, 6);
  expect(tuckHoldS).toBeUndefined();
  expect(holdsOf(heldL, 6).lHoldS!.value).toBeCloseTo(lHoldS!.value, 0);
});

it('times a tuck while the knees are in', () => {
  const { lHoldS, tuckHoldS } = holdsOf(heldTuck);
  expect(tuckHoldS!.value).toBeGreaterThan(4.2);
  expect(tuckHoldS!.value).toBeLessThan(4.9);
  expect(lHoldS).toBeUndefined();
});

it('holds nothing where somebody only kicks up, or stands', () => {
  const { lHoldS, tuckHoldS } = holdsOf(kick);
  expect(tuckHoldS).toBeUndefined();
  // A leg that passes level on its way is no L: both feet are.
  expect(lHoldS?.value ?? 0).toBeLessThan(0.3);
  expect(
    holdsOf([
      { atS: 0, hip: [-0.45, 0.9], near: stand, far: stand },
      { atS: 4, hip: [-0.45, 0.9], near: stand, far: stand },
    ]),
  ).toEqual({});
});

it('is offered on the base it was held on, a tuck on the head alone', () => {
  const offer = (moments: readonly Moment[], base: 'hands' | 'head' | 'feet') => {
    const clip = makeClip(moments);
    return offersOfClip(readClip(clip), { base, hasWall: false, holds: readHolds(clip) });
  };
  expect(offer(heldL, 'hands')).toMatchObject([
    { check: 'l-hold', base: 'hands', measure: 'lHoldS' },
  ]);
  expect(offer(heldTuck, 'head').find(({ check }) => check === 'tuck-hold')).toMatchObject({
    base: null,
    measure: 'tuckHoldS',
  });
  expect(offer(heldTuck, 'hands').map(({ check }) => check)).not.toContain('tuck-hold');
  expect(offer(heldL, 'feet')).toEqual([]);
});
