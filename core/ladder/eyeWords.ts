/** What is said, and looked for, at a stage: the school's cue and its words for the eye. */
import { choiceIn, eyeAspectIds, getAspect } from '../catalog/eye';
import { faultTable, getFault } from '../catalog/checks';
import type { School } from '../catalog/school';
import type { StageKey, StageSpec } from '../catalog/stage';

/** What the teacher says at a stage: the cue of the profile first. */
export function sayAt(school: School, stage: StageKey): string[] {
  const found = school.stages.get(stage);
  if (found === undefined) return [];
  const { shape, family } = found.spec;
  const eye = eyeAspectIds.flatMap((id) => {
    const { shapes, ladder } = getAspect(id);
    const isSaid =
      shape !== undefined &&
      'family' in shape &&
      shapes.includes(shape.family) &&
      (ladder === undefined || ladder === family);
    return isSaid ? [choiceIn(id, school.settings[id]).say] : [];
  });
  return [...(found.cue === undefined ? [] : [found.cue]), ...eye];
}

/** What to watch for at a stage, in words: the faults after which it does not count. */
export const watchAt = ({ faults }: Pick<StageSpec, 'faults'>): string[] =>
  faults.filter((fault) => !getFault(fault).isPrivate).map((fault) => faultTable[fault].label);
