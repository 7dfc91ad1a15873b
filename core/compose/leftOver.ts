/** What is left to somebody who says something at the door. */
import { closedRegions, type PainPlace } from '../catalog/regions';
import { regionsOf } from '../ladder/asked';
import { withBeside } from './beside';
import type { PersonOptions, PlannedOption } from './option';

/**
 * What is left to somebody who says at the door that it hurts: the same functions, one place more. What
 * stood beside a shape and hurts now is none: something else that is left takes its place.
 *
 * @param rows how many there are of each row of the cupboard
 */
export function withoutSore(
  { options, fallbacks }: Pick<PersonOptions, 'options' | 'fallbacks'>,
  places: readonly PainPlace[],
  rows: Readonly<Record<string, number>>,
): PlannedOption[] {
  const sore = new Set(places.flatMap((place) => [...closedRegions(place)]));
  const loadsSore = (option: PlannedOption) => regionsOf(option).some((region) => sore.has(region));
  const left = options.filter((option) => !loadsSore(option));
  const instead = fallbacks.find((option) => !loadsSore(option));
  const isNew = instead !== undefined && !left.some(({ id }) => id === instead.id);
  return withBeside(isNew ? [instead, ...left] : left, rows);
}

/** What is left to somebody who keeps the feet down today; why is nobody's to ask. */
export const keepingFeetDown = (
  options: readonly PlannedOption[],
  rows: Readonly<Record<string, number>>,
): PlannedOption[] => {
  const left = options.filter(({ feetUp }) => feetUp !== true);
  return withBeside(left, rows);
};
