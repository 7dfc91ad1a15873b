import type { PreparedPerson } from '@/core/compose/prepared';
import type { PlanFile } from '@/core/files/planFile';

/** Marks to tape on the floor tonight, metres, to the centimetre, nearest to the wall first. */
export function listTapeMarks({ stations }: Pick<PlanFile, 'stations'>): readonly number[] {
  const marks = stations.flatMap(({ baseM }) =>
    baseM === undefined ? [] : [Math.round(baseM * 100) / 100],
  );
  return [...new Set(marks)].sort((a, b) => a - b);
}

/** Students who are set out by the tape tonight, and for how many of them a length was guessed. */
export function countTaped(
  { rounds }: Pick<PlanFile, 'rounds'>,
  people: readonly PreparedPerson[],
): { readonly taped: number; readonly estimated: number } {
  const mine = people.map(({ id, options }) =>
    rounds.flatMap(({ people: placed }) => {
      const option = placed.find((one) => one.id === id)?.option;
      return options.find((one) => one.id === option)?.figures ?? [];
    }),
  );
  return {
    taped: mine.filter((figures) => figures.length > 0).length,
    estimated: mine.filter((figures) => figures.some(({ isEstimated }) => isEstimated)).length,
  };
}
