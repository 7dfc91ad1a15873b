/** What the set-up forces by itself, beside what is measured. Source: handbook 05, 13 "Conventions". */
import type { Body } from '../body/body';
import { InputProblem } from '../problem';
import { computeLoads } from '../shapes/loads';
import { shoulderLiftM } from '../posture/free';
import type { StillInput } from './marks';
import type { Measured, StillMeasureId } from './measureTable';

interface Expected {
  readonly angles: Partial<Record<StillMeasureId, number>>;
  readonly notes: readonly string[];
}

const wallStand = { hands: 'handstandWall', forearms: 'forearmStandWall' } as const;

/** At the wall the distance asks for a bend with upright arms, or for a lean of the whole line. */
export function expectedOf(
  { view, base }: StillInput,
  body: Body | null,
  { baseToWall }: Readonly<Partial<Record<StillMeasureId, Measured>>>,
): Expected {
  const angles: Partial<Record<StillMeasureId, number>> = {};
  const notes: string[] = [];
  if (view !== 'side' || body === null) return { angles, notes };
  if (base === 'forearms') {
    const { upperArm, shoulderToCrown } = body.lengths;
    angles.headClearance = upperArm + shoulderLiftM - shoulderToCrown;
  }
  if (base !== 'hands' && base !== 'forearms') return { angles, notes };
  if (baseToWall === undefined || baseToWall.value <= 0) return { angles, notes };
  try {
    const { leanDeg, bendIfUpperArmsUprightDeg } = computeLoads(body, {
      family: wallStand[base],
      baseM: baseToWall.value,
    }).angles;
    if (leanDeg !== undefined) angles.lean = leanDeg;
    if (bendIfUpperArmsUprightDeg !== undefined) angles.bendTotal = bendIfUpperArmsUprightDeg;
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    notes.push('The wall is further than this body reaches from its base: it asks for nothing.');
  }
  return { angles, notes };
}
