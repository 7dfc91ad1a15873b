/** On the back and on the shoulders. */
import type { Move } from '../move';
import { lying, lyingKneesUp, lyingTuck } from '../poses';

const seat = ['hip'] as const;
const shoulders = ['shoulder'] as const;
const stand = { family: 'shoulderStand' } as const;
const plough = { family: 'plough' } as const;
const half = { still: 'half-shoulder-stand' } as const;
const wallPlough = { still: 'wall-plough' } as const;

const overhead = [97, 94] as const;

export const backMoves = {
  hollow: {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...lyingTuck, arm: [0, 0] }, words: 'low back down, knees over the hips' },
      { pose: { still: 'hollow' }, words: 'shoulders and heels a little off the floor', stayS: 3 },
    ],
  },
  boat: {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      {
        pose: {
          ...lying,
          trunk: 38,
          head: 28,
          arm: [-72, -72],
          leg: [-52, -118, 'pointed'],
        },
        words: 'tall, shins level, arms reach',
      },
      { pose: { still: 'boat' }, words: 'legs as long as the back allows', stayS: 2 },
    ],
  },
  'curl-peel': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      {
        pose: { ...lyingTuck, head: 88, arm: [64, -60, -80] },
        words: 'hands behind the head, neck idle',
      },
      {
        pose: {
          ...lyingTuck,
          trunk: 72,
          head: 42,
          arm: [28, -104, -110],
          leg: [34, -70, 'pointed'],
        },
        words: 'the hands lift the head, the tail peels off the floor',
        stayS: 1.5,
      },
    ],
  },
  'leg-raise': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...lying, farLeg: lying.leg }, words: 'on the back, both legs long' },
      {
        pose: { ...lying, leg: [-6, -6, 'flexed'], farLeg: lying.leg },
        words: 'one straight leg up, until the pelvis turns',
        stayS: 1.5,
      },
    ],
  },
  'arm-overhead': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...lyingKneesUp, arm: [0, 0] }, words: 'on the back, ribs down, arms up' },
      {
        pose: { ...lyingKneesUp, arm: overhead },
        words: 'the arms go overhead as far as the ribs stay',
      },
    ],
  },
  'lie-flat': {
    held: seat,
    goes: 'round',
    keys: [
      { pose: { still: 'hollow' }, words: 'from the shape' },
      { pose: lyingTuck, words: 'the knees draw in' },
      { pose: lying, words: 'and everything lies down', stayS: 2 },
    ],
  },
  'cool-down': {
    held: seat,
    goes: 'round',
    keys: [
      { pose: lying, words: 'flat on the back' },
      {
        pose: { ...lyingTuck, arm: [-60, -30], leg: [40, -60, 'pointed'] },
        words: 'knees to the armpits',
        stayS: 2,
      },
      {
        pose: { ...lyingKneesUp, arm: overhead },
        words: 'feet down, arms open, knees to each side',
        stayS: 2,
      },
    ],
  },
  rest: {
    held: seat,
    goes: 'round',
    keys: [
      { pose: lyingKneesUp, words: 'on the back, as is easiest' },
      { pose: lying, words: 'legs long, nothing to do', stayS: 4 },
    ],
  },
  recline: {
    held: seat,
    goes: 'round',
    around: {
      rests: [
        // What leans there, a bolster on two blocks, as steps under the back.
        { left: 0.08, right: 0.17, top: 0.06 },
        { left: 0.17, right: 0.28, top: 0.125 },
        { left: -0.3, right: -0.2, top: 0.07 },
      ],
    },
    keys: [
      {
        pose: { ...lying, trunk: 40, head: 30, arm: [-150, -120], leg: [-62, -122, 'flat'] },
        words: 'half sitting against a bolster',
      },
      {
        pose: { ...lying, trunk: 58, head: 46, arm: [-130, -100], leg: [-78, -104, 'flexed'] },
        words: 'leaned back, knees over a roll',
        stayS: 4,
      },
    ],
  },
  'sacrum-stack': {
    held: ['ankle'],
    goes: 'round',
    main: 1,
    keys: [
      { pose: { still: 'calves-on-chair' }, words: 'calves on the chair' },
      {
        pose: { still: 'sacrum-stack' },
        words: 'hips lift, flat firm pieces in one by one',
        stayS: 3,
      },
    ],
  },
  'calves-on-chair': {
    held: seat,
    goes: 'round',
    main: 1,
    keys: [
      {
        pose: { from: { still: 'calves-on-chair' }, turn: { leg: [-34, -24] }, held: ['hip'] },
        words: 'hips close to the chair, knees in',
      },
      { pose: { still: 'calves-on-chair' }, words: 'calves on the seat', stayS: 4 },
    ],
  },
  'legs-up': {
    held: seat,
    goes: 'round',
    main: 1,
    keys: [
      {
        pose: { from: { still: 'legs-up' }, turn: { leg: [34, -40] }, held: ['hip'] },
        words: 'hips on a bolster, close to the wall',
      },
      { pose: { still: 'legs-up' }, words: 'legs resting up it', stayS: 4 },
    ],
  },
  'roll-to-side': {
    held: seat,
    goes: 'round',
    main: 0,
    keys: [
      { pose: { still: 'legs-up' }, words: 'legs up' },
      {
        pose: { from: { still: 'legs-up' }, turn: { leg: [34, -72] }, held: ['hip'] },
        words: 'knees bend, then roll to the side',
        stayS: 2,
      },
    ],
  },
  'half-stand': {
    held: shoulders,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: { from: half, turn: { trunk: -22, leg: [-30, -60] }, held: ['shoulder'] },
        words: 'knees in, the hands take the hips',
      },
      { pose: half, words: 'legs up, weight on the hands', stayS: 3 },
    ],
  },
  'half-roll-down': {
    held: shoulders,
    goes: 'round',
    main: 0,
    keys: [
      { pose: half, words: 'legs up' },
      {
        pose: { from: half, turn: { trunk: -14, leg: [74, -36] }, held: ['shoulder'] },
        words: 'knees bend',
      },
      { pose: { ...lyingTuck, arm: lying.arm }, words: 'roll down slowly, head quiet', stayS: 2 },
    ],
  },
  'wall-plough': {
    held: shoulders,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: { from: wallPlough, turn: { leg: [24, 50] }, held: ['shoulder'] },
        words: 'hips up, no weight on the neck',
      },
      { pose: wallPlough, words: 'feet to the wall', stayS: 3 },
    ],
  },
  'wall-plough-down': {
    held: shoulders,
    goes: 'round',
    main: 0,
    keys: [
      { pose: wallPlough, words: 'feet at the wall' },
      {
        pose: { from: wallPlough, turn: { leg: [40, 60] }, held: ['shoulder'] },
        words: 'knees bend',
      },
      {
        pose: { from: wallPlough, turn: { trunk: -70, leg: [-30, 20] }, held: ['shoulder'] },
        words: 'roll down',
        stayS: 2,
      },
    ],
  },
  'shoulder-stand': {
    held: shoulders,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      { pose: plough, words: 'from the plough, shoulders on the platform' },
      { pose: stand, words: 'legs up, hands on the ribs, head quiet', stayS: 3 },
    ],
  },
  plough: {
    held: shoulders,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: stand, words: 'from the stand' },
      { pose: plough, words: 'the feet go over', stayS: 2 },
    ],
  },
  'shoulder-stand-down': {
    held: shoulders,
    goes: 'round',
    main: 0,
    keys: [
      { pose: stand, words: 'legs up' },
      {
        pose: { from: stand, turn: { leg: [104, -30] }, held: ['shoulder'] },
        words: 'knees to the forehead',
      },
      {
        pose: { from: stand, turn: { trunk: -62, leg: [34, -30] }, held: ['shoulder'] },
        words: 'one vertebra at a time, then slide back',
        stayS: 2,
      },
    ],
  },
  'chair-stand': {
    held: shoulders,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: {
          from: { still: 'chair-shoulder-stand' },
          turn: { leg: [24, -74] },
          held: ['shoulder'],
        },
        words: 'knees bent, hands hold the chair',
      },
      { pose: { still: 'chair-shoulder-stand' }, words: 'one leg up, then the other', stayS: 3 },
    ],
  },
  'chair-stand-down': {
    held: shoulders,
    goes: 'round',
    main: 0,
    keys: [
      { pose: { still: 'chair-shoulder-stand' }, words: 'legs up' },
      {
        pose: {
          from: { still: 'chair-shoulder-stand' },
          turn: { leg: [24, -74] },
          held: ['shoulder'],
        },
        words: 'knees bend, slide down, the chair stays',
        stayS: 2,
      },
    ],
  },
  'back-arch': {
    held: seat,
    goes: 'to-and-fro',
    keys: [
      { pose: { ...lying, arm: [-100, -88] }, words: 'on the back, elbows at the ribs' },
      {
        pose: { ...lying, trunk: 70, head: 112, arm: [-155, -86] },
        words: 'chest lifts on the elbows, the crown only grazes the floor',
        stayS: 3,
      },
    ],
  },
} as const satisfies Record<string, Move>;
