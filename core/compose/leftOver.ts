/** What is left to somebody who says something at the door. */
import { closedRegions, type PainPlace } from '../catalog/regions';
import { regionsOf } from '../ladder/asked';
import type { PersonOptions, PlannedOption } from './option';

/** What is left to somebody who says at the door that it hurts: the same functions, one place more. */
export function withoutSore(
  { options, fallbacks }: Pick<PersonOptions, 'options' | 'fallbacks'>,
  places: readonly PainPlace[],
): PlannedOption[] {
  const sore = new Set(places.flatMap((place) => [...closedRegions(place)]));
  const loadsSore = (option: PlannedOption) => regionsOf(option).some((region) => sore.has(region));
  const left = options.filter((option) => !loadsSore(option));
  const instead = fallbacks.find((option) => !loadsSore(option));
  const known = new Set(left.map(({ id }) => id));
  const more = instead === undefined || known.has(instead.id) ? [] : [instead];
  // A fallback that now hurts is none; what needs one is not planned without it.
  return [...more, ...left].filter(({ fallback }) => fallback === undefined || known.has(fallback));
}

/** What is left to somebody who keeps the feet down today; why is nobody's to ask. */
export const keepingFeetDown = (options: readonly PlannedOption[]): PlannedOption[] => {
  const left = options.filter(({ feetUp }) => feetUp !== true);
  const known = new Set(left.map(({ id }) => id));
  return left.filter(({ fallback }) => fallback === undefined || known.has(fallback));
};
