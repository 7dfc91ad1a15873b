/**
 * Clear circles and lanes in the programme: whoever stands at a wall takes the floor before it from
 * those who stand free. A wall in use in a round is a yes or no of its own (`u`); each student's own
 * row holds it to a yes, so that half a lane does not pretend to half a wall.
 */
import type { WallId } from '../room/room';
import type { Pattern, RoundsProblem } from './problem';

export const circleRow = (rule: number, round: number): string => `free${round}_${rule}`;
export const standRow = (side: WallId, person: number, round: number): string =>
  `stand${round}_${side}_${person}`;
const usedColumn = (side: WallId, round: number): string => `u${round}_${side}`;

type Term = readonly [coefficient: number, name: string];

export interface CircleRows {
  readonly rows: readonly {
    readonly name: string;
    readonly terms: readonly Term[];
    readonly end: string;
  }[];
  /** Yes or no. */
  readonly columns: readonly string[];
}

/**
 * @param circleTerms by round: what takes a circle
 * @param patterns by student
 * @param columnOf the name of a student's pattern in the programme
 */
export function circleRows(
  { circles, circleRules = [], walls, rounds, done = 0 }: RoundsProblem,
  circleTerms: readonly (readonly Term[])[],
  patterns: readonly (readonly Pattern[])[],
  columnOf: (person: number, pattern: number) => string,
): CircleRows {
  const rows: CircleRows['rows'][number][] = [];
  const columns: string[] = [];
  const sideOf = new Map<string | null, WallId | undefined>(
    walls.map(({ id, side }) => [id, side]),
  );
  for (let round = done; round < rounds; round += 1) {
    const free = circleTerms[round]!;
    if (free.length === 0 || circleRules.length === 0) continue;
    circleRules.forEach((rule, at) => {
      const fewer = circles - rule.most;
      rows.push({
        name: circleRow(at, round),
        terms: [...free, ...rule.walls.map((side): Term => [fewer, usedColumn(side, round)])],
        end: `<= ${rule.most + fewer * rule.walls.length}`,
      });
    });
    for (const side of new Set(circleRules.flatMap((rule) => rule.walls))) {
      columns.push(usedColumn(side, round));
      patterns.forEach((list, person) => {
        const here = list.flatMap(({ wall, options }, at): Term[] =>
          sideOf.get(wall) === side && options[round]?.alongM !== undefined
            ? [[1, columnOf(person, at)]]
            : [],
        );
        if (here.length === 0) return;
        rows.push({
          name: standRow(side, person, round),
          terms: [...here, [-1, usedColumn(side, round)]],
          end: '<= 0',
        });
      });
    }
  }
  return { rows, columns };
}
