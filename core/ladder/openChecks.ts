import type { BaseId, CheckKey } from '../catalog/checks';
import { getStageIn } from '../catalog/school';
import type { OpenedCase } from './case';
import { hasReached } from './gate';
import { letThrough, stageOfCheck, thingOfCheck, type Pass } from './gatekeeper';
import { judge } from './verdict';
import { opensStage } from './verdictKinds';

/**
 * May this person be asked to show this check? Not where a caution, a sign or pain closes its shape,
 * and not before the gate of the stage that it is shown in is open. Where the student works already,
 * what only has to be seen anew does not stand in the way. Source: handbook 07 "One gatekeeper".
 */
export function passToCheck(
  person: OpenedCase,
  check: CheckKey,
  base: BaseId | undefined,
): Pass | null {
  const thing = thingOfCheck(person, check, base);
  const pass = thing === null ? null : letThrough(person, thing);
  if (pass === null) return null;
  const stage = stageOfCheck(person, check, base);
  if (stage === null || !person.school.stages.has(stage)) return pass;
  const { kind } = judge(stage, person);
  if (opensStage(kind)) return pass;
  const present = person.present[getStageIn(person.school, stage).spec.family];
  return kind === 're-check' && hasReached(person.school, present, stage) ? pass : null;
}

export const isCheckOpen = (
  person: OpenedCase,
  check: CheckKey,
  base: BaseId | undefined,
): boolean => passToCheck(person, check, base) !== null;
