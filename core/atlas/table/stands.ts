/** Upside down on hands and forearms: ways up, and what is held there. */
import type { Move } from '../move';
import {
  hand,
  elbow,
  handWall,
  handFree,
  forearmWall,
  forearmFree,
  wallL,
  forearmL,
  shortDog,
  walkedIn,
  dolphinIn,
  legs,
  bentIn,
  quick,
  up,
  lifted,
  liftedElbow,
  air,
  airElbow,
  hopElbow,
  splitOf,
  kick,
} from './standPoses';

export const standMoves = {
  'straight-leg': {
    held: hand,
    goes: 'round',
    main: 2,
    keys: kick(lifted, air, handWall, [
      'one leg lifted and straight',
      'the standing leg bends and springs, the hips rise',
      'heels find the wall',
    ]),
  },
  'bent-knee': {
    held: hand,
    goes: 'round',
    main: 2,
    keys: kick(bentIn, { ...legs(walkedIn, [226, 330, 'pointed']), trunk: 168 }, handWall, [
      'feet wide, knees bent and low',
      'both feet leave the floor, knees stay bent',
      'heels find the wall',
    ]),
  },
  straddle: {
    held: hand,
    goes: 'round',
    main: 2,
    keys: kick(
      bentIn,
      { ...legs(walkedIn, [262, 262, 'pointed'], [290, 290, 'pointed']), trunk: 172 },
      handWall,
      ['feet wide', 'legs open wide at once, tail to the wall', 'the legs join'],
    ),
  },
  'slow-leg': {
    held: hand,
    goes: 'round',
    main: 3,
    keys: [
      { pose: lifted, words: 'one leg lifted, hands close' },
      {
        pose: {
          ...legs(walkedIn, [196, 196, 'pointed'], [-10, -10, 'pointed']),
          trunk: 158,
          arm: [174, 174, 90],
        },
        words: 'the shoulders lead, the foot floats off',
      },
      {
        pose: { ...legs(walkedIn, [250, 250, 'pointed'], [6, 6, 'pointed']), trunk: 176 },
        words: 'the other follows without a jump',
      },
      { pose: handWall, words: 'heels find the wall', stayS: 2 },
    ],
  },
  'tuck-up': {
    held: hand,
    goes: 'round',
    main: 3,
    keys: [
      {
        pose: bentIn,
        words: 'feet together, knees bent',
        ...quick,
      },
      {
        pose: { ...legs(walkedIn, [214, 354, 'pointed']), trunk: 170 },
        words: 'both knees draw in',
        goS: 1.6,
        stayS: 0.4,
      },
      {
        pose: { ...legs(walkedIn, [290, 386, 'pointed']), trunk: 180 },
        words: 'and rise over the shoulders',
        goS: 1.2,
      },
      { pose: handWall, words: 'before the legs lengthen', stayS: 2 },
    ],
  },
  'mini-hop': {
    held: hand,
    goes: 'to-and-fro',
    keys: [
      { pose: lifted, words: 'shoulders over the wrists, one leg lifted', ...quick },
      {
        pose: { ...legs(walkedIn, [210, 262, 'pointed'], [-72, -72, 'pointed']), trunk: 150 },
        words: 'a small hop, the lifted leg only to level',
        ...up,
      },
    ],
  },
  'hop-forearm': {
    held: elbow,
    goes: 'to-and-fro',
    keys: [
      { pose: liftedElbow, words: 'forearms down, one leg lifted and straight', ...quick },
      { pose: hopElbow, words: 'the standing leg springs, and lands softly', ...up },
    ],
  },
  'kick-forearm': {
    held: elbow,
    goes: 'round',
    main: 2,
    keys: kick(liftedElbow, airElbow, forearmWall, [
      'forearms down, one leg lifted and straight',
      'the standing leg springs, the hips rise',
      'heels find the wall',
    ]),
  },
  'free-hand': {
    held: hand,
    goes: 'round',
    main: 2,
    keys: kick(lifted, air, handFree, [
      'one leg lifted',
      'the legs pass each other',
      'both over the base',
    ]),
  },
  'free-forearm': {
    held: elbow,
    goes: 'round',
    main: 2,
    keys: kick(liftedElbow, airElbow, splitOf(forearmFree, 'elbow', -24), [
      'one leg lifted',
      'the legs pass each other',
      'legs apart fore and aft, then together',
    ]),
  },
  'float-hand': {
    held: hand,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: splitOf(handWall, 'wrist', 0), words: 'heels on the wall' },
      { pose: splitOf(handWall, 'wrist', -22), words: 'one foot leaves it', held: hand },
      {
        pose: { from: handFree, turn: { farLeg: [0, 0] }, held: hand },
        words: 'the other floats off',
        stayS: 2,
      },
    ],
  },
  'float-forearm': {
    held: elbow,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: splitOf(forearmWall, 'elbow', 0), words: 'one sole on the wall' },
      { pose: splitOf(forearmWall, 'elbow', -26), words: 'the other leg goes over the hips' },
      {
        pose: { from: forearmFree, turn: { farLeg: [-14, -14] }, farFoot: 'pointed', held: elbow },
        words: 'a tap, and away from the wall',
        stayS: 2,
      },
    ],
  },
  'wall-l': {
    held: hand,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      { pose: shortDog, words: 'hands a leg’s length from the wall, heels at it' },
      { pose: wallL, words: 'feet at hip height, shoulders over the wrists', stayS: 3 },
    ],
  },
  'wall-l-one-leg': {
    held: hand,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: wallL, words: 'the L at the wall' },
      {
        pose: { from: wallL, turn: { farLeg: [90, 90] }, farFoot: 'pointed', held: hand },
        words: 'one leg upright',
        stayS: 2,
      },
    ],
  },
  'forearm-l': {
    held: elbow,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: { ...dolphinIn, leg: [222, 222, 'ball'] },
        words: 'elbows a leg’s length from the wall',
      },
      { pose: forearmL, words: 'feet at hip height, shoulders over the elbows', stayS: 3 },
    ],
  },
  'forearm-l-down': {
    held: elbow,
    goes: 'round',
    main: 0,
    keys: [
      { pose: forearmL, words: 'from the L' },
      {
        pose: { ...dolphinIn, leg: [222, 222, 'ball'], farLeg: [215, 310, 'flexed'] },
        words: 'one foot down',
      },
      { pose: { ...dolphinIn, leg: [222, 222, 'ball'] }, words: 'and the other', stayS: 2 },
    ],
  },
  'wall-l-down': {
    held: hand,
    goes: 'round',
    main: 0,
    keys: [
      { pose: wallL, words: 'from the L' },
      {
        pose: { from: shortDog, turn: { farLeg: [-40, 70] }, farFoot: 'flexed', held: hand },
        words: 'one foot down',
      },
      { pose: shortDog, words: 'and the other', stayS: 2 },
    ],
  },
  'one-foot-wall': {
    held: hand,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: shortDog, words: 'heels at the wall' },
      {
        pose: { still: 'foot-on-wall' },
        words: 'one foot up the wall',
        stayS: 2,
      },
    ],
  },
  'short-dog': {
    held: hand,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: { from: shortDog, turn: { trunk: -22, leg: [-30, 30] }, held: ['wrist', 'ankle'] },
        words: 'hands down, knees bent, feet at the wall',
      },
      { pose: shortDog, words: 'hips up, heels against the wall', stayS: 3 },
    ],
  },
  'chair-dog': {
    held: hand,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      { pose: walkedIn, words: 'feet in front of the chair' },
      { pose: { family: 'raisedDog' }, words: 'one foot, then the other on the seat', stayS: 3 },
    ],
  },
  'lean-bolster': {
    held: hand,
    goes: 'round',
    main: 2,
    keys: kick(lifted, air, handWall, [
      'one leg lifted',
      'the hips rise',
      'the back leans into a bolster at the wall',
    ]),
  },
  box: {
    held: hand,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: {
          from: { still: 'box' },
          turn: { farLeg: [-90, -90] },
          farFoot: 'pointed',
          held: hand,
        },
        words: 'one foot at the wall, one leg up',
      },
      {
        pose: { from: { still: 'box' }, turn: { farLeg: [0, 0] }, held: hand },
        words: 'soles on the wall, hips over the hands',
        stayS: 2,
      },
    ],
  },
} as const satisfies Record<string, Move>;
