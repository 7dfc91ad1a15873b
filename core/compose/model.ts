/**
 * The rounds as a mixed-integer programme: one binary for each student and pattern, so that changes
 * between rounds and tiredness are settled before the solver sees them. Lane widths add up along a
 * wall, so a wall is a capacity and the exact places follow afterwards.
 */
import { roomRules } from '../room/room';
import { addCircleRows } from './circleRows';
import { cutRow, cutsOf } from './cuts';
import { rowsUpFrom, type RowId } from '../pieces/rows';
import {
  bestWorth,
  labelled,
  roundsForTeacher,
  shareOf,
  stationKey,
  type Assignment,
  type Pattern,
  type RoundsProblem,
} from './problem';
import { keyOfPattern, listPatterns } from './plainPatterns';
import { ProgrammeDraft, withShares, type Column, type Programme, type Term } from './programme';
import { rowNames } from './rowNames';
import { composeWeights } from './worth';

export interface RoundsModel {
  /** To be maximised. */
  readonly programme: Programme;
  /** The same with shares of patterns allowed: no plan can be worth more. */
  readonly relaxed: () => Programme;
  /** By student: the patterns, in the order of their columns. */
  readonly patterns: readonly (readonly Pattern[])[];
  readonly bests: readonly number[];
}

/** What there may be more of, at a price: the question "what would free it?". */
export interface Prices {
  readonly piece: (row: string) => number;
  readonly wallMetre: number;
  readonly helperRound: number;
  /** How much the value of the plan counts against the prices; small. */
  readonly value: number;
}

/** Between which the share of the least served lies, in a part of all plans. */
export interface Band {
  /** Whoever gets this or less is in another part. */
  readonly above: number;
  readonly upTo: number;
}

export const wholeBand: Band = { above: -Infinity, upTo: 1 };

/**
 * What it costs a programme with shares to leave a student without any sequence: such a programme has
 * a solution from the first, and what its prices say holds for all sequences.
 */
const spareCost = 12;

/** The name of a student's pattern in the programme. */
export const columnOf = (person: number, pattern: number) => `x${person}_${pattern}`;

/** Terms by name of their row, in the order in which they came up. */
class Sums<Facts> {
  readonly rows = new Map<string, Facts & { readonly terms: Term[] }>();
  add(name: string, term: Term, facts: Facts): void {
    const row = this.rows.get(name);
    if (row === undefined) this.rows.set(name, { ...facts, terms: [term] });
    else row.terms.push(term);
  }
}

const moreWall = (wallAt: number) => `more_wall_${wallAt}`;
const morePiece = (piece: string) => `more_${piece}`;
const moreHands = (round: number) => `more_hands_${round}`;
/** Far more than anybody would get. */
const mostMore = { pieces: 400, hands: 60 } as const;

/**
 * @param patterns by student; those of the problem where not given
 * @param prices present: pieces, metres and hands may be exceeded at a price
 * @param bests the most that each student could have; of the patterns where not given
 * @param band of the least share; plans of the patterns given, and of no others
 */
export function buildModel(
  problem: RoundsProblem,
  patterns: readonly (readonly Pattern[])[] = problem.people.map((person) =>
    listPatterns(person, problem),
  ),
  prices?: Prices,
  bests: readonly number[] = patterns.map(bestWorth),
  band: Band = wholeBand,
): RoundsModel {
  const { rounds, walls, pieces, rowFacts = {}, helpers, circles, people, done = 0 } = problem;
  const weight = prices?.value ?? 1;
  const draft = new ProgrammeDraft();
  const least = draft.column('least', {
    worth: weight * composeWeights.fairness * people.length,
    atMost: band.upTo,
    isWhole: false,
  });
  const wallRows = new Sums<{ round: number; at: number; falling: Term[] }>();
  const pieceRows = new Sums<{ round: number; piece: string }>();
  const handRows: Term[][] = Array.from({ length: rounds }, () => []);
  const circleTerms: Term[][] = Array.from({ length: rounds }, () => []);
  // What may be exceeded at a price is no whole number of anything.
  const cuts = prices ? [] : cutsOf(problem);
  const cutRows = new Sums<{ most: number }>();
  const stations = new Map<string, { column: string; members: number[]; patterns: Pattern[] }>();
  const columns = patterns.map((list, person) =>
    list.map((pattern, at) =>
      draft.column(columnOf(person, at), { worth: weight * pattern.value }),
    ),
  );
  // At a price there is more of it: no share of it where it comes whole.
  const more = (name: string, price: number, facts: Partial<Column>) =>
    draft.column(name, { worth: -price, atMost: Infinity, ...facts });

  patterns.forEach((list, person) => {
    const worth: Term[] = [];
    list.forEach((pattern, index) => {
      const column = columns[person]![index]!;
      const share = shareOf(pattern, bests[person]!);
      if (share !== 0) worth.push([share, column]);
      const key = stationKey(pattern);
      if (key === null) {
        addTaking(pattern, column);
        return;
      }
      const station = stations.get(key) ?? {
        column: `k${stations.size}`,
        members: [],
        patterns: [],
      };
      station.members.push(column);
      station.patterns.push(pattern);
      stations.set(key, station);
    });
    const one = columns[person]!.map((column): Term => [1, column]);
    draft.row(rowNames.one(person), one, { atLeast: 1, atMost: 1 }, person);
    if (bests[person]! > 0) {
      draft.row(rowNames.least(person), [...worth, [-1, least]], { atLeast: 0 }, person);
    }
  });

  function addTaking({ options, wall }: Pattern, column: number): void {
    const at = walls.findIndex(({ id }) => id === wall);
    options.forEach((option, round) => {
      if (option === null || round < done) return;
      if (option.alongM !== undefined && wall !== null) {
        const name = rowNames.wall(round, at);
        wallRows.add(name, [option.alongM, column], { round, at, falling: [] });
        wallRows.rows.get(name)!.falling.push([option.isAttempt ? -1 : 1, column]);
      }
      for (const { piece, count } of option.pieces) {
        pieceRows.add(rowNames.piece(round, piece), [count, column], { round, piece });
      }
      if (option.needsHand) handRows[round]!.push([1, column]);
      if (option.needsCircle) circleTerms[round]!.push([1, column]);
      for (const cut of cuts) {
        const taken = cut.takenBy(option, at);
        if (taken > 0) cutRows.add(cutRow(cut, round), [taken, column], { most: cut.most });
      }
    });
  }

  // Two by two: a station serves two, at the widest and fullest of those who might stand there.
  for (const [key, { column: name, members, patterns: own }] of stations) {
    const column = draft.column(name, { atMost: Math.ceil(people.length / 2) });
    const pairs: Term[] = [[2, column], ...members.map((one): Term => [-1, one])];
    draft.row(`pair_${name}`, pairs, { atLeast: 0 });
    const options = own[0]!.options.map((first, round) => {
      const there = own.map((pattern) => pattern.options[round]!);
      const most = new Map<string, number>();
      for (const { pieces: theirs } of there) {
        for (const { piece, count } of theirs) {
          most.set(piece, Math.max(most.get(piece) ?? 0, count));
        }
      }
      return {
        ...first!,
        id: key,
        ...(first!.alongM === undefined
          ? {}
          : { alongM: Math.max(...there.map(({ alongM }) => alongM ?? 0)) }),
        pieces: [...most].map(([piece, count]) => ({ piece: piece as RowId, count })),
      };
    });
    addTaking({ ...own[0]!, options }, column);
  }

  for (const [name, { terms, falling, round, at }] of wallRows.rows) {
    const gap = draft.column(`g${round}_${at}`, { atMost: Infinity, isWhole: false });
    const along: Term[] = [...terms, [roomRules.sidewaysM, gap]];
    if (prices) along.push([-1, more(moreWall(at), prices.wallMetre, { isWhole: false })]);
    draft.row(name, along, { atMost: walls[at]!.lengthM });
    // A mat's width for each one who may fall beyond those that others can stand between.
    draft.row(rowNames.apart(round, at), [[1, gap], ...falling], { atLeast: -1 });
  }
  const rowsThere = [...new Set([...pieceRows.rows.values()].map(({ piece }) => piece))];
  /** One more of a row is one more of each that it counts for. */
  const moreOf = (piece: string, { piece: priceOf }: Prices) =>
    rowsThere
      .filter((row) => rowsUpFrom(row, rowFacts).includes(piece))
      .map((row): Term => [-1, more(morePiece(row), priceOf(row), { atMost: mostMore.pieces })]);
  for (const [name, { terms, piece }] of pieceRows.rows) {
    draft.row(name, prices ? [...terms, ...moreOf(piece, prices)] : terms, {
      atMost: pieces[piece] ?? 0,
    });
  }
  for (const [name, { terms, most }] of cutRows.rows) draft.row(name, terms, { atMost: most });
  const teacher: Term[] = [];
  handRows.forEach((row, round) => {
    if (row.length === 0) return;
    const watching = draft.column(`teacher${round}`);
    const terms: Term[] = [...row, [-1, watching]];
    if (prices) {
      terms.push([-1, more(moreHands(round), prices.helperRound, { atMost: mostMore.hands })]);
    }
    draft.row(rowNames.hands(round), terms, { atMost: helpers[round] ?? 0 });
    teacher.push([1, watching]);
  });
  if (teacher.length > 0) draft.row('watching', teacher, { atMost: roundsForTeacher(problem) });
  circleTerms.forEach((row, round) => {
    if (row.length > 0) draft.row(rowNames.circles(round), row, { atMost: circles });
  });
  addCircleRows(problem, draft, circleTerms, patterns, columns);
  const programme = draft.finish();
  return {
    programme,
    // Without a pattern in this band there is no plan of shares either, but for what it costs.
    relaxed: () => withShares(programme, band === wholeBand ? undefined : -spareCost),
    patterns,
    bests,
  };
}

/**
 * The columns of a plan, for a solver to begin from: 1 for what each student does, 0 for the rest.
 *
 * @returns `null` where the programme leaves out something of it
 */
export function chosenColumns(
  { patterns }: Pick<RoundsModel, 'patterns'>,
  assignment: Assignment,
): ReadonlyMap<string, number> | null {
  const columns = new Map<string, number>();
  for (const [person, list] of patterns.entries()) {
    const chosen = assignment[person]!;
    const key = keyOfPattern(chosen);
    const at = list.findIndex(
      (one) => one === chosen || (one.shares === chosen.shares && keyOfPattern(one) === key),
    );
    if (at < 0) return null;
    list.forEach((_, index) => columns.set(columnOf(person, index), index === at ? 1 : 0));
  }
  return columns;
}

/** From the solver's columns back to one pattern for each student. */
export function readAssignment(
  { patterns }: Pick<RoundsModel, 'patterns'>,
  valueOf: (column: string) => number,
): Assignment {
  return patterns.map((list, person) => {
    const chosen = list.findIndex((_, index) => valueOf(columnOf(person, index)) > 0.5);
    return list[chosen]!;
  });
}

/** How much more of each thing a priced programme took. */
export function readMore(
  problem: RoundsProblem,
  valueOf: (column: string) => number,
): { what: 'piece' | 'wall' | 'helper'; id: string; more: number; label?: string }[] {
  const rows = new Set(
    problem.people.flatMap(({ options }) =>
      options.flatMap(({ pieces }) => pieces.map(({ piece }) => piece)),
    ),
  );
  return [
    ...[...rows].map((id) => ({
      what: 'piece' as const,
      id,
      more: Math.round(valueOf(morePiece(id))),
      ...labelled(problem, id),
    })),
    ...problem.walls.map(({ id }, at) => ({
      what: 'wall' as const,
      id,
      more: Math.max(0, valueOf(moreWall(at))),
    })),
    ...Array.from({ length: problem.rounds }, (_, round) => ({
      what: 'helper' as const,
      id: String(round),
      more: Math.round(valueOf(moreHands(round))),
    })),
  ].filter(({ more }) => more > 1e-6);
}
