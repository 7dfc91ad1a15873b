/** What is said, and looked for, at a stage: the school's cue and its words for the eye. */
import { getForearmHands, type ForearmHandsId } from '../body/hands';
import { getSetup } from '../setups/registry';
import { choiceIn, eyeAspectIds, getAspect, type EyeChoice } from '../catalog/eye';
import { getFault, type FaultId } from '../catalog/faults';
import type { School } from '../catalog/school';
import type { StageKey } from '../catalog/stage';

/** How the hands of a stage lie; `null` where they are not the person's to choose. */
function handsAt(school: School, stage: StageKey, own?: ForearmHandsId): ForearmHandsId | null {
  const recipe = school.stages.get(stage)?.spec.recipe;
  const isByHands = recipe !== undefined && getSetup(recipe).hasHands === true;
  return isByHands ? (own ?? school.settings.forearmHands) : null;
}

/** What the school's eye goes by at a stage, one choice of every aspect that belongs there. */
function choicesAt(school: School, stage: StageKey, own?: ForearmHandsId): EyeChoice[] {
  const found = school.stages.get(stage);
  if (found === undefined) return [];
  const { shape, family } = found.spec;
  const hands = handsAt(school, stage, own);
  return eyeAspectIds.flatMap((id) => {
    const { shapes, ladder } = getAspect(id);
    const isSaid =
      shape !== undefined &&
      'family' in shape &&
      shapes.includes(shape.family) &&
      (ladder === undefined || ladder === family) &&
      // Forearms whose hands are clasped run together, whatever the school wants of others.
      !(hands === 'clasped' && id === 'forearms');
    return isSaid ? [choiceIn(id, school.settings[id])] : [];
  });
}

/**
 * What the teacher says at a stage: the cue of the profile first.
 *
 * @param own how the person's hands lie; where the school has them otherwise, its cue is not said,
 *   since it may speak of a block that is not there
 */
export function sayAt(school: School, stage: StageKey, own?: ForearmHandsId): string[] {
  const found = school.stages.get(stage);
  if (found === undefined) return [];
  const usual = school.settings.forearmHands;
  const hands = handsAt(school, stage, own);
  const isOwn = hands !== null && hands !== usual;
  return [
    ...(found.cue === undefined || isOwn ? [] : [found.cue]),
    ...(hands !== null && (isOwn || hands !== 'block') ? [getForearmHands(hands).say] : []),
    ...choicesAt(school, stage, own).map(({ say }) => say),
  ];
}

/** The same for the eye alone, in a few words each: what stands on paper. */
export const lookAt = (school: School, stage: StageKey, own?: ForearmHandsId): string[] =>
  choicesAt(school, stage, own).map(({ short, label }) => short ?? label);

/** What is watched for at a stage: what voids it, and what shows that the school's words are not done. */
export function faultsAt(school: School, stage: StageKey): FaultId[] {
  const found = school.stages.get(stage);
  if (found === undefined) return [];
  const bySchool = choicesAt(school, stage).flatMap(({ watch }) => watch ?? []);
  return [...new Set([...found.spec.faults, ...bySchool])].filter(
    (fault) => getFault(fault).isPrivate !== true,
  );
}

/** The same in words. */
export const watchAt = (school: School, stage: StageKey): string[] =>
  faultsAt(school, stage).map((fault) => getFault(fault).label);
