/**
 * Marks of a reader brought together with the lengths of the person. A reader places every joint by
 * itself: a shoulder that lies a hand's breadth along the arm makes an arm too short and a trunk too
 * long at once, and whoever knows both lengths sees it. Pure.
 */
import type { Body } from '../body/body';
import type { LengthId } from '../body/lengths';
import { median } from './clip/frames';
import type { Mark, MarkName, MarkSet } from './marks';
import { areLegsFolded } from './reader';

interface Bone {
  readonly from: MarkName;
  readonly to: MarkName;
  readonly length: LengthId | 'ear';
}

/** What of a chain seen from the side has a length, from what carries to the feet. */
const bones = [
  { from: 'wrist', to: 'elbow', length: 'forearm' },
  { from: 'elbow', to: 'shoulder', length: 'upperArm' },
  { from: 'shoulder', to: 'hip', length: 'trunk' },
  { from: 'shoulder', to: 'ear', length: 'ear' },
  { from: 'hip', to: 'knee', length: 'thigh' },
  { from: 'knee', to: 'ankle', length: 'shank' },
] as const satisfies readonly Bone[];
type ChainMark = (typeof bones)[number]['from' | 'to'];

/**
 * How far off a reader is with each joint besides, share of height: hips are where they are, shoulders
 * of raised arms and bent elbows are not.
 */
const unsure: Readonly<Record<ChainMark, number>> = {
  wrist: 0.02,
  elbow: 0.025,
  shoulder: 0.035,
  ear: 0.03,
  hip: 0.008,
  knee: 0.012,
  ankle: 0.018,
};
/** The scale that the bones share is as unsure as this, share of itself. */
const unsureScale = 0.03;
/** A bone that is read this much shorter or longer than it is points out of the picture, or is none. */
const mostOff = 0.45;
const rounds = 60;

/** A bone in the picture: its ends among the places, its length and how unsure that is, metres. */
interface Placed extends Bone {
  readonly lengthM: number;
  readonly sdM: number;
}

function boneOf(bone: Bone, body: Body): Placed {
  if (bone.length === 'ear') {
    const share = body.earM / body.lengths.shoulderToCrown;
    return { ...bone, lengthM: body.earM, sdM: body.sdM.shoulderToCrown * share };
  }
  return { ...bone, lengthM: body.lengths[bone.length], sdM: body.sdM[bone.length] };
}

const spanOf = (a: Mark, b: Mark) => Math.hypot(b.x - a.x, b.y - a.y);

const isOfLeg = ({ length }: Bone) => length === 'thigh' || length === 'shank';

/**
 * The likeliest places of the joints, given where they were read and how long this person's bones are:
 * the least sum of squares of both, each by how unsure it is. One bone after the other is brought
 * nearer to its length, its ends moving the more the less sure they are, until nothing moves any more.
 *
 * @param marks of one side, as read; what is no joint of the chain stays where it is
 * @param body whose lengths are measured or estimated; only their proportions count
 * @returns the same marks, in pixels; as they were where too little is seen
 */
export function settleMarks(marks: MarkSet, body: Body): MarkSet {
  const areFolded = areLegsFolded(marks);
  const seen = bones.flatMap((bone) => {
    const [from, to] = [marks[bone.from], marks[bone.to]];
    if (from === undefined || to === undefined || (areFolded && isOfLeg(bone))) return [];
    const placed = boneOf(bone, body);
    return [{ ...placed, pixelsPerM: spanOf(from, to) / placed.lengthM }];
  });
  if (seen.length < 3) return marks;
  // Hips, knees and ankles are read where they are; of whoever folds the legs everything counts alike.
  const legs = seen.filter(isOfLeg);
  let scale = median((legs.length > 0 ? legs : seen).map(({ pixelsPerM }) => pixelsPerM));
  const used = seen.filter(({ pixelsPerM }) => Math.abs(pixelsPerM / scale - 1) < mostOff);
  const scaleVariance = (unsureScale * scale) ** 2;
  const heightPx = body.heightM * scale;
  const places = new Map<MarkName, { x: number; y: number; readonly variance: number }>();
  for (const name of Object.keys(unsure) as ChainMark[]) {
    const mark = marks[name];
    if (mark === undefined) continue;
    const variance = (unsure[name] * heightPx) ** 2 + (mark.sd ?? 0) ** 2;
    places.set(name, { x: mark.x, y: mark.y, variance });
  }
  const pulls = used.map(() => 0);
  for (let round = 0; round < rounds; round += 1) {
    used.forEach(({ from, to, lengthM, sdM }, index) => {
      const [a, b] = [places.get(from)!, places.get(to)!];
      const span = Math.hypot(b.x - a.x, b.y - a.y);
      if (span === 0) return;
      const [ux, uy] = [(b.x - a.x) / span, (b.y - a.y) / span];
      const give = (sdM * scale) ** 2;
      const weight = a.variance + b.variance + lengthM ** 2 * scaleVariance + give;
      const pull = -(span - lengthM * scale + give * pulls[index]!) / weight;
      pulls[index] = pulls[index]! + pull;
      a.x -= a.variance * ux * pull;
      a.y -= a.variance * uy * pull;
      b.x += b.variance * ux * pull;
      b.y += b.variance * uy * pull;
      scale -= scaleVariance * lengthM * pull;
    });
  }
  const settled = [...places].map(([name, { x, y }]) => [name, { ...marks[name], x, y }]);
  return { ...marks, ...(Object.fromEntries(settled) as MarkSet) };
}
