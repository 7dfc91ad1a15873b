/** Tries of a clip: from the last foot off the floor to the first foot down. Source: handbook 13. */
import { contactsOfFeet, settle, type Contacts } from './contacts';
import type { Clip, Limb } from './frames';

/** How far the hips are above the shoulders, and at most beside them, as shares of the height. */
export const inversion = { aboveShare: 0.15, besideShare: 0.15 } as const;

/** Frames from the first to the last, both counted. */
export interface Run {
  readonly from: number;
  readonly to: number;
}

export interface Try {
  readonly from: number;
  /** The first frame with a foot down; `null`: it did not end in sight. */
  readonly landed: number | null;
  /** The last frame that belongs to it. */
  readonly to: number;
  /** Under way when the clip, or what can be seen of it, began. */
  readonly isUnderWay: boolean;
  readonly inverted: readonly Run[];
  readonly leading: Limb | null;
  /** Where the leading leg leaves the floor. */
  readonly leadsFrom: number;
  /** The first foot to come down. */
  readonly lands: Limb;
  /** The frame with the highest pelvis. */
  readonly highest: number;
}

export interface Tries {
  readonly tries: readonly Try[];
  readonly isInverted: readonly boolean[];
  readonly isAtWall: readonly boolean[];
}

/** Runs of `true`. */
export function runsOf(values: readonly boolean[], within?: Run): Run[] {
  const runs: Run[] = [];
  const { from, to } = within ?? { from: 0, to: values.length - 1 };
  for (let index = from; index <= to; index += 1) {
    if (!values[index]) continue;
    const last = runs.at(-1);
    if (last !== undefined && last.to === index - 1) runs[runs.length - 1] = { ...last, to: index };
    else runs.push({ from: index, to: index });
  }
  return runs;
}

/** Stretches in which hip and shoulder are known: a longer gap ends what it interrupts. */
export function listSeen(clip: Clip): Run[] {
  const hip = clip.track('hip', 'near').at;
  const shoulder = clip.track('shoulder', 'near').at;
  return runsOf(clip.times.map((_, index) => hip[index] !== null && shoulder[index] !== null));
}

function invertedIn(clip: Clip, isUp: readonly boolean[], seen: readonly Run[]): boolean[] {
  const { heightPx, hasFarLeg } = clip;
  const limbs: readonly Limb[] = hasFarLeg ? ['near', 'far'] : ['near'];
  const raw = clip.times.map((_, index) => {
    const hip = clip.track('hip', 'near').at[index];
    const shoulder = clip.track('shoulder', 'near').at[index];
    if (!isUp[index] || !hip || !shoulder || heightPx === null) return false;
    if (hip[1] - shoulder[1] < inversion.aboveShare * heightPx) return false;
    if (Math.abs(hip[0] - shoulder[0]) > inversion.besideShare * heightPx) return false;
    return limbs.every((limb) => {
      const ankle = clip.track('ankle', limb).at[index] ?? clip.track('heel', limb).at[index];
      return ankle === null || ankle === undefined || ankle[1] > hip[1];
    });
  });
  const settled = clip.times.map(() => false);
  for (const { from, to } of seen) {
    settle(raw.slice(from, to + 1)).forEach((value, index) => {
      settled[from + index] = value;
    });
  }
  return settled;
}

/** Where a foot that is off at some frame has left the floor; `null`: before what can be seen. */
function leftAt({ onFloor }: Contacts, by: number, seen: Run): number | null {
  for (let index = by; index > seen.from; index -= 1) if (onFloor[index - 1]) return index;
  return null;
}

export function findTries(clip: Clip): Tries {
  const { near, far } = contactsOfFeet(clip);
  const seen = listSeen(clip);
  const isUp = clip.times.map((_, index) => !near.onFloor[index] && !far.onFloor[index]);
  const isInverted = invertedIn(clip, isUp, seen);
  const hip = clip.track('hip', 'near').at;
  const tries = seen.flatMap((stretch) =>
    runsOf(isUp, stretch).map(({ from, to }): Try => {
      const landed = to < stretch.to ? to + 1 : null;
      const left = { near: leftAt(near, from, stretch), far: leftAt(far, from, stretch) };
      const isUnderWay = from === stretch.from;
      const leading = findLeading(left, clip.hasFarLeg);
      let highest = from;
      for (let index = from; index <= to; index += 1) {
        if (hip[index]![1] > hip[highest]![1]) highest = index;
      }
      return {
        from,
        to,
        landed,
        isUnderWay,
        inverted: runsOf(isInverted, { from, to }),
        leading,
        leadsFrom: (leading === null ? null : left[leading]) ?? stretch.from,
        lands: landed !== null && near.onFloor[landed] ? 'near' : 'far',
        highest,
      };
    }),
  );
  // One foot that leaves as the other comes leaves nothing: a single frame decides nothing here either.
  const isAtWall = settle(clip.times.map((_, index) => near.atWall[index]! || far.atWall[index]!));
  return { tries, isInverted, isAtWall };
}

/** The leg that leaves the floor first; one that had left before the clip did so first. */
function findLeading(left: Readonly<Record<Limb, number | null>>, hasFarLeg: boolean): Limb | null {
  if (!hasFarLeg) return 'near';
  const [near, far] = [left.near ?? -1, left.far ?? -1];
  if (near === far) return null;
  return near < far ? 'near' : 'far';
}
