/** On the crown, and upside down on the shoulders: ways up, what is held there, and ways down. */
import type { Move } from '../move';
import { child, onHeels } from '../poses';

const crown = ['crown'] as const;
const head = { family: 'headstand' } as const;
const tuck = { family: 'headstandTuck' } as const;
const base = { family: 'headstandBase' } as const;

export const headMoves = {
  'head-base': {
    held: crown,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: { from: base, turn: { trunk: -6, leg: [-20, 30] }, held: ['crown', 'ankle'] },
        words: 'crown down, forearms press, knees bent',
      },
      { pose: base, words: 'legs long, shoulders away from the floor', stayS: 2 },
    ],
  },
  'knee-in': {
    held: crown,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: { from: base, turn: { farLeg: [0, 0] }, held: crown }, words: 'base set, walked in' },
      {
        pose: {
          from: base,
          turn: { farLeg: [-6, 136] },
          farFoot: 'pointed',
          held: crown,
        },
        words: 'one knee in, the foot floats',
        stayS: 1.5,
      },
    ],
  },
  'tuck-in': {
    held: crown,
    goes: 'to-and-fro',
    main: 1,
    keys: [
      { pose: base, words: 'base set, walked in' },
      { pose: tuck, words: 'both knees in, without a hop', stayS: 3 },
    ],
  },
  'tuck-down': {
    held: crown,
    goes: 'round',
    main: 0,
    keys: [
      { pose: tuck, words: 'in the tuck' },
      { pose: base, words: 'feet come down together', stayS: 2 },
    ],
  },
  headstand: {
    held: crown,
    goes: 'to-and-fro',
    main: 2,
    keys: [
      { pose: base, words: 'base set, walked in' },
      { pose: tuck, words: 'both knees in' },
      { pose: head, words: 'knees up, then the legs lengthen', stayS: 3 },
    ],
  },
  'headstand-down': {
    held: crown,
    goes: 'round',
    main: 0,
    keys: [
      { pose: head, words: 'upside down' },
      { pose: tuck, words: 'through the tuck, slowly' },
      { pose: base, words: 'feet down', stayS: 2 },
    ],
  },
  'legs-lift': {
    held: crown,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: base, words: 'both legs straight and together' },
      {
        pose: { from: base, turn: { trunk: 18, leg: [52, 52] }, foot: 'pointed', held: crown },
        words: 'as far as they lift',
        goS: 3,
      },
      { pose: head, words: 'and back as slowly', stayS: 1 },
    ],
  },
  'half-bend': {
    held: crown,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: head, words: 'legs long' },
      {
        pose: { from: head, turn: { trunk: 12, leg: [-84, -84] }, foot: 'pointed', held: crown },
        words: 'straight legs to level, and up again',
        stayS: 1,
      },
    ],
  },
  'arch-curl': {
    held: crown,
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: head, words: 'upside down' },
      {
        pose: { from: head, turn: { trunk: -8, leg: [18, 40] }, foot: 'pointed', held: crown },
        words: 'half-way arch, and back',
      },
      { pose: tuck, words: 'full curl, and back' },
    ],
  },
  'shoulder-rest': {
    held: ['shoulder'],
    goes: 'to-and-fro',
    main: 1,
    keys: [
      {
        pose: {
          from: { still: 'shoulder-rest' },
          turn: { leg: [-120, -120], farLeg: [-8, -8] },
          farFoot: 'pointed',
          foot: 'ball',
          held: ['shoulder'],
        },
        words: 'upper back on the blocks, one leg lifts',
      },
      {
        pose: { from: { still: 'shoulder-rest' }, turn: { farLeg: [0, 0] }, held: ['shoulder'] },
        words: 'then the other, head free',
        stayS: 3,
      },
    ],
  },
  'shoulder-rest-down': {
    held: ['shoulder'],
    goes: 'round',
    main: 0,
    keys: [
      {
        pose: { from: { still: 'shoulder-rest' }, turn: { farLeg: [0, 0] }, held: ['shoulder'] },
        words: 'upside down, head free',
      },
      {
        pose: {
          from: { still: 'shoulder-rest' },
          turn: { leg: [-120, -120], farLeg: [-8, -8] },
          farFoot: 'pointed',
          foot: 'ball',
          held: ['shoulder'],
        },
        words: 'the foot that came first goes first',
        stayS: 2,
      },
    ],
  },
  'paper-slip': {
    held: ['elbow', 'ankle'],
    goes: 'to-and-fro',
    main: 0,
    keys: [
      { pose: base, words: 'a sheet under the crown, the base set' },
      {
        pose: { from: base, turn: { arm: [-8, 0, 0] }, held: ['elbow', 'ankle'] },
        words: 'forearms press: the sheet slides out',
        stayS: 1.5,
      },
    ],
  },
  'to-child': {
    held: ['knee'],
    goes: 'round',
    keys: [
      { pose: onHeels, words: 'knees down, head stays low' },
      {
        pose: child,
        words: 'rest at least as long as the hold',
        stayS: 4,
      },
    ],
  },
} as const satisfies Record<string, Move>;
