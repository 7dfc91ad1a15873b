/**
 * The ways to come up at a wall: different things with their own distance, lane, count and gate.
 * Source: handbook 02 (handstand 10), 04 "Wall distances" and "Room", 09 "Way up".
 */
import type { MoveId } from '../atlas/moves';

export interface WayUpSpec {
  /** Follows the name of the stage. */
  readonly label: string;
  readonly how: string;
  readonly move: MoveId;
  /** Fingertips to the wall on the hands, metres; absent: as the set-up has it. */
  readonly handGapM?: number;
  /** The legs open wide: a lane as wide as they are. */
  readonly isStraddle?: true;
  /** Tries in a round. */
  readonly tries: number;
  /** The lifted leg stays straight: what the count of hops that reach the wall asks for. */
  readonly isStraight?: true;
  /** Both legs leave the floor at once. */
  readonly isTogether?: true;
  /** Only for whoever keeps the hollow: it goes backwards, or the back takes it. */
  readonly asksHollow?: true;
}

export const wayUpTable = {
  'straight-leg': {
    label: 'straight-leg spring',
    move: 'straight-leg',
    isStraight: true,
    how: 'The lifted leg stays straight; the standing leg bends and springs, the pelvis rises on one line.',
    tries: 6,
  },
  'bent-knee': {
    label: 'bent-knee hop',
    move: 'bent-knee',
    isTogether: true,
    how: 'Feet wider than the hands, knees stay bent and low, both feet land softly.',
    handGapM: 0.22,
    tries: 3,
  },
  straddle: {
    label: 'straddle hop',
    move: 'straddle',
    isTogether: true,
    how: 'Legs wide at once, tail to the wall; the last time the legs join. Only for whoever keeps the hollow.',
    handGapM: 0.22,
    isStraddle: true,
    tries: 4,
    asksHollow: true,
  },
  'slow-leg': {
    label: 'slow single leg',
    move: 'slow-leg',
    isStraight: true,
    how: 'Hands closer; the shoulders lead, one leg floats up and the other follows without a jump.',
    handGapM: 0.125,
    tries: 4,
  },
  tuck: {
    label: 'two legs from the tuck',
    move: 'tuck-up',
    isTogether: true,
    how: 'Both knees draw in together and rise over the shoulders before the legs lengthen.',
    tries: 3,
    asksHollow: true,
  },
} as const satisfies Record<string, WayUpSpec>;

export type WayUpId = keyof typeof wayUpTable;
export const wayUpIds = Object.keys(wayUpTable) as [WayUpId, ...WayUpId[]];
export const getWayUp = (id: WayUpId): WayUpSpec => wayUpTable[id];
