/**
 * Clear circles and lanes in the programme: whoever stands at a wall takes the floor before it from
 * those who stand free. A wall in use in a round is a yes or no of its own (`u`); each student's own
 * row holds it to a yes, so that half a lane does not pretend to half a wall.
 */
import type { WallId } from '../room/room';
import type { Pattern, RoundsProblem } from './problem';
import type { ProgrammeDraft, Term } from './programme';

export const circleRow = (rule: number, round: number): string => `free${round}_${rule}`;
export const standRow = (side: WallId, person: number, round: number): string =>
  `stand${round}_${side}_${person}`;
const usedColumn = (side: WallId, round: number): string => `u${round}_${side}`;

/**
 * @param circleTerms by round: what takes a circle
 * @param patterns by student
 * @param columns the students' patterns in the programme
 */
export function addCircleRows(
  { circles, circleRules = [], walls, rounds, done = 0 }: RoundsProblem,
  draft: ProgrammeDraft,
  circleTerms: readonly (readonly Term[])[],
  patterns: readonly (readonly Pattern[])[],
  columns: readonly (readonly number[])[],
): void {
  const sideOf = new Map<string | null, WallId | undefined>(
    walls.map(({ id, side }) => [id, side]),
  );
  for (let round = done; round < rounds; round += 1) {
    const free = circleTerms[round]!;
    if (free.length === 0 || circleRules.length === 0) continue;
    circleRules.forEach((rule, at) => {
      const fewer = circles - rule.most;
      draft.row(
        circleRow(at, round),
        [
          ...free,
          ...rule.walls.map((side): Term => [fewer, draft.column(usedColumn(side, round))]),
        ],
        { atMost: rule.most + fewer * rule.walls.length },
      );
    });
    for (const side of new Set(circleRules.flatMap((rule) => rule.walls))) {
      const used = draft.column(usedColumn(side, round));
      patterns.forEach((list, person) => {
        const here = list.flatMap(({ wall, options }, at): Term[] =>
          sideOf.get(wall) === side && options[round]?.alongM !== undefined
            ? [[1, columns[person]![at]!]]
            : [],
        );
        if (here.length === 0) return;
        draft.row(standRow(side, person, round), [...here, [-1, used]], { atMost: 0 });
      });
    }
  }
}
