/**
 * How the hands lie in a forearm stand, chosen by the school and otherwise by the person, and the
 * base each way gives. Source: handbook 09 "Hands in forearm stand"; the clasped hands' lengths are
 * ours (docs/decisions/0014).
 */
import type { Lengths } from './body';

interface ForearmHands {
  readonly label: string;
  /** What the hands do, to be said with the set-up. */
  readonly say: string;
  /** From the wrist crease to what reaches furthest, metres. */
  readonly reachM: (lengths: Lengths) => number;
}

export const forearmHandsTable = {
  block: {
    label: 'round a block',
    say: 'Hands round the block.',
    reachM: ({ hand }) => hand,
  },
  flat: {
    label: 'flat and apart',
    say: 'Hands flat, as far apart as the elbows, first fingers parallel.',
    reachM: ({ hand }) => hand,
  },
  clasped: {
    label: 'clasped',
    say: 'Hands clasped, palm heels together, the bottom little finger tucked.',
    // The fingers bend at the knuckles and lie back over the other hand.
    reachM: ({ knuckle }) => knuckle,
  },
} as const satisfies Record<string, ForearmHands>;

export type ForearmHandsId = keyof typeof forearmHandsTable;
export const forearmHandsIds = Object.keys(forearmHandsTable) as [
  ForearmHandsId,
  ...ForearmHandsId[],
];

export const getForearmHands = (id: ForearmHandsId): ForearmHands => forearmHandsTable[id];

/** Both wrists touch where the hands are clasped: middle to middle, one palm's breadth. */
export const claspedWristsM = ({ palmBreadth }: Lengths): number => palmBreadth;

/**
 * How far ahead of the elbows the wrists lie, metres: less than a forearm where the wrists come
 * closer than the elbows.
 */
export const wristsAheadM = (forearmM: number, elbowWidthM: number, wristWidthM: number): number =>
  Math.sqrt(Math.max(0, forearmM ** 2 - ((elbowWidthM - wristWidthM) / 2) ** 2));
