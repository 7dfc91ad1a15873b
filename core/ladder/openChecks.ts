import type { BaseId, CheckKey } from '../catalog/checks';
import { getStageIn } from '../catalog/school';
import type { OpenedCase } from './case';
import { hasReached } from './gate';
import { isOpenUnasked, stageOfCheck, thingOfCheck } from './gatekeeper';
import { judge, opensStage } from './verdict';

/**
 * May this person be asked to show this check? Not where a caution, a sign or pain closes its shape,
 * and not before the gate of the stage that it is shown in is open. Where the student works already,
 * what only has to be seen anew does not stand in the way. Source: handbook 07 "One gatekeeper".
 */
export function isCheckOpen(
  person: OpenedCase,
  check: CheckKey,
  base: BaseId | undefined,
): boolean {
  const thing = thingOfCheck(person, check, base);
  if (thing === null || !isOpenUnasked(person, thing)) return false;
  const stage = stageOfCheck(person, check, base);
  if (stage === null || !person.school.stages.has(stage)) return true;
  const { kind } = judge(stage, person);
  if (opensStage(kind)) return true;
  const present = person.present[getStageIn(person.school, stage).spec.family];
  return kind === 're-check' && hasReached(person.school, present, stage);
}
