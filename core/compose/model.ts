/**
 * The rounds as a mixed-integer programme: one binary for each student and pattern, so that changes
 * between rounds and tiredness are settled before the solver sees them. Lane widths add up along a
 * wall, so a wall is a capacity and the exact places follow afterwards.
 */
import { roomRules } from '../room/room';
import { circleRows } from './circleRows';
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
import { composeWeights } from './worth';

export interface RoundsModel {
  /** The programme in the LP format, to be maximised. */
  readonly lp: string;
  /** The same with shares of patterns allowed: no plan can be worth more. */
  readonly relaxed: () => string;
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

type Term = readonly [coefficient: number, name: string];
type Row = Term[];

/** The name of a student's pattern in the programme. */
export const columnOf = (person: number, pattern: number) => `x${person}_${pattern}`;

/** Ten digits are exact enough for metres and values, and short to read. */
const written = (value: number) => String(Math.round(value * 1e9) / 1e9);

/** Terms of a sum, broken into lines that the format allows. */
function sum(terms: readonly Term[]): string {
  return terms
    .map(
      ([coefficient, name]) =>
        `${coefficient < 0 ? '-' : '+'} ${written(Math.abs(coefficient))} ${name}`,
    )
    .join('\n  ');
}

/** Sums by name, in the order in which they came up. */
class Sums {
  readonly rows = new Map<string, Row>();
  add(key: string, term: Term): void {
    const row = this.rows.get(key);
    if (row === undefined) this.rows.set(key, [term]);
    else row.push(term);
  }
}

const nameOf = (id: string) => id.replaceAll('-', '_');

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
  const objective: Row = [[weight * composeWeights.fairness * people.length, 'least']];
  const rows: string[] = [];
  const names: string[] = [];
  const whole: string[] = [];
  const bounds: string[] = [` 0 <= least <= ${written(band.upTo)}`];
  const spares = new Map<string, string>();
  const wallRows = new Sums();
  const falling = new Sums();
  const pieceRows = new Sums();
  const handRows: Row[] = Array.from({ length: rounds }, () => []);
  const circleTerms: Row[] = Array.from({ length: rounds }, () => []);
  // What may be exceeded at a price is no whole number of anything.
  const cuts = prices ? [] : cutsOf(problem);
  const cutRows = new Sums();
  const stations = new Map<string, { column: string; members: Row; patterns: Pattern[] }>();

  patterns.forEach((list, person) => {
    const one: Row = [];
    const worth: Row = [];
    list.forEach((pattern, index) => {
      const name = columnOf(person, index);
      names.push(name);
      one.push([1, name]);
      if (pattern.value !== 0) objective.push([weight * pattern.value, name]);
      const share = shareOf(pattern, bests[person]!);
      if (share !== 0) worth.push([share, name]);
      const key = stationKey(pattern);
      if (key !== null) {
        const station = stations.get(key) ?? {
          column: `k${stations.size}`,
          members: [],
          patterns: [],
        };
        station.members.push([1, name]);
        station.patterns.push(pattern);
        stations.set(key, station);
        return;
      }
      addTaking(pattern, name);
    });
    // A student without a pattern in this band: with shares alone, for what it costs.
    const spare = band === wholeBand ? [] : [[1, `spare${person}`] as Term];
    const putRow = (name: string, terms: Row, end: string) => {
      const row = `${name}: ${sum(terms)} ${end}`;
      rows.push(row);
      if (spare.length > 0) spares.set(row, `${name}: ${sum([...terms, ...spare])} ${end}`);
    };
    putRow(`one${person}`, one, '= 1');
    if (bests[person]! > 0) putRow(`least${person}`, [...worth, [-1, 'least']], '>= 0');
  });

  function addTaking({ options, wall }: Pattern, name: string): void {
    options.forEach((option, round) => {
      if (option === null || round < done) return;
      if (option.alongM !== undefined && wall !== null) {
        wallRows.add(`${round}|${wall}`, [option.alongM, name]);
        falling.add(`${round}|${wall}`, [option.isAttempt ? 1 : -1, name]);
      }
      for (const { piece, count } of option.pieces)
        pieceRows.add(`${round}|${piece}`, [count, name]);
      if (option.needsHand) handRows[round]!.push([1, name]);
      if (option.needsCircle) circleTerms[round]!.push([1, name]);
      const at = walls.findIndex(({ id }) => id === wall);
      cuts.forEach((cut) => {
        const taken = cut.takenBy(option, at);
        if (taken > 0) cutRows.add(`${cutRow(cut, round)}|${cut.most}`, [taken, name]);
      });
    });
  }

  // Two by two: a station serves two, at the widest and fullest of those who might stand there.
  for (const [key, { column: name, members, patterns: own }] of stations) {
    whole.push(name);
    bounds.push(` 0 <= ${name} <= ${Math.ceil(people.length / 2)}`);
    rows.push(`pair_${name}: ${sum([[2, name], ...members.map(([, x]): Term => [-1, x])])} >= 0`);
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
    addTaking({ ...own[0]!, options }, name);
  }

  for (const [key, row] of wallRows.rows) {
    const [round, id] = key.split('|');
    const at = walls.findIndex((wall) => wall.id === id);
    const gap = `g${round}_${at}`;
    const terms = [...row, [roomRules.sidewaysM, gap] as Term];
    if (prices) terms.push([-1, `more_wall_${at}`]);
    rows.push(`wall${round}_${at}: ${sum(terms)} <= ${written(walls[at]!.lengthM)}`);
    // A mat's width for each one who may fall beyond those that others can stand between.
    const apart = falling.rows.get(key)!.map(([sign, name]): Term => [-sign, name]);
    rows.push(`apart${round}_${at}: ${sum([[1, gap], ...apart])} >= -1`);
  }
  const short = new Set<string>();
  const rowsThere = new Set([...pieceRows.rows.keys()].map((key) => key.split('|')[1]!));
  /** One more of a row is one more of each that it counts for. */
  const moreOf = (piece: string): Row =>
    [...rowsThere]
      .filter((row) => rowsUpFrom(row, rowFacts).includes(piece))
      .map((row): Term => [-1, `more_${nameOf(row)}`]);
  for (const [key, row] of pieceRows.rows) {
    const [round, piece] = key.split('|');
    const terms = prices ? [...row, ...moreOf(piece!)] : row;
    short.add(piece!);
    rows.push(`piece${round}_${nameOf(piece!)}: ${sum(terms)} <= ${pieces[piece!] ?? 0}`);
  }
  for (const [key, row] of cutRows.rows) {
    const [name, most] = key.split('|');
    rows.push(`${name}: ${sum(row)} <= ${most}`);
  }
  const teacher: Row = [];
  handRows.forEach((row, round) => {
    if (row.length === 0) return;
    const terms: Row = [...row, [-1, `teacher${round}`]];
    if (prices) terms.push([-1, `more_hands_${round}`]);
    rows.push(`hands${round}: ${sum(terms)} <= ${helpers[round] ?? 0}`);
    teacher.push([1, `teacher${round}`]);
    names.push(`teacher${round}`);
  });
  if (teacher.length > 0) rows.push(`watching: ${sum(teacher)} <= ${roundsForTeacher(problem)}`);
  circleTerms.forEach((row, round) => {
    if (row.length > 0) rows.push(`circles${round}: ${sum(row)} <= ${circles}`);
  });
  const beside = circleRows(problem, circleTerms, patterns, columnOf);
  for (const { name, terms, end } of beside.rows) rows.push(`${name}: ${sum(terms)} ${end}`);
  names.push(...beside.columns);
  if (prices) {
    walls.forEach((_, at) => objective.push([-prices.wallMetre, `more_wall_${at}`]));
    for (const piece of short) {
      objective.push([-prices.piece(piece), `more_${nameOf(piece)}`]);
      whole.push(`more_${nameOf(piece)}`);
      bounds.push(` 0 <= more_${nameOf(piece)} <= 400`);
    }
    handRows.forEach((row, round) => {
      if (row.length === 0) return;
      objective.push([-prices.helperRound, `more_hands_${round}`]);
      whole.push(`more_hands_${round}`);
      bounds.push(` 0 <= more_hands_${round} <= 60`);
    });
  }
  const programme = (withSpares: boolean) => [
    'Maximize',
    ` value: ${sum(
      withSpares && spares.size > 0
        ? [...objective, ...people.map((_, person): Term => [-spareCost, `spare${person}`])]
        : objective,
    )}`,
    'Subject To',
    ...rows.map((row) => ` ${(withSpares ? spares.get(row) : undefined) ?? row}`),
    'Bounds',
    ...bounds,
  ];
  const lp = [
    ...programme(false),
    ...(whole.length === 0 ? [] : ['General', ...whole.map((name) => ` ${name}`)]),
    'Binary',
    ...names.map((name) => ` ${name}`),
    'End',
  ].join('\n');
  const relaxed = () =>
    [...programme(true), ...names.map((name) => ` 0 <= ${name} <= 1`), 'End'].join('\n');
  return { lp, relaxed, patterns, bests };
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
      more: Math.round(valueOf(`more_${nameOf(id)}`)),
      ...labelled(problem, id),
    })),
    ...problem.walls.map(({ id }, at) => ({
      what: 'wall' as const,
      id,
      more: Math.max(0, valueOf(`more_wall_${at}`)),
    })),
    ...Array.from({ length: problem.rounds }, (_, round) => ({
      what: 'helper' as const,
      id: String(round),
      more: Math.round(valueOf(`more_hands_${round}`)),
    })),
  ].filter(({ more }) => more > 1e-6);
}
