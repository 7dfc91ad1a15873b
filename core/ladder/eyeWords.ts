/** What is said, and looked for, at a stage: the school's cue and its words for the eye. */
import { getForearmHands, type ForearmHandsId } from '../body/hands';
import { getSetup } from '../setups/registry';
import { choiceIn, eyeAspectIds, getAspect } from '../catalog/eye';
import { faultTable, getFault } from '../catalog/checks';
import type { School } from '../catalog/school';
import type { StageKey, StageSpec } from '../catalog/stage';

/**
 * What the teacher says at a stage: the cue of the profile first.
 *
 * @param hands how the person's own hands lie; where the school has them otherwise, what it says of
 *   hands and forearms is not said, and their own way is
 */
export function sayAt(school: School, stage: StageKey, hands?: ForearmHandsId): string[] {
  const found = school.stages.get(stage);
  if (found === undefined) return [];
  const { shape, family, recipe } = found.spec;
  const own =
    hands !== undefined &&
    hands !== school.settings.forearmHands &&
    recipe !== undefined &&
    getSetup(recipe).hasHands === true
      ? getForearmHands(hands).say
      : null;
  const eye = eyeAspectIds.flatMap((id) => {
    const { shapes, ladder } = getAspect(id);
    const isSaid =
      shape !== undefined &&
      'family' in shape &&
      shapes.includes(shape.family) &&
      (ladder === undefined || ladder === family) &&
      (own === null || id !== 'forearms');
    return isSaid ? [choiceIn(id, school.settings[id]).say] : [];
  });
  if (own !== null) return [own, ...eye];
  return [...(found.cue === undefined ? [] : [found.cue]), ...eye];
}

/** What to watch for at a stage, in words: the faults after which it does not count. */
export const watchAt = ({ faults }: Pick<StageSpec, 'faults'>): string[] =>
  faults.filter((fault) => !getFault(fault).isPrivate).map((fault) => faultTable[fault].label);
