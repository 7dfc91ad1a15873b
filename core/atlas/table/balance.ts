/** Crow and its kin, and what is held on the hands alone. */
import type { Move } from '../move';
import type { BuiltPose } from '../pose';

const hand = ['wrist'] as const;
const crow = { family: 'crow' } as const;
const tuck = { family: 'liftedTuck' } as const;
const plank = { family: 'plank' } as const;

/** Squatting with the hands down, on the balls of the feet. */
const squat = {
  at: 'wrist',
  place: [0, 0],
  trunk: 70,
  head: 82,
  arm: [160, 186, 90],
  leg: [65, 190, 'ball'],
} as const satisfies BuiltPose;

/** Knees on the arms, the weight ahead. */
const onArms = {
  ...squat,
  trunk: 82,
  arm: [154, 178, 90],
  leg: [77, 190, 'ball'],
} as const satisfies BuiltPose;

/** The same two with the feet on a block: hips and knees come higher. */
const squatOnBlock = { ...squat, trunk: 80, head: 88, leg: [62, 190, 'ball'] } as const;
const onArmsOnBlock = { ...onArms, trunk: 90, head: 86, leg: [72.5, 184.5, 'ball'] } as const;
/** A block lying flat under the balls of the feet, shares of height. */
const blockUnderFeet = { left: -0.205, right: -0.117, top: 0.057 } as const;

/** The seat between the hands. */
const seat = {
  at: 'hip',
  place: [-0.06, 0.065],
  trunk: 12,
  head: 10,
  arm: [172, 184, 90],
  leg: [50, 138, 'flat'],
} as const satisfies BuiltPose;

export const balanceMoves = {
  crow: {
    held: hand,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      { pose: onArms, words: 'knees high on the arms, feet light' },
      {
        pose: { from: crow, turn: { farLeg: [0, 0] }, held: hand },
        words: 'both feet off, eyes ahead',
        stayS: 3,
      },
    ],
  },
  'crow-down': {
    held: hand,
    goes: 'round',
    main: 0,
    keys: [
      { pose: crow, words: 'balanced' },
      { pose: squat, words: 'feet come down, heels after', stayS: 2 },
    ],
  },
  squat: {
    held: hand,
    goes: 'to-and-fro',
    around: { rests: [blockUnderFeet] },
    keys: [
      { pose: squatOnBlock, words: 'squat, hands down, feet on a block' },
      {
        pose: onArmsOnBlock,
        words: 'knees on the arms, the weight leans ahead',
        stayS: 1.5,
      },
    ],
  },
  'slide-crow': {
    held: hand,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: crow, words: 'balanced, feet on a cloth before' },
      { pose: squat, words: 'the feet slide back and in again' },
    ],
  },
  'lifted-tuck': {
    held: hand,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: { from: tuck, turn: { leg: [22, 34] }, held: hand },
        words: 'hands on blocks, seat light',
      },
      { pose: tuck, words: 'everything leaves the floor that does', stayS: 2 },
    ],
  },
  'tuck-sit': {
    held: hand,
    goes: 'round',
    main: 0,
    keys: [
      { pose: tuck, words: 'lifted' },
      {
        pose: { from: tuck, turn: { leg: [22, 34] }, move: [0, 0], held: hand },
        words: 'sit down between the hands',
        stayS: 2,
      },
    ],
  },
  'float-back': {
    held: hand,
    goes: 'round',
    main: 0,
    keys: [
      { pose: crow, words: 'crow, eyes ahead', goS: 0.8 },
      {
        pose: { ...squat, trunk: 92, arm: [150, 186, 90], leg: [-84, -84, 'pointed'] },
        words: 'the weight goes ahead, the legs shoot back',
        goS: 0.6,
        stayS: 0.1,
      },
      {
        pose: {
          from: plank,
          turn: { arm: [34, -8, 0], trunk: 9, head: 8, leg: [9, 9] },
          held: ['wrist', 'ankle'],
        },
        words: 'landing low on bent arms',
        stayS: 1.5,
      },
    ],
  },
  'arm-shape': {
    held: hand,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...squat, trunk: 40, head: 52, arm: [176, 184, 90], leg: [46, 180, 'flat'] },
        words: 'one leg high over the arm, hands down',
      },
      {
        pose: { ...squat, trunk: 52, head: 62, arm: [170, 186, 90], leg: [66, 72, 'pointed'] },
        words: 'the seat lifts, the feet leave the floor',
        stayS: 2,
      },
    ],
  },
  firefly: {
    held: hand,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...squat, trunk: 44, head: 58, arm: [168, 190, 90], leg: [47, 180, 'flat'] },
        words: 'legs high over the arms',
      },
      {
        pose: { ...squat, trunk: 48, head: 52, arm: [172, 188, 90], leg: [68, 66, 'pointed'] },
        words: 'seat back, the legs lengthen',
        stayS: 2,
      },
    ],
  },
  'crow-one-leg': {
    held: hand,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: { from: crow, turn: { farLeg: [0, 0] }, held: hand }, words: 'both legs in' },
      {
        pose: { from: crow, turn: { farLeg: [140, -30] }, farFoot: 'pointed', held: hand },
        words: 'one leg goes long behind',
        stayS: 2,
      },
    ],
  },
  'sit-between': {
    held: ['hip'],
    goes: 'round',
    keys: [
      {
        pose: { ...seat, place: [-0.06, 0.12], arm: [176, 182, 90], leg: [66, 80, 'pointed'] },
        words: 'the legs over the arms',
      },
      { pose: seat, words: 'knees bend, sit down', stayS: 2 },
    ],
  },
  'side-plank': {
    held: hand,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      {
        pose: { from: plank, turn: { farArm: [0, 0, 0] }, held: ['wrist', 'ankle'] },
        words: 'plank',
      },
      {
        pose: { from: plank, turn: { farArm: [180, 180, -90] }, held: ['wrist', 'ankle'] },
        words: 'on one side, the upper arm up, one line',
        stayS: 2,
      },
    ],
  },
  'side-forearm-plank': {
    held: ['elbow'],
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: {
          from: { still: 'forearm-plank' },
          turn: { farArm: [0, 0, 0] },
          held: ['elbow', 'ankle'],
        },
        words: 'forearm plank',
      },
      {
        pose: {
          from: { still: 'forearm-plank' },
          turn: { farArm: [180, -90, -90] },
          held: ['elbow', 'ankle'],
        },
        words: 'on one forearm, the upper arm up, one line',
        stayS: 3,
      },
    ],
  },
  'dolphin-chair': {
    held: ['elbow'],
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: {
          from: { still: 'dolphin-chair' },
          turn: { trunk: -22, leg: [-20, 10] },
          held: ['elbow', 'ankle'],
        },
        words: 'forearms on the seat',
      },
      { pose: { still: 'dolphin-chair' }, words: 'walked back until the back is long', stayS: 3 },
    ],
  },
  'corner-dolphin': {
    held: ['elbow'],
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: {
          from: { still: 'corner-dolphin' },
          turn: { trunk: -24, leg: [-10, 20] },
          held: ['elbow', 'ankle'],
        },
        words: 'elbows in the angle of wall and floor',
      },
      {
        pose: { still: 'corner-dolphin' },
        words: 'the hips rise, elbows press outwards',
        stayS: 2,
      },
    ],
  },
} as const satisfies Record<string, Move>;
