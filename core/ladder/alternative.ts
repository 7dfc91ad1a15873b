import { alternativeIds, getAlternative, type AlternativeId } from '../catalog/alternatives';
import type { LadderId } from '../catalog/stage';
import { evaluateCautions } from '../caution/evaluate';
import { findPainFor, type OpenedCase } from './case';
import { byObstacle, evaluateGate, hasReached } from './gate';

/**
 * The first alternative that the same cautions, pains and gates leave open to this person. There
 * is always one: the last ones have neither head below heart nor weight on the arms, and the very
 * last is rest. Source: handbook 07 "Always open".
 */
export function chooseAlternative(family: LadderId, person: OpenedCase): AlternativeId {
  return alternativeIds.find((id) => isOpenTo(id, family, person)) ?? 'rest';
}

export function isOpenTo(id: AlternativeId, family: LadderId, person: OpenedCase): boolean {
  const { stage, columns, loads, notFor } = getAlternative(id);
  if (person.care.reports.some((report) => notFor?.includes(report))) return false;
  const spec = stage === undefined ? undefined : person.school.stages.get(stage)?.spec;
  const kind = {
    columns: spec?.columns ?? columns,
    ladder: spec?.family ?? family,
    isNew: isNew(id, family, person),
  };
  if (!evaluateCautions(person.care, kind, person.asOf).isOpen) return false;
  if (findPainFor(person.pains, loads) !== null) return false;
  if (stage === undefined) return true;
  const items = evaluateGate(stage, person);
  if (items === null) return false;
  // Only what is fully met, and without a helper's hands: it stands in on a night that is
  // restricted already.
  const worst = [...items].sort(byObstacle)[0];
  return (
    worst === undefined ||
    (worst.status === 'met' && items.every(({ standIn }) => standIn !== 'assist'))
  );
}

/** Shapes without a stage of their own, such as dolphin on a chair, are nobody's novelty. */
function isNew(id: AlternativeId, family: LadderId, person: OpenedCase): boolean {
  const { stage } = getAlternative(id);
  if (stage === undefined) return false;
  const ladder = person.school.stages.get(stage)?.spec.family ?? family;
  return !hasReached(person.school, person.present[ladder], stage);
}
