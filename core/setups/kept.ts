/**
 * Distances that somebody found by trying ("5 cm closer felt better"). They win over what is
 * computed, in every set-up that has that distance, until the body no longer reaches them.
 */
import type { Day } from '../units/day';
import type { DistanceId } from './distanceWords';
import type { SetupId } from './registry';

export interface KeptDistance {
  readonly setup: SetupId;
  readonly distance: DistanceId;
  readonly metres: number;
  readonly on: Day;
  readonly note: string;
}

declare const homes: unique symbol;

/**
 * What is kept of one person, by the set-up that each distance belongs to. Made by
 * `keptDistances` of the registry alone, which knows those.
 */
export type KeptDistances = ReadonlyMap<string, KeptDistance> & { readonly [homes]: true };

export const keptKey = (home: SetupId, distance: DistanceId) => `${home}/${distance}`;

/** Which distances of a set-up are the very same as another's, by the set-up they belong to. */
export type Sharing = Readonly<Partial<Record<DistanceId, SetupId>>>;
