import { faultIds, faultTable, type FaultId } from '@/core/catalog/faults';
import type { UpAndDown } from '@/core/running/exit';
import { counted } from '@/core/units/words';
import { countSlow } from '@/features/record/seenInTries';

interface ReviewedTry extends UpAndDown {
  readonly reached: boolean;
  readonly landing: 'soft' | 'heavy' | null;
  readonly faults: readonly FaultId[];
}

/** An evening's tries of one person: how many came up, how they came down, and what was seen in them. */
export function sayTries(tries: readonly ReviewedTry[]): string[] {
  if (tries.length === 0) return [];
  const landed = tries.filter(({ landing }) => landing !== null);
  const soft = landed.filter(({ landing }) => landing === 'soft').length;
  const { timed, asSlow } = countSlow(tries);
  const faults = faultIds.flatMap((fault) => {
    const seen = tries.filter((one) => one.faults.includes(fault)).length;
    const label = faultTable[fault].label;
    return seen === 0 ? [] : [`${label} in ${seen} of ${counted(tries.length, 'try', 'tries')}`];
  });
  return [
    `${counted(tries.length, 'try', 'tries')}, ${tries.filter(({ reached }) => reached).length} came up`,
    ...(landed.length === 0 ? [] : [`${soft} of ${landed.length} landed softly`]),
    ...(timed === 0 ? [] : [`${asSlow} of ${timed} timed came down as slowly as up`]),
    ...faults,
  ];
}
