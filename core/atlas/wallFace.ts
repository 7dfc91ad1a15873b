/** Nobody's feet go through a wall: a leg bends as far as it takes. */
import type { FigureJoints, Leg, Point } from '../posture/joints';
import type { WallFace } from '../shapes/shape';
import { legTo } from './held';
import { putLeg, putOnTrunk, toSkeleton, type LegBones } from './skeleton';

/** How far a foot stands beyond the face, metres; 0 before it. */
const beyond = ({ x, side }: WallFace, { ankle, heel, toe }: Leg): number =>
  Math.max(0, ...[ankle, heel, toe].map((point) => (point[0] - x) * side));

function legBefore(wall: WallFace, hip: Point, bones: LegBones): LegBones {
  const leg = putLeg(hip, bones);
  const overM = beyond(wall, leg);
  if (overM === 0) return bones;
  return legTo(hip, bones, [leg.ankle[0] - overM * wall.side, leg.ankle[1]]);
}

/** The same figure, hips and trunk where they are, its legs bent until both feet are before the wall. */
export function clearOfWall(figure: FigureJoints, wall: WallFace | undefined): FigureJoints {
  if (wall === undefined) return figure;
  const isClear = beyond(wall, figure) === 0 && beyond(wall, figure.otherLeg ?? figure) === 0;
  if (isClear) return figure;
  const skeleton = toSkeleton(figure);
  const { hip, shoulder } = figure;
  return putOnTrunk(
    {
      ...skeleton,
      leg: legBefore(wall, hip, skeleton.leg),
      farLeg: skeleton.farLeg === null ? null : legBefore(wall, hip, skeleton.farLeg),
    },
    hip,
    shoulder,
  );
}
