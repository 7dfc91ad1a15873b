/**
 * How long a shape is held in a clip that is no stretch upside down: the L, whose feet are at the
 * height of the hips, and the tuck, whose knees are in. Times alone: no scale is needed. Limits are
 * the product's own where handbook 13 is silent; hips over shoulders is meant as there.
 */
import type { HeldMeasureId, Measured } from '../measureTable';
import { openClip, type Clip, type ClipInput, type Limb } from './frames';
import { inversion, listSeen, runsOf } from './tries';
import { contactsOfFeet, settle } from './contacts';

/** Shares of the standing height, and a slope: strict, since what only passes by is no hold. */
const limits = {
  /** Feet at the height of the hips (within 15 degrees of level), legs not folded. */
  l: { slope: 0.27, outShare: 0.33 },
  /** Legs folded, feet above the shoulders, knees no higher than the hips, give or take. */
  tuck: { kneeAboveShare: 0.05, foldedShare: 0.33 },
} as const;

type Looks = (clip: Clip, heightPx: number, index: number, limbs: readonly Limb[]) => boolean;

const at = (
  clip: Clip,
  name: 'hip' | 'shoulder' | 'knee' | 'ankle' | 'heel',
  limb: Limb,
  index: number,
) => clip.track(name, limb).at[index] ?? null;

/** Hips clearly above the shoulders. */
const isTrunkUp: Looks = (clip, heightPx, index) => {
  const [hip, shoulder] = [at(clip, 'hip', 'near', index), at(clip, 'shoulder', 'near', index)];
  return (
    hip !== null && shoulder !== null && hip[1] - shoulder[1] >= inversion.aboveShare * heightPx
  );
};

const looksLike: Readonly<Record<HeldMeasureId, Looks>> = {
  lHoldS: (clip, heightPx, index, limbs) =>
    isTrunkUp(clip, heightPx, index, limbs) &&
    limbs.every((limb) => {
      const hip = at(clip, 'hip', 'near', index);
      const foot = at(clip, 'ankle', limb, index) ?? at(clip, 'heel', limb, index);
      if (hip === null || foot === null) return false;
      const outPx = Math.abs(foot[0] - hip[0]);
      const { slope, outShare } = limits.l;
      return outPx >= outShare * heightPx && Math.abs(foot[1] - hip[1]) <= slope * outPx;
    }),
  tuckHoldS: (clip, heightPx, index, limbs) => {
    const [hip, shoulder] = [at(clip, 'hip', 'near', index), at(clip, 'shoulder', 'near', index)];
    if (hip === null || shoulder === null || !isTrunkUp(clip, heightPx, index, limbs)) return false;
    if (Math.abs(hip[0] - shoulder[0]) > inversion.besideShare * heightPx) return false;
    return limbs.every((limb) => {
      const knee = at(clip, 'knee', limb, index);
      const foot = at(clip, 'ankle', limb, index) ?? at(clip, 'heel', limb, index);
      if (knee === null || foot === null || foot[1] < shoulder[1]) return false;
      const { foldedShare, kneeAboveShare } = limits.tuck;
      const isFolded = Math.hypot(foot[0] - hip[0], foot[1] - hip[1]) <= foldedShare * heightPx;
      return isFolded && knee[1] - hip[1] <= kneeAboveShare * heightPx;
    });
  },
};

/**
 * The longest stretch of each shape, seconds, from its first frame to its last: never more than was
 * seen. A shape that was never held is left out.
 *
 * @throws InputProblem as `readClip` does
 */
export function readHolds(input: ClipInput): Readonly<Partial<Record<HeldMeasureId, Measured>>> {
  const clip = openClip(input);
  const { heightPx, hasFarLeg, times, intervalS } = clip;
  if (heightPx === null) return {};
  const limbs: readonly Limb[] = hasFarLeg ? ['near', 'far'] : ['near'];
  const contacts = contactsOfFeet(clip);
  const feet = limbs.map((limb) => contacts[limb].onFloor);
  const isUp = times.map((_, index) => feet.every((onFloor) => onFloor[index] !== true));
  const found: Partial<Record<HeldMeasureId, Measured>> = {};
  for (const [id, looks] of Object.entries(looksLike) as [HeldMeasureId, Looks][]) {
    const raw = times.map((_, index) => isUp[index]! && looks(clip, heightPx, index, limbs));
    let longest = 0;
    for (const { from, to } of listSeen(clip)) {
      const held = settle(raw.slice(from, to + 1));
      for (const run of runsOf(held)) {
        longest = Math.max(longest, times[from + run.to]! - times[from + run.from]!);
      }
    }
    if (longest > 0) {
      found[id] = {
        value: longest,
        low: Math.max(0, longest - intervalS),
        high: longest + intervalS,
        unit: 's',
      };
    }
  }
  return found;
}
