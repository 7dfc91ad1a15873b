import { baseIds } from '../catalog/checkKinds';
import type { PreparedPerson } from '../compose/prepared';
import type { PlanFile } from '../files/planFile';
import { closedKey, type ClosedKey } from './closedKey';
import { isOutOfHold, saidTonight, type HeldShape } from './holdOut';

/**
 * Checks that somebody is out of by what was said before the class: for devices that are told that, and
 * not what it was.
 */
export const closedByWord = (
  person: Pick<PreparedPerson, 'id'>,
  checks: readonly HeldShape[],
  { sore, feetDown = [] }: Pick<PlanFile['wishes'], 'sore' | 'feetDown'>,
): ClosedKey[] => {
  const said = saidTonight({ halts: [] }, { sore });
  const keepsDown = feetDown.includes(person.id);
  return checks.flatMap((shape) =>
    (shape.byBase ? baseIds : [null]).flatMap((base) =>
      isOutOfHold({ id: person.id }, shape, base, said, keepsDown)
        ? [closedKey(shape.check, base)]
        : [],
    ),
  );
};
