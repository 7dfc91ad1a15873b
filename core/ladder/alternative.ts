import { alternativeIds, getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { LadderId } from '../catalog/stage';
import type { OpenedCase } from './case';
import { byObstacle, evaluateGate } from './gate';
import { letThrough, thingOfAlternative, type Pass } from './gatekeeper';

/**
 * The first alternative that the same cautions, pains and gates leave open to this person. There
 * is always one: the last ones have neither head below heart nor weight on the arms, and the very
 * last is rest. Source: handbook 07 "Always open".
 */
export function chooseAlternative(family: LadderId, person: OpenedCase): AlternativeId {
  return alternativeIds.find((id) => isOpenTo(id, family, person)) ?? 'rest';
}

export const isOpenTo = (id: AlternativeId, family: LadderId, person: OpenedCase): boolean =>
  passTo(id, family, person) !== null;

/** The gatekeeper's word on an alternative, as a stage where it is one; `null`: closed. */
export function passTo(id: AlternativeId, family: LadderId, person: OpenedCase): Pass | null {
  const spec = getAlternative(id);
  const { stage } = spec;
  const pass = letThrough(person, thingOfAlternative(person, spec, family));
  if (pass === null || stage === undefined) return pass;
  const items = evaluateGate(stage, person);
  if (items === null) return null;
  // Only what is fully met, and without a helper's hands: it stands in on a night that is
  // restricted already.
  const worst = [...items].sort(byObstacle)[0];
  const isMet =
    worst === undefined ||
    (worst.status === 'met' && items.every(({ standIn }) => standIn !== 'assist'));
  return isMet ? pass : null;
}
