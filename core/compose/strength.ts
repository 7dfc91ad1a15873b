/** What keeps somebody back, and how long they can hold: what drills are chosen and counted by. */
import { baseIds, type CheckKey } from '../catalog/checks';
import type { LadderId } from '../catalog/stage';
import type { Capacities } from '../fatigue/reserve';
import type { OpenedCase } from '../ladder/case';
import { byObstacle } from '../ladder/gate';
import { listGatesAhead } from '../ladder/gatesAhead';
import { fromLogScale } from '../readiness/level';

/** What keeps somebody from one rung further counts this share of what is nearer. */
const furtherShare = 0.7;

/** Checks that keep somebody from the rungs ahead, the weakest first, with what they count for. */
export function listWeakChecks(
  person: OpenedCase,
  families: readonly LadderId[],
): { readonly check: CheckKey; readonly weight: number }[] {
  const weights = new Map<CheckKey, number>();
  for (const family of families) {
    for (const { items, ahead } of listGatesAhead(family, person)) {
      items
        .filter(({ status, isAtDoor }) => status !== 'met' && !isAtDoor)
        .sort(byObstacle)
        .forEach((item, index) => {
          if (!('check' in item.demand)) return;
          const weight = furtherShare ** ahead / (index + 1);
          const known = weights.get(item.demand.check) ?? 0;
          weights.set(item.demand.check, Math.max(known, weight));
        });
    }
  }
  return [...weights].map(([check, weight]) => ({ check, weight }));
}

/** Whether a hold of theirs was ever timed, on whatever base. */
export const isTimedOf =
  ({ school, assessor }: OpenedCase) =>
  (held: CheckKey): boolean => {
    const found = school.checks.get(held);
    if (found === undefined) return false;
    const bases = found.spec.byBase ? baseIds : [undefined];
    return bases.some((base) => assessor.histories(held, base).some(({ level }) => level !== null));
  };

/** Seconds a student can hold, where the holds behind it were seen. */
export function findCapacities(person: OpenedCase): Capacities {
  const secondsOf = (check: 'dolphin-hold' | 'plank-hold' | 'hollow-hold'): number | null => {
    const level = person.school.checks.has(check)
      ? person.assessor.histories(check)[0]!.level
      : null;
    return level === null ? null : fromLogScale('hold', level.mean);
  };
  const dolphin = secondsOf('dolphin-hold');
  const plank = secondsOf('plank-hold');
  const hollow = secondsOf('hollow-hold');
  return {
    ...(dolphin === null
      ? {}
      : {
          shoulder: { seconds: dolphin, referenceLoad: 0.6 },
          scapula: { seconds: dolphin, referenceLoad: 0.6 },
        }),
    ...(plank === null ? {} : { wrist: { seconds: plank, referenceLoad: 0.7 } }),
    ...(hollow === null ? {} : { core: { seconds: hollow, referenceLoad: 0.9 } }),
  };
}
