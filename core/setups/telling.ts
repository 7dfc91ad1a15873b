/** Which lengths are worth measuring first for a set-up: computed, never listed by hand. */
import type { Body } from '../body/body';
import { spreadOf } from '../body/spread';
import type { LengthId } from '../body/lengths';
import type { ShapeId } from '../shapes/postures';
import { UnreachableProblem } from '../posture/geometry';
import type { DialValues } from '../shapes/dials';
import { getShape } from '../shapes/registry';
import { toPosture, usualValues } from '../shapes/values';
import { computeLoads } from '../shapes/loads';
import { profileTable, type ProfileId } from '../catalog/profiles';
import { getSetup } from './registry';

export interface TellingLength {
  readonly length: LengthId;
  /** The most one standard deviation of it moves any distance of the set-up, metres. */
  readonly moveM: number;
}

/**
 * The lengths whose uncertainty moves this set-up's distances most, the most telling first. Where a
 * shape has no recipe of its own, the height of its centre of mass stands for its distances.
 */
export function tellingLengths(
  body: Body,
  shape: ShapeId,
  profile: ProfileId = Object.keys(profileTable)[0] as ProfileId,
  values: DialValues = usualValues(shape, body),
): TellingLength[] {
  const moves = new Map<LengthId, number>();
  const note = (length: LengthId, move: number) => {
    moves.set(length, Math.max(move, moves.get(length) ?? 0));
  };
  const { setups } = getShape(shape);
  for (const setup of setups) {
    for (const { drivers } of getSetup(setup).solve({ body, profile, pieces: [] }).distances) {
      for (const { length, move } of drivers) note(length, move);
    }
  }
  if (setups.length === 0) {
    const posture = toPosture(shape, values);
    const height = spreadOf(body, (lengths) => {
      try {
        return computeLoads({ ...body, lengths }, posture).centreOfMass[1];
      } catch (error) {
        if (error instanceof UnreachableProblem) return 0;
        throw error;
      }
    });
    for (const { length, move } of height.drivers) note(length, move);
  }
  return [...moves].map(([length, moveM]) => ({ length, moveM })).sort((a, b) => b.moveM - a.moveM);
}
