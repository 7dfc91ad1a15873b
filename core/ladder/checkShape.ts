/** What the shape of a check asks of a body: read off its row and the rungs that it is shown in. */
import { baseIds, type BaseId, type CheckSpec } from '../catalog/checks';
import type { BodyRegion } from '../catalog/regions';
import type { School } from '../catalog/school';
import type { StageKey } from '../catalog/stage';
import { liftsFeet, regionsOf } from './asked';

/** Of its own, and of the stages it is shown in, whatever the base. */
export function regionsOfCheck(
  { stages: all }: School,
  { loads = {}, strains, takenIn }: CheckSpec,
): BodyRegion[] {
  const stages =
    takenIn === undefined ? [] : typeof takenIn === 'string' ? [takenIn] : Object.values(takenIn);
  const things = stages.flatMap((stage) => all.get(stage)?.spec ?? []);
  return [...new Set([{ loads, strains }, ...things].flatMap(regionsOf))];
}

/** The bases on which the stage that a check is shown in lifts a foot; `null`: whatever the base. */
export function basesUp(school: School, { takenIn, columns }: CheckSpec): (BaseId | null)[] {
  const isUp = (stage: StageKey) => {
    const spec = school.stages.get(stage)?.spec;
    return spec !== undefined && liftsFeet(spec);
  };
  if (liftsFeet({ columns })) return [null];
  if (takenIn === undefined) return [];
  if (typeof takenIn === 'string') return isUp(takenIn) ? [null] : [];
  return baseIds.filter((base) => isUp(takenIn[base]));
}
