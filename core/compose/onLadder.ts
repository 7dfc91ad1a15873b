/** Where the options of an evening stand on their ladders, once its drills are known. */
import type { DrillKey } from '../catalog/drills';
import type { StageKey } from '../catalog/stage';
import { drillsOf } from './drillsOf';
import type { PlannedOption } from './option';
import type { PreparedClass, PreparedPerson, Wishes } from './prepared';
import { composeWeights, kindOf } from './worth';

/** Comes when the drills are over, or joined a class that had its plan: nothing was done before. */
export const missesDrills = (
  id: string,
  { late, inTime = [] }: Pick<Wishes, 'late' | 'inTime'>,
  before: Readonly<Record<string, unknown>>,
): boolean =>
  late.some(({ person }) => person === id) ||
  (Object.keys(before).length > 0 && before[id] === undefined && !inTime.includes(id));

/**
 * Where the options of somebody stand this evening: what lies below each of them, and what has been
 * done as a drill already. A rung that was drilled has been stood on, and a round of it is worth less.
 */
export function placeOnLadder(
  person: PreparedPerson,
  prepared: Pick<PreparedClass, 'below' | 'drills'>,
  drills: readonly DrillKey[],
): PreparedPerson {
  const { below = {} } = prepared;
  const book = drillsOf(prepared);
  const drilled = new Set<string>(
    drills.flatMap((drill) =>
      person.closedDrills.includes(drill) ? [] : (book[drill]?.sameAs ?? []),
    ),
  );
  const place = (option: PlannedOption): PlannedOption => {
    const { needsFirst, ...own } = option;
    const kind = kindOf(option);
    const from = below[kind as StageKey] ?? [];
    const isReached = option.above?.some((one) => drilled.has(one)) === true;
    return {
      ...own,
      ...(from.length === 0 ? {} : { from }),
      ...(drilled.has(kind) ? { value: option.value * composeWeights.drilled } : {}),
      ...(needsFirst === undefined || isReached ? {} : { needsFirst }),
    };
  };
  return { ...person, options: person.options.map(place) };
}
