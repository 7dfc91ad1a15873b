/** Standing and sitting. */
import type { Move } from '../move';
import { crossLegged, fold, kneeling, onChair, onHeels, standing } from '../poses';

const feet = ['ankle'] as const;
const seat = ['hip'] as const;

const chair = { frontX: 0.03, backX: -0.2 } as const;

export const uprightMoves = {
  'strap-passes': {
    held: feet,
    goes: 'to-and-fro',
    inHands: 'strap',
    keys: [
      { pose: { ...standing, arm: [160, 160] }, words: 'strap in front, grip wide' },
      { pose: { ...standing, arm: [2, 2] }, words: 'overhead, arms long' },
      { pose: { ...standing, arm: [-140, -140] }, words: 'behind and down' },
    ],
  },
  'arm-wraps': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...crossLegged, arm: [84, 8], farArm: [96, 20] },
        words: 'arms crossed and wound, elbows up',
      },
      {
        pose: { ...crossLegged, arm: [20, 208], farArm: [196, 320] },
        words: 'clasped behind, one arm from above, ribs down',
      },
      {
        pose: { ...crossLegged, arm: [18, 224], head: -4 },
        words: 'hand behind the head, the head presses it',
        stayS: 2,
      },
    ],
  },
  'clasp-behind': {
    held: feet,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...standing, farArm: [180, 180] }, words: 'standing, ribs down' },
      {
        pose: { ...standing, arm: [12, 200], farArm: [198, 330] },
        words: 'one hand from above, one from below',
        stayS: 2,
      },
    ],
  },
  'forearm-opens': {
    held: feet,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...standing, arm: [178, 92] }, words: 'the elbow pins a block to the hip' },
      { pose: { ...standing, arm: [182, 128] }, words: 'the forearm turns out, the elbow stays' },
    ],
  },
  'block-behind-head': {
    held: seat,
    goes: 'to-and-fro',
    inHands: 'block',
    keys: [
      { pose: { ...crossLegged, arm: [30, 0] }, words: 'block between the hands, arms up' },
      {
        pose: { ...crossLegged, arm: [22, 206, 200] },
        words: 'behind the head, elbows up and in',
        stayS: 1.5,
      },
    ],
  },
  'chair-melt': {
    held: ['knee'],
    goes: 'to-and-fro',
    around: { chair: { frontX: 0.36, backX: 0.62 } },
    keys: [
      {
        pose: { ...kneeling, trunk: 62, head: 66, arm: [126, -6, -10] },
        words: 'elbows on the seat, hands up',
      },
      {
        pose: { ...kneeling, trunk: 84, head: 88, arm: [84, -40, -48] },
        words: 'the chest sinks, the hands go behind the head',
        stayS: 2,
      },
    ],
  },
  'leg-lengtheners': {
    held: feet,
    goes: 'to-and-fro',
    keys: [
      { pose: standing, words: 'standing' },
      { pose: fold, words: 'folded, knees soft', stayS: 2 },
      { pose: { family: 'dog' }, words: 'hands walk out, legs long', held: ['ankle'] },
    ],
  },
  'standing-fold': {
    held: feet,
    goes: 'round',
    keys: [
      { pose: { ...standing, arm: [182, 150] }, words: 'hands loose, wrists circle', stayS: 2 },
      { pose: { ...fold, arm: [172, 92, 92] }, words: 'folded, holding the elbows', stayS: 4 },
    ],
  },
  'hands-behind': {
    held: seat,
    goes: 'round',
    keys: [
      { pose: onHeelsSeat(), words: 'sitting, wrists loose', stayS: 1.5 },
      {
        pose: { ...onHeelsSeat(), arm: [-142, -100] },
        words: 'hands clasped behind, chest open',
        stayS: 3,
      },
    ],
  },
  'seated-shoulders': {
    held: seat,
    goes: 'to-and-fro',
    around: { chair },
    inHands: 'strap',
    keys: [
      { pose: { ...onChair, arm: [120, 120] }, words: 'on a chair, strap in front' },
      { pose: { ...onChair, arm: [6, 6] }, words: 'overhead at an easy pace' },
    ],
  },
  'standing-shoulders': {
    held: feet,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...standing, arm: [176, 92] }, words: 'elbows at the ribs, hands free' },
      {
        pose: { ...standing, arm: [188, 140], head: -3 },
        words: 'forearms open outwards, blades together',
      },
    ],
  },
  'seated-breath': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...crossLegged, head: 6 }, words: 'sitting tall, hands on the thighs' },
      {
        pose: { ...crossLegged, trunk: -2, head: -2 },
        words: 'a slow breath in, and out',
        stayS: 1,
      },
    ],
  },
  'neck-turns': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      { pose: crossLegged, words: 'sitting, shoulders still' },
      {
        pose: { ...crossLegged, head: 10 },
        words: 'the head turns as far as it goes by itself, each way',
      },
    ],
  },
  lotus: {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...crossLegged, farLeg: [92, -80, 'pointed'], leg: [50, 138, 'flat'] },
        words: 'sitting, one foot out',
      },
      {
        pose: { ...crossLegged, farLeg: [92, -80, 'pointed'], leg: [64, 24, 'pointed'] },
        words: 'that foot is lifted across',
      },
      {
        pose: { ...crossLegged, farLeg: [92, -80, 'pointed'], leg: [94, -74, 'pointed'] },
        words: 'that foot to the other hip, no pain in the knee',
      },
    ],
  },
  'say-number': {
    held: seat,
    goes: 'round',
    keys: [
      { pose: { ...crossLegged, arm: [160, 100] }, words: 'asked, not guessed' },
      {
        pose: { ...crossLegged, arm: [140, 20], head: 3 },
        words: 'the number that is said is written down',
        stayS: 2,
      },
    ],
  },
  'arms-unwind': {
    held: seat,
    goes: 'round',
    keys: [
      { pose: { ...crossLegged, arm: [84, 8], farArm: [96, 20] }, words: 'arms wound' },
      { pose: { ...crossLegged, farArm: [160, 100] }, words: 'and unwound, hands down', stayS: 2 },
    ],
  },
} as const satisfies Record<string, Move>;

/** On the heels, held at the hip: shins on the floor below it. */
function onHeelsSeat() {
  return {
    ...onHeels,
    at: 'hip',
    place: [0, 0.12],
    arm: [150, 60],
  } as const;
}
