import type { Body } from '../../body/body';
import type { FigureJoints } from '../../posture/joints';
import type { Rest } from '../shape';

/** Room behind the elbows on the platform, metres. */
const behindElbowsM = 0.12;

/** What lies under shoulders and elbows; the shoulders lie one thumb back from the head-side edge. */
export const underShoulders = ({ elbow, shoulder }: FigureJoints, { lengths }: Body): Rest => ({
  left: elbow[0] - behindElbowsM,
  right: shoulder[0] + lengths.thumb,
  top: shoulder[1],
});
