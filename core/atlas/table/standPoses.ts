/** Poses that ways up and down have in common, on hands and forearms. */
import type { Key } from '../move';
import { pace } from '../move';
import type { BuiltPose, LegTurns, TurnedPose } from '../pose';

export const hand = ['wrist'] as const;
export const elbow = ['elbow'] as const;

export const handWall = { family: 'handstandWall' } as const;
export const handFree = { family: 'handstand' } as const;
export const forearmWall = { family: 'forearmStandWall' } as const;
export const forearmFree = { family: 'forearmStand' } as const;
export const wallL = { family: 'wallL' } as const;
export const forearmL = { family: 'forearmWallL' } as const;
export const shortDog = { family: 'shortDog' } as const;
export const dolphin = { family: 'dolphin' } as const;

/** Walked in on the hands: hips high over the shoulders, on the balls of the feet. */
export const walkedIn = {
  at: 'wrist',
  place: [0, 0],
  trunk: 148,
  head: 172,
  arm: [179, 179, 90],
  leg: [185, 185, 'ball'],
} as const satisfies BuiltPose;

/** The same on the forearms. */
export const dolphinIn = {
  at: 'elbow',
  place: [0, 0],
  trunk: 160,
  head: 164,
  arm: [184, 90, 90],
  leg: [221, 221, 'ball'],
} as const satisfies BuiltPose;

export const legs = <P extends BuiltPose>(pose: P, near: LegTurns, far?: LegTurns): BuiltPose => ({
  ...pose,
  leg: near,
  ...(far === undefined ? {} : { farLeg: far }),
});

/** Knees bent, feet where they stand. */
export const bentIn: TurnedPose = {
  from: walkedIn,
  turn: { trunk: -12, leg: [-24, 28] },
  held: ['wrist', 'ankle'],
};

export const quick = { goS: pace.quickS, stayS: 0.6 } as const;
export const up = { goS: 0.8, stayS: 0.1 } as const;

/** One leg lifted, the standing one ready to push. */
export const lifted = legs(walkedIn, [185, 185, 'ball'], [-32, -32, 'pointed']);
export const liftedElbow = legs(dolphinIn, [221, 221, 'ball'], [-28, -28, 'pointed']);
/** Off the floor: the lifted leg over the hips, the other on its way. */
export const air = { ...legs(walkedIn, [232, 232, 'pointed'], [4, 4, 'pointed']), trunk: 172 };
export const airElbow = {
  ...legs(dolphinIn, [238, 238, 'pointed'], [4, 4, 'pointed']),
  trunk: 168,
};
export const hopElbow = {
  ...legs(dolphinIn, [214, 246, 'pointed'], [-12, -12, 'pointed']),
  trunk: 158,
};

export const splitOf = (
  pose: { readonly family: 'handstandWall' | 'forearmStandWall' | 'handstand' | 'forearmStand' },
  held: 'wrist' | 'elbow',
  by: number,
): TurnedPose => ({
  from: pose,
  turn: { farLeg: [by, by] },
  farFoot: 'pointed',
  held: [held],
});

export const kick = (
  start: Key['pose'],
  mid: BuiltPose,
  end: Key['pose'],
  words: readonly [string, string, string],
) =>
  [
    { pose: start, words: words[0], ...quick },
    { pose: mid, words: words[1], ...up },
    { pose: end, words: words[2], stayS: 2 },
  ] as const;

export const down = (top: Key['pose'], mid: BuiltPose, end: BuiltPose) =>
  [
    { pose: top, words: 'upside down', goS: 2 },
    { pose: mid, words: 'one leg comes down, slowly', goS: 2 },
    { pose: end, words: 'then the other, landing softly', stayS: 2 },
  ] as const;
