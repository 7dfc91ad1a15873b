/** Which drills and checks are open to one person today, by the one gatekeeper. */
import { entriesOf, tableOf } from '../units/keyed';
import { baseIds } from '../catalog/checks';
import type { DrillKey, DrillSpec } from '../catalog/drills';
import type { OpenedCase } from '../ladder/case';
import {
  isOpenUnasked,
  letThrough,
  thingOfCheck,
  thingOfDrill,
  type Pass,
} from '../ladder/gatekeeper';
import { judge } from '../ladder/verdict';
import { opensStage } from '../ladder/verdictKinds';
import { closedKey, type ClosedKey } from '../running/closedKey';

/**
 * May this person do this drill? What leaves the floor or puts weight on the crown asks for what its
 * stage asks for, and nothing that would have to be asked at the door first: a drill is no filler.
 */
function passToDrill(person: OpenedCase, drill: DrillSpec): Pass | null {
  const pass = letThrough(person, thingOfDrill(person, drill));
  if (pass === null) return null;
  const { asStage } = drill;
  if (asStage === undefined) return pass;
  if (!person.school.stages.has(asStage)) return null;
  const { kind, atDoor } = judge(asStage, person);
  return opensStage(kind) && atDoor.length === 0 ? pass : null;
}

export const isDrillOpen = (person: OpenedCase, drill: DrillSpec): boolean =>
  passToDrill(person, drill) !== null;

/** The drills that are open to somebody: what is not among them is not told to them. */
export const listDrillPasses = (person: OpenedCase): Readonly<Partial<Record<DrillKey, Pass>>> =>
  tableOf(
    entriesOf(person.school.catalog.drills).flatMap(([key, drill]) => {
      const pass = passToDrill(person, drill);
      return pass === null ? [] : [[key, pass] as const];
    }),
  );

/** Drills that cautions, pains and gates keep from this person. */
export function listClosedDrills(person: OpenedCase): DrillKey[] {
  return entriesOf(person.school.catalog.drills).flatMap(([key, drill]) => {
    return isDrillOpen(person, drill) ? [] : [key];
  });
}

/** Checks whose shape a caution, a sign or pain closes, by base where they are kept apart by base. */
export function listClosedChecks(person: OpenedCase): ClosedKey[] {
  return [...person.school.checks].flatMap(([check, { spec }]) =>
    (spec.byBase ? baseIds : [null]).flatMap((base) => {
      const thing = thingOfCheck(person, check, base ?? undefined);
      const isOpen = thing !== null && isOpenUnasked(person, thing);
      return isOpen ? [] : [closedKey(check, base)];
    }),
  );
}
