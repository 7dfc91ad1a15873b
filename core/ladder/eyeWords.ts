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
 * @param own how the person's hands lie; where the school has them otherwise, its cue is not said,
 *   since it may speak of a block that is not there
 */
export function sayAt(school: School, stage: StageKey, own?: ForearmHandsId): string[] {
  const found = school.stages.get(stage);
  if (found === undefined) return [];
  const { shape, family, recipe } = found.spec;
  const usual = school.settings.forearmHands;
  const isByHands = recipe !== undefined && getSetup(recipe).hasHands === true;
  const hands = isByHands ? (own ?? usual) : null;
  const eye = eyeAspectIds.flatMap((id) => {
    const { shapes, ladder } = getAspect(id);
    const isSaid =
      shape !== undefined &&
      'family' in shape &&
      shapes.includes(shape.family) &&
      (ladder === undefined || ladder === family) &&
      // Forearms whose hands are clasped run together, whatever the school wants of others.
      !(hands === 'clasped' && id === 'forearms');
    return isSaid ? [choiceIn(id, school.settings[id]).say] : [];
  });
  const isOwn = hands !== null && hands !== usual;
  return [
    ...(found.cue === undefined || isOwn ? [] : [found.cue]),
    ...(hands !== null && (isOwn || hands !== 'block') ? [getForearmHands(hands).say] : []),
    ...eye,
  ];
}

/** What to watch for at a stage, in words: the faults after which it does not count. */
export const watchAt = ({ faults }: Pick<StageSpec, 'faults'>): string[] =>
  faults.filter((fault) => !getFault(fault).isPrivate).map((fault) => faultTable[fault].label);
