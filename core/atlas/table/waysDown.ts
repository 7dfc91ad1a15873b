/** Down again from hands and forearms, as slow as the way up. */
import type { Move } from '../move';
import {
  hand,
  elbow,
  handWall,
  handFree,
  forearmWall,
  forearmFree,
  dolphin,
  walkedIn,
  dolphinIn,
  air,
  airElbow,
  splitOf,
  down,
} from './standPoses';

export const wayDownMoves = {
  'hand-down': { held: hand, goes: 'round', main: 0, keys: down(handWall, air, walkedIn) },
  'free-hand-down': {
    held: hand,
    goes: 'round',
    main: 0,
    keys: down(handFree, air, walkedIn),
  },
  'forearm-down': {
    held: elbow,
    goes: 'round',
    main: 0,
    keys: down(forearmWall, airElbow, dolphinIn),
  },
  'free-forearm-down': {
    held: elbow,
    goes: 'round',
    main: 0,
    keys: down(forearmFree, airElbow, dolphinIn),
  },
  'back-to-wall': {
    held: elbow,
    goes: 'round',
    main: 0,
    keys: [
      {
        pose: splitOf(forearmWall, 'elbow', -30),
        words: 'one leg away from the wall',
        held: elbow,
      },
      { pose: splitOf(forearmWall, 'elbow', 0), words: 'it goes back to the wall' },
      {
        pose: { ...airElbow, farLeg: [12, 12, 'pointed'] },
        words: 'then one leg comes down',
        held: elbow,
      },
      { pose: dolphinIn, words: 'and the other', stayS: 2 },
    ],
  },
  'one-leg-back': {
    held: elbow,
    goes: 'round',
    main: 0,
    keys: [
      {
        pose: {
          from: dolphin,
          turn: { farLeg: [66, 66] },
          farFoot: 'pointed',
          held: ['elbow', 'ankle'],
        },
        words: 'one leg lifted',
      },
      {
        pose: { from: dolphin, turn: { farLeg: [0, 0] }, held: ['elbow', 'ankle'] },
        words: 'the same foot goes back down',
        stayS: 2,
        held: ['elbow', 'ankle'],
      },
    ],
  },
} as const satisfies Record<string, Move>;
