/** Who is asked for which check, after what was said before the class. */
import { isSoreIn, thereFor } from './saidBefore';
import type { PreparedClass, PreparedSlot, Wishes } from './prepared';

/**
 * The checks of the evening as they are told: not of who is away or comes when they are over, not what
 * loads a sore place, nothing with the feet up of who keeps them down. What nobody is left for is gone.
 */
export function checksTonight(
  { checks }: Pick<PreparedClass, 'checks'>,
  { absent, late, sore, feetDown = [] }: Pick<Wishes, 'absent' | 'late' | 'sore' | 'feetDown'>,
): PreparedSlot[] {
  return checks.flatMap((slot) => {
    const people = thereFor({ kind: 'checks' }, slot.people, { absent, late }).filter(
      ({ id }) =>
        !isSoreIn(id, slot.regions ?? [], sore) && !(slot.feetUp === true && feetDown.includes(id)),
    );
    return people.length === 0 ? [] : [{ ...slot, people }];
  });
}
