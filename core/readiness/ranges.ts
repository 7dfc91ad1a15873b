/** What the records say of a person's ranges, for set-ups and loads. */
import type { CheckId } from '../catalog/checks';
import type { School } from '../catalog/school';
import type { Ranges } from '../setups/setup';
import { dayNumber, type Day } from '../units/day';
import { isVoided, type CheckRecord, type Evidence, type Side } from './record';

/** Which check measures which range. */
const measuredBy = {
  straightLegRaiseDeg: 'straight-leg-raise',
  shoulderFlexionDeg: 'shoulder-flexion',
  wristExtensionDeg: 'wrist-extension',
} as const satisfies Record<keyof Ranges, CheckId>;

const sides: readonly Side[] = ['left', 'right'];

/** The newest of each side; the stiffer one decides. */
function weaker(records: readonly CheckRecord[]): number | undefined {
  const newest = sides.flatMap((side) => {
    const own = records.filter((one) => one.side === undefined || one.side === side).at(-1);
    return own === undefined ? [] : [own.value];
  });
  return newest.length === 0 ? undefined : Math.min(...newest);
}

/**
 * Degrees of each range that was measured and still counts: as long as its check is valid in this
 * school, and not where the back arched to reach it.
 */
export function measuredRanges(evidence: Evidence, school: School, asOf: Day): Ranges {
  const today = dayNumber(asOf);
  return Object.fromEntries(
    Object.entries(measuredBy).flatMap(([range, check]) => {
      const spec = school.checks.get(check)?.spec;
      if (spec === undefined) return [];
      const counting = (evidence[check] ?? []).filter((record) => {
        const age = today - dayNumber(record.date);
        return age >= 0 && age <= spec.validDays && !isVoided(spec, record);
      });
      const value = weaker(counting);
      return value === undefined ? [] : [[range, value]];
    }),
  );
}
