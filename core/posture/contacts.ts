/**
 * How body weight is shared between contacts. Contacts only push; ranges are cut to what is feasible.
 * Source: handbook 05 "What is computed" and "Conventions".
 */
import { tolerance } from '../tolerance';
import type { Point } from './joints';

export type ContactName =
  'hands' | 'forearms' | 'feet' | 'knees' | 'head' | 'shoulders' | 'wallFeet';

/** A contact with something level: where its pressure may lie, x in metres. */
export interface FloorContact {
  readonly name: Exclude<ContactName, 'wallFeet'>;
  readonly low: number;
  readonly nominal: number;
  readonly high: number;
}

/** Feet on a wall: where, and whether the wall stands ahead (+1) or behind (-1). */
export interface WallContact {
  readonly at: Point;
  readonly side: 1 | -1;
}

export interface Share {
  readonly low: number;
  readonly nominal: number;
  readonly high: number;
}

export interface ContactLoad {
  readonly name: ContactName;
  /** Percent of body weight carried upwards. */
  readonly verticalPercent: Share;
  /** Push square to the wall, percent of body weight; wall only. */
  readonly wallPercent?: Share;
}

/** Wall friction considered: none, the nominal quarter, and half (handbook 05). */
const wallFriction = { low: 0, nominal: 0.25, high: 0.5 } as const;

const clip = (value: number) => Math.min(1, Math.max(0, value));
const percent = ({ low, nominal, high }: Share): Share => ({
  low: low * 100,
  nominal: nominal * 100,
  high: high * 100,
});

/**
 * Level contacts alone. For each the feasible range: with share f of the weight on it, the moment of
 * all contacts can take any value between f low + (1 - f) least and f high + (1 - f) most of the
 * others, and the centre of mass must lie in it; both ends are linear in f.
 */
export function shareFloor(contacts: readonly FloorContact[], massX: number): ContactLoad[] {
  const ranges = contacts.map((contact, index) => {
    const others = contacts.filter((_, other) => other !== index);
    if (others.length === 0) return { low: 1, high: 1 };
    return feasible(contact, others, massX);
  });
  return contacts.map((contact, index) => {
    const { low, high } = ranges[index]!;
    const nominal =
      // How much a head carries is the student's choice: the middle of what is possible.
      contacts.length === 2 && contacts.every(({ name }) => name !== 'head')
        ? Math.min(high, Math.max(low, twoShare(contact, contacts[1 - index]!, massX)))
        : (low + high) / 2;
    return { name: contact.name, verticalPercent: percent({ low, nominal, high }) };
  });
}

function twoShare(own: FloorContact, other: FloorContact, massX: number): number {
  return clip((massX - other.nominal) / (own.nominal - other.nominal));
}

function feasible(own: FloorContact, others: readonly FloorContact[], massX: number) {
  const least = Math.min(...others.map(({ low }) => low));
  const most = Math.max(...others.map(({ high }) => high));
  // f * own.low + (1 - f) * least <= x   and   f * own.high + (1 - f) * most >= x
  let [low, high] = [0, 1];
  const limit = (slope: number, rest: number) => {
    // slope * f <= rest
    if (slope > tolerance.roundingM) high = Math.min(high, rest / slope);
    else if (slope < -tolerance.roundingM) low = Math.max(low, rest / slope);
  };
  limit(own.low - least, massX - least);
  limit(most - own.high, most - massX);
  [low, high] = [clip(low), clip(high)];
  return low <= high ? { low, high } : { low: (low + high) / 2, high: (low + high) / 2 };
}

/** Push and friction of the wall for one place of the pressure and one friction. */
function wallPush(massX: number, pressureX: number, { at, side }: WallContact, friction: number) {
  // Moments about the pressure point: weight tips towards the wall, push and friction hold it.
  const tip = (massX - pressureX) * side;
  const arm = at[1] + friction * (at[0] - pressureX) * side;
  const push = tip > 0 && arm > 0 ? tip / arm : 0;
  return { push, lift: push * friction };
}

/**
 * One level contact and feet on a wall. The range runs over the pressure point and over friction
 * from none to one half.
 */
export function shareWithWall(
  floor: FloorContact,
  wall: WallContact,
  massX: number,
): ContactLoad[] {
  const nominal = wallPush(massX, floor.nominal, wall, wallFriction.nominal);
  const lift = { low: Infinity, nominal: nominal.lift, high: -Infinity };
  const push = { low: Infinity, nominal: nominal.push, high: -Infinity };
  for (const pressureX of [floor.low, floor.high]) {
    for (const friction of [wallFriction.low, wallFriction.high]) {
      const corner = wallPush(massX, pressureX, wall, friction);
      lift.low = Math.min(lift.low, corner.lift);
      lift.high = Math.max(lift.high, corner.lift);
      push.low = Math.min(push.low, corner.push);
      push.high = Math.max(push.high, corner.push);
    }
  }
  return [
    {
      name: floor.name,
      verticalPercent: percent({
        low: 1 - lift.high,
        nominal: 1 - lift.nominal,
        high: 1 - lift.low,
      }),
    },
    {
      name: 'wallFeet',
      verticalPercent: percent(lift),
      wallPercent: percent(push),
    },
  ];
}
