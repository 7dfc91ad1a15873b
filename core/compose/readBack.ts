/** From a plan file back to what it was made of: for drawing it, and for changing it. */
import type { PlanFile } from '../files/planFile';
import type { PlannedOption } from './option';
import type { BeforeById } from './pose';
import type { PreparedClass } from './prepared';

/** What somebody was to do, by its id; absent where it is no longer among what is open. */
export function findOption(
  { people }: Pick<PreparedClass, 'people'>,
  person: string,
  option: string | null,
): PlannedOption | undefined {
  const own = people.find(({ id }) => id === person);
  return [...(own?.options ?? []), ...(own?.fallbacks ?? []), ...(own?.gone ?? [])].find(
    ({ id }) => id === option,
  );
}

/** Is what somebody is placed with still open to them? Sitting out always is. */
export function isPlacementOpen(
  { people }: Pick<PreparedClass, 'people'>,
  { id, option }: { readonly id: string; readonly option: string | null },
): boolean {
  const own = people.find((one) => one.id === id);
  if (option === null || own === undefined) return true;
  return [...own.options, ...own.fallbacks].some((one) => one.id === option);
}

/** What stood, for changing as little as can be. */
export function beforeOf({ rounds }: Pick<PlanFile, 'rounds'>): BeforeById {
  const ids = rounds[0]?.people.map(({ id }) => id) ?? [];
  return Object.fromEntries(
    ids.map((id) => {
      const mine = rounds.map(({ people }) => people.find((one) => one.id === id));
      const lane = mine.find((one) => one?.place.kind === 'lane')?.place;
      return [
        id,
        {
          options: mine.map((one) => one?.option ?? null),
          wall: lane?.kind === 'lane' ? lane.span : null,
        },
      ];
    }),
  );
}
