/** Hands, forearms and knees on the floor. */
import type { Move } from '../move';
import { child, forearmTable, kneeling, melt, onHeels } from '../poses';

const table = { still: 'all-fours' } as const;
const plank = { family: 'plank' } as const;
const forearmPlank = { still: 'forearm-plank' } as const;
const dolphin = { family: 'dolphin' } as const;
const dog = { family: 'dog' } as const;
const kneePlank = { family: 'kneePlank' } as const;

const hands = ['wrist', 'knee'] as const;
const handsAndFeet = ['wrist', 'ankle'] as const;
const forearmsAndFeet = ['elbow', 'ankle'] as const;
const forearmsAndKnees = ['elbow', 'knee'] as const;

export const floorMoves = {
  'wrist-lifts': {
    held: ['fingertip', 'knee'],
    goes: 'to-and-fro',
    keys: [
      { pose: table, words: 'hands flat, shoulders over the wrists' },
      {
        pose: { from: table, turn: { arm: [2, -2, 26] }, held: ['fingertip', 'knee'] },
        words: 'the heels of the hands lift, fingers stay',
      },
    ],
  },
  'wrist-angle': {
    held: ['wrist', 'knee'],
    goes: 'to-and-fro',
    keys: [
      { pose: table, words: 'palms flat' },
      {
        pose: { from: table, turn: { arm: [-24, -24, 0], trunk: 4 }, held: hands },
        words: 'the forearms lean forward until the heel of the hand would lift',
      },
    ],
  },
  'blade-circles': {
    held: hands,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { from: table, turn: { trunk: 7, head: -8 }, held: hands },
        words: 'elbows straight, the chest sinks between the blades',
      },
      {
        pose: { from: table, turn: { trunk: -9, head: 40 }, held: hands },
        words: 'the floor is pushed away, the blades go apart',
      },
    ],
  },
  'knee-to-elbow': {
    held: ['wrist', 'farKnee'],
    goes: 'to-and-fro',
    keys: [
      {
        pose: {
          from: table,
          turn: { leg: [88, -2], farLeg: [0, 0] },
          foot: 'pointed',
          held: ['wrist', 'farKnee'],
        },
        words: 'one leg long behind',
      },
      {
        pose: {
          from: table,
          turn: { leg: [-72, -10], farLeg: [0, 0], trunk: -6, head: 26 },
          foot: 'pointed',
          held: ['wrist', 'farKnee'],
        },
        words: 'that knee to the elbow of its side',
      },
    ],
  },
  plank: {
    held: handsAndFeet,
    goes: 'to-and-fro',
    keys: [
      { pose: dog, words: 'hands and feet down', held: ['wrist'] },
      { pose: plank, words: 'one line from shoulder to heel', stayS: 3 },
    ],
  },
  'slide-salute': {
    held: ['wrist'],
    goes: 'to-and-fro',
    keys: [
      { pose: dog, words: 'hips high, feet on the cloth' },
      { pose: plank, words: 'the weight goes over the hands first, the feet slide back' },
    ],
  },
  'push-up': {
    held: ['knee', 'wrist'],
    goes: 'to-and-fro',
    keys: [
      { pose: kneePlank, words: 'knees down, one line to the shoulders' },
      {
        pose: {
          from: kneePlank,
          turn: { arm: [48, -8, 0], trunk: 17, head: 18, leg: [17, 0] },
          held: ['knee', 'wrist'],
        },
        words: 'elbows close to the ribs, down together and up again',
      },
    ],
  },
  'forearm-plank': {
    held: ['elbow'],
    goes: 'to-and-fro',
    keys: [
      { pose: forearmTable, words: 'forearms and knees down' },
      { pose: forearmPlank, words: 'one line from shoulder to heel', stayS: 3 },
    ],
  },
  'forearm-to-plank': {
    held: ['ankle'],
    goes: 'to-and-fro',
    keys: [
      { pose: forearmPlank, words: 'on the forearms' },
      { pose: plank, words: 'pressed up to straight arms, one hand after the other' },
    ],
  },
  'forearm-slide': {
    held: ['elbow'],
    goes: 'to-and-fro',
    keys: [
      { pose: forearmTable, words: 'shoulders over the elbows, shins on a blanket' },
      {
        pose: {
          ...forearmTable,
          trunk: 96,
          head: 92,
          leg: [-140, -90, 'pointed'],
        },
        words: 'the legs slide back slowly, until the low back would sag',
      },
    ],
  },
  dolphin: {
    held: ['elbow'],
    goes: 'to-and-fro',
    keys: [
      { pose: forearmTable, words: 'forearms parallel, shoulders over the elbows' },
      { pose: dolphin, words: 'knees lift, hips high, head free', stayS: 3 },
    ],
  },
  'dolphin-rock': {
    held: forearmsAndFeet,
    goes: 'to-and-fro',
    keys: [
      { pose: dolphin, words: 'hips high, head free' },
      {
        pose: {
          from: dolphin,
          turn: { arm: [26, 0, 0], trunk: -24, head: -20 },
          held: forearmsAndFeet,
        },
        words: 'the chin passes the hands and comes back, elbows where they are',
      },
    ],
  },
  'dolphin-one-leg': {
    held: ['elbow', 'ankle'],
    goes: 'to-and-fro',
    keys: [
      {
        pose: { from: dolphin, turn: { farLeg: [0, 0] }, held: forearmsAndFeet },
        words: 'dolphin',
      },
      {
        pose: {
          from: dolphin,
          turn: { farLeg: [66, 66] },
          farFoot: 'pointed',
          held: forearmsAndFeet,
        },
        words: 'one leg in line with the back, hips level',
        stayS: 2,
      },
    ],
  },
  'dog-one-leg': {
    held: handsAndFeet,
    goes: 'to-and-fro',
    keys: [
      { pose: { from: dog, turn: { farLeg: [0, 0] }, held: handsAndFeet }, words: 'downward dog' },
      {
        pose: { from: dog, turn: { farLeg: [84, 84] }, farFoot: 'pointed', held: handsAndFeet },
        words: 'one leg in line with the back',
        stayS: 2,
      },
    ],
  },
  clasp: {
    held: forearmsAndKnees,
    goes: 'to-and-fro',
    keys: [
      { pose: forearmTable, words: 'elbows marked with tape' },
      {
        pose: { from: forearmTable, turn: { trunk: -7, head: 24 }, held: forearmsAndKnees },
        words: 'hands clasped, pressing down: how far the elbows go is measured',
      },
    ],
  },
  'crown-lower': {
    held: forearmsAndKnees,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { from: forearmTable, turn: { head: -14 }, held: forearmsAndKnees },
        words: 'elbows down, head free',
      },
      {
        pose: {
          from: forearmTable,
          turn: { arm: [35, 0, 0], trunk: 6, head: 47 },
          held: forearmsAndKnees,
        },
        words: 'the crown lowers to the floor and lifts without a bump',
      },
    ],
  },
  'crown-roll': {
    held: ['knee', 'wrist'],
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...kneeling, trunk: 122, head: 132, arm: [118, 100, 90] },
        words: 'forehead down, the hands carry',
      },
      {
        pose: { ...kneeling, trunk: 112, head: 156, arm: [126, 110, 90] },
        words: 'on to the crown, and back',
      },
    ],
  },
  'kneel-melt': {
    held: ['knee'],
    goes: 'to-and-fro',
    keys: [
      { pose: kneeling, words: 'hips over the knees' },
      { pose: melt, words: 'arms long, the chest goes towards the floor', stayS: 3 },
    ],
  },
  'prayer-melt': {
    held: ['knee'],
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...kneeling, trunk: 112, head: 108, arm: [148, 90, 90] },
        words: 'forearms down, palms together',
      },
      {
        pose: { ...kneeling, trunk: 124, head: 118, arm: [124, -40, -40] },
        words: 'the chest sinks, the hands lift behind the head',
      },
    ],
  },
  'chest-melt': {
    held: ['knee'],
    goes: 'to-and-fro',
    around: { rests: [{ left: 0.39, right: 0.47, top: 0.075 }] },
    keys: [
      {
        pose: { ...kneeling, trunk: 104, head: 100, arm: [126, -22, -30] },
        words: 'elbows on two blocks, hands behind the head',
      },
      {
        pose: { ...kneeling, trunk: 112, head: 112, arm: [113, -40, -44] },
        words: 'the chest sinks between the arms',
        stayS: 2,
      },
    ],
  },
  child: {
    held: ['knee'],
    goes: 'round',
    keys: [
      { pose: onHeels, words: 'on the heels' },
      { pose: child, words: 'folded forward, forehead down', stayS: 4 },
    ],
  },
  'knees-down': {
    held: ['wrist'],
    goes: 'round',
    keys: [
      { pose: dog, words: 'from the shape' },
      { pose: table, words: 'the knees come down', held: ['knee'] },
      { pose: child, words: 'and the hips sit back', stayS: 2 },
    ],
  },
  'forearms-knees-down': {
    held: ['elbow'],
    goes: 'round',
    keys: [
      { pose: dolphin, words: 'from the shape' },
      { pose: forearmTable, words: 'the knees come down', held: ['knee'] },
      { pose: child, words: 'and the hips sit back', stayS: 2 },
    ],
  },
  'sit-back': {
    held: ['knee'],
    goes: 'round',
    keys: [
      { pose: table, words: 'from all fours' },
      { pose: child, words: 'the hips sit back to the heels', stayS: 2 },
    ],
  },
  'forearm-base': {
    held: forearmsAndKnees,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { from: forearmTable, turn: { trunk: 5, head: -6 }, held: forearmsAndKnees },
        words: 'forearms parallel, elbows under the shoulders',
      },
      {
        pose: { from: forearmTable, turn: { trunk: -7, head: 22 }, held: forearmsAndKnees },
        words: 'the forearms press, the blades broaden',
        stayS: 2,
      },
    ],
  },
} as const satisfies Record<string, Move>;
