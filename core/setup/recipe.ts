import type { Body } from '../body/body';
import type { PieceCount } from '../catalog/pieces';
import type { ProfileId, ProfileSettings } from '../catalog/profiles';
import type { Spacer } from '../pieces/spacer';
import type { Stack } from '../pieces/stack';
import type { Distance } from './distance';

/** What a recipe is worked out from. */
export interface RecipeInput {
  readonly body: Body;
  readonly profile: ProfileId;
  /** A profile copy's own figures and methods; absent: the shipped profile's. */
  readonly settings?: ProfileSettings;
  readonly pieces: readonly PieceCount[];
  /** Measured hamstrings, degrees; moves the platform closer to the wall when short. */
  readonly straightLegRaiseDeg?: number;
}

/** One set-up: its distances, what is stacked, and what to say with it. */
export interface RecipeResult {
  readonly distances: readonly Distance[];
  readonly stack?: Stack;
  readonly spacer?: Spacer;
  /** What cannot be had or must be watched; sentences. */
  readonly cautions: readonly string[];
  readonly notes: readonly string[];
}

export interface RecipeSpec {
  readonly label: string;
  readonly solve: (input: RecipeInput) => RecipeResult;
  /** What to look at before weight goes on. */
  readonly checkFirst: readonly string[];
  readonly assist: string;
  readonly exit: string;
}

export const cm = (metres: number) => `${Math.round(metres * 100)} cm`;

/** So many of a piece are at hand? */
export function countOf(pieces: readonly PieceCount[], id: PieceCount['piece']): number {
  return pieces.filter(({ piece }) => piece === id).reduce((sum, { count }) => sum + count, 0);
}
