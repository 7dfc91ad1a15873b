/**
 * The hands-free clock: a row of marked frames as they come, read as a clip is read, with the one
 * definition of a foot off the floor and at the wall. Pure; who calls it has the camera.
 * Source: handbook 13 "Command clip".
 */
import { InputProblem } from '../../problem';
import { openClip, type ClipInput } from './frames';
import { findTries } from './tries';

/** What ends a hold: a foot on the floor, or a foot at the wall as well. */
export const clockStops = ['floor', 'wall'] as const;
export type ClockStop = (typeof clockStops)[number];

export interface Clock {
  /** Both feet are off the floor (and, where asked, off the wall) since; `null`: the clock stands. */
  readonly sinceS: number | null;
  /** The last frame that was read, seconds. */
  readonly nowS: number;
  /** The longest hold that has ended, seconds; 0 before there is one. */
  readonly longestS: number;
  /** So far off the longest hold may be, seconds: the pictures beside its two ends lie so far apart. */
  readonly longestErrS: number;
  /** The hold that ended last, seconds; `null` before there is one. */
  readonly lastS: number | null;
  readonly hops: number;
  readonly wallTouches: number;
  /** Hops in which a foot came to the wall. */
  readonly reached: number;
}

export const stillClock: Clock = {
  sinceS: null,
  nowS: 0,
  longestS: 0,
  longestErrS: 0,
  lastS: null,
  hops: 0,
  wallTouches: 0,
  reached: 0,
};

/** Nobody who leaves the floor is back sooner, seconds: what is shorter is a mark that slipped. */
const leastAirS = 0.25;
/** Frames before anything can be told. */
const leastFrames = 3;

/**
 * The clock over everything seen since it was armed.
 *
 * @param input frames in the order they were taken; times in seconds
 */
export function readClock(input: ClipInput, stop: ClockStop): Clock {
  const marked = input.frames.filter(({ marks }) => Object.keys(marks.near).length > 0);
  if (marked.length < leastFrames) return stillClock;
  let clip;
  try {
    clip = openClip({ ...input, frames: marked });
  } catch (error) {
    // Marks that no body can have: the next frame may be read.
    if (error instanceof InputProblem) return stillClock;
    throw error;
  }
  if (clip.heightPx === null) return stillClock;
  const { tries, isAtWall } = findTries(clip);
  const time = (index: number) => clip.times[index]!;
  const last = clip.times.length - 1;
  let sinceS: number | null = null;
  let touches = 0;
  let reached = 0;
  const apartS = (index: number) => (index === 0 ? 0 : time(index) - time(index - 1));
  const holds: { readonly s: number; readonly errS: number }[] = [];
  const hold = (begins: number, ends: number) =>
    holds.push({ s: time(ends) - time(begins), errS: apartS(begins) + apartS(ends) });
  const real = tries.filter(({ from, to, landed }) => time(landed ?? to) - time(from) >= leastAirS);
  for (const one of real) {
    // Up already when the clock was armed: when it began nobody has seen.
    let from: number | null = one.isUnderWay ? null : one.from;
    const before = touches;
    for (let index = one.from; index <= one.to; index += 1) {
      const isNew = isAtWall[index] === true && index > 0 && isAtWall[index - 1] !== true;
      if (isNew && !one.isUnderWay) touches += 1;
      if (stop === 'floor') continue;
      if (isAtWall[index] === true) {
        if (from !== null && isNew) hold(from, index);
        from = null;
      } else if (from === null && index > one.from) from = index;
    }
    if (touches > before) reached += 1;
    if (one.landed !== null) {
      if (from !== null) hold(from, one.landed);
    } else if (one.to === last && from !== null) sinceS = time(from);
  }
  const longest = holds.reduce((most, one) => (one.s > most.s ? one : most), { s: 0, errS: 0 });
  return {
    sinceS,
    nowS: time(last),
    longestS: longest.s,
    longestErrS: longest.errS,
    lastS: holds.at(-1)?.s ?? null,
    hops: real.filter(({ isUnderWay }) => !isUnderWay).length,
    wallTouches: touches,
    reached,
  };
}

/** Two stretches of one clock, the second of which began with nobody up. */
export const joinClocks = (before: Clock, after: Clock): Clock => ({
  sinceS: after.sinceS,
  nowS: after.nowS,
  longestS: Math.max(before.longestS, after.longestS),
  longestErrS: after.longestS > before.longestS ? after.longestErrS : before.longestErrS,
  lastS: after.lastS ?? before.lastS,
  hops: before.hops + after.hops,
  wallTouches: before.wallTouches + after.wallTouches,
  reached: before.reached + after.reached,
});

/** How long the hold under way, or else the longest, has lasted, seconds. */
export const heldS = ({ sinceS, nowS, longestS }: Clock, atS = nowS): number =>
  sinceS === null ? longestS : Math.max(0, atS - sinceS);
