/** Which lengths are worth measuring first for a set-up: computed, never listed by hand. */
import type { Body } from '../body/body';
import { spreadOf } from '../body/spread';
import type { LengthId } from '../body/lengths';
import type { FamilyId } from '../posture/families';
import { UnreachableProblem } from '../posture/geometry';
import { toPosture, usualValues, type DialValues } from '../posture/handles';
import { computeLoads } from '../posture/loads';
import { profileTable, type ProfileId } from '../catalog/profiles';
import { recipeTable, type RecipeId } from './recipes';

const recipesByShape: Readonly<Partial<Record<FamilyId, readonly RecipeId[]>>> = {
  dolphin: ['forearm-kick', 'strap-forearm', 'head-clearance'],
  forearmWallL: ['forearm-L', 'strap-forearm', 'head-clearance'],
  forearmStandWall: ['forearm-kick', 'strap-forearm', 'head-clearance'],
  forearmStand: ['forearm-kick', 'strap-forearm', 'head-clearance'],
  shortDog: ['hand-L'],
  wallL: ['hand-L'],
  handstandWall: ['hand-kick', 'strap-handstand'],
  handstand: ['hand-kick', 'strap-handstand'],
  headstandBase: ['head-clearance'],
  headstand: ['head-clearance'],
  shoulderStand: ['platform', 'strap-shoulder-stand'],
  plough: ['platform'],
  liftedTuck: ['lifted-tuck'],
  crow: ['crow-cushion'],
};

/** The recipes a shape is set up by, the main one first. */
export const recipesOf = (family: FamilyId): readonly RecipeId[] => recipesByShape[family] ?? [];

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
  family: FamilyId,
  profile: ProfileId = Object.keys(profileTable)[0] as ProfileId,
  values: DialValues = usualValues(family, body),
): TellingLength[] {
  const moves = new Map<LengthId, number>();
  const note = (length: LengthId, move: number) => {
    moves.set(length, Math.max(move, moves.get(length) ?? 0));
  };
  const recipes = recipesOf(family);
  for (const recipe of recipes) {
    for (const { drivers } of recipeTable[recipe].solve({ body, profile, pieces: [] }).distances) {
      for (const { length, move } of drivers) note(length, move);
    }
  }
  if (recipes.length === 0) {
    const posture = toPosture(family, values);
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
