/** Who is asked for which check, after what was said before the class. */
import { closedRegions } from '../catalog/regions';
import { thereFor } from './saidBefore';
import type { PreparedClass, PreparedSlot, Wishes } from './prepared';

/**
 * The checks of the evening as they are told: not of who is away or comes when they are over, not what
 * loads a sore place, nothing with the feet up of who keeps them down. What nobody is left for is gone.
 */
export function checksTonight(
  { checks }: Pick<PreparedClass, 'checks'>,
  { absent, late, sore, feetDown = [] }: Pick<Wishes, 'absent' | 'late' | 'sore' | 'feetDown'>,
): PreparedSlot[] {
  const isSore = (id: string, { regions = [] }: PreparedSlot) =>
    sore.some(
      ({ person, place }) =>
        person === id && closedRegions(place).some((region) => regions.includes(region)),
    );
  return checks.flatMap((slot) => {
    const people = thereFor({ kind: 'checks' }, slot.people, { absent, late }).filter(
      ({ id }) => !isSore(id, slot) && !(slot.feetUp === true && feetDown.includes(id)),
    );
    return people.length === 0 ? [] : [{ ...slot, people }];
  });
}
