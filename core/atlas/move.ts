/** A movement as two to six poses and what is held between them. */
import type { Rest } from '../shapes/shape';
import type { Held } from './held';
import type { Pose } from './pose';
import type { Anchor } from './skeleton';

export type HeldFirst = readonly [Anchor, ...Held[]];

/** One pose of a movement. */
export interface Key {
  readonly pose: Pose;
  /** What it shows, as a few words. */
  readonly words: string;
  /** What stays from here to the next pose, where it is not what the movement holds. */
  readonly held?: HeldFirst;
  /** How long the way to the next pose takes, seconds; absent: half a breath. */
  readonly goS?: number;
  /** How long it stays here, seconds. */
  readonly stayS?: number;
}

/** Something that stands in the picture, shares of height. */
export interface Around {
  readonly rests?: readonly Rest[];
  /** A wall's face; on its left stands who faces +x. */
  readonly wall?: { readonly x: number; readonly side: 1 | -1 };
  readonly chair?: { readonly frontX: number; readonly backX: number };
}

export interface Move {
  /** In the order they are gone through; two to six. */
  readonly keys: readonly [Key, Key, ...Key[]];
  /** What stays where it is all the while. */
  readonly held: HeldFirst;
  /** Back and forth, or to the end and again from the beginning. */
  readonly goes: 'to-and-fro' | 'round';
  /** Which pose decides where wall and floor are; absent: the first. */
  readonly main?: number;
  readonly around?: Around;
  /** What is between the hands. */
  readonly inHands?: 'block' | 'strap';
}

/** Half a breath, and how long a pose is stayed in where nothing else is said; seconds. */
export const pace = { halfBreathS: 2.5, stayS: 0.8, quickS: 0.45 } as const;
