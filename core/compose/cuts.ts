/**
 * Whole things stay whole. A programme that allows shares of sequences puts one and a half sets of
 * eight blocks into twelve, and half a lane at the end of a wall; no plan can. Each cut says how many
 * of a size fit at the most (Chvátal-Gomory rounding of the row it comes from): true of every plan,
 * and not of shares, so that the bound comes down to where plans are.
 */
import { tolerance } from '../tolerance';
import { rememberFor } from '../units/remember';
import type { RoundOption, RoundsProblem } from './problem';

/** In each round: what is taken of it adds up to `most` at the most. */
export interface Cut {
  /** Of its rows, without the round. */
  readonly name: string;
  readonly most: number;
  /**
   * What one who does this takes.
   *
   * @param wallAt where they stand: the place among the walls of the problem; -1: nowhere in particular
   */
  readonly takenBy: (option: RoundOption, wallAt: number) => number;
}

const tiny = 1e-9;
/** How often a size goes into another. */
const times = (whole: number, size: number): number => Math.floor(whole / size + tiny);
/** How many of a size fit, by what is taken for fitting elsewhere. */
const fitting = (room: number, size: number): number => times(room + tolerance.roundingM, size);

/** Of all sizes of which equally many fit, the smallest; none that fill the room without a rest. */
function dividers(sizes: readonly number[], room: number): number[] {
  const smallest = new Map<number, number>();
  for (const size of sizes) {
    if (size <= tiny) continue;
    const count = fitting(room, size);
    if (count === 0 || room - count * size <= tolerance.roundingM) continue;
    smallest.set(count, Math.min(smallest.get(count) ?? Infinity, size));
  }
  return [...smallest.values()];
}

const countOf = ({ pieces }: RoundOption, row: string): number =>
  pieces.find(({ piece }) => piece === row)?.count ?? 0;

/** What holds in every round of a problem, whoever does what. */
export function listCuts({
  people,
  pieces,
  walls,
}: Pick<RoundsProblem, 'people' | 'pieces' | 'walls'>): Cut[] {
  const options = people.flatMap((person) => person.options);
  const rows = [...new Set(options.flatMap((option) => option.pieces.map(({ piece }) => piece)))];
  return [
    ...rows.flatMap((row, at) =>
      dividers(
        options.map((option) => countOf(option, row)),
        pieces[row] ?? 0,
      ).map((size, index): Cut => ({
        name: `whole_piece${at}_${index}`,
        most: fitting(pieces[row] ?? 0, size),
        takenBy: (option) => times(countOf(option, row), size),
      })),
    ),
    ...walls.flatMap(({ lengthM }, at) =>
      dividers(
        options.flatMap(({ alongM }) => alongM ?? []),
        lengthM,
      ).map((size, index): Cut => ({
        name: `whole_wall${at}_${index}`,
        most: fitting(lengthM, size),
        takenBy: ({ alongM }, wallAt) => (wallAt === at && alongM ? times(alongM, size) : 0),
      })),
    ),
  ];
}

const known = rememberFor<RoundsProblem, readonly Cut[]>();

/** The cuts of a problem, worked out once: its programmes and its prices ask for them again and again. */
export const cutsOf = (problem: RoundsProblem): readonly Cut[] =>
  known(problem, '', () => listCuts(problem));

/** The row of a cut in one round. */
export const cutRow = ({ name }: Pick<Cut, 'name'>, round: number): string => `${name}_${round}`;
