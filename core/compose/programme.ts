/** A mixed-integer programme as rows and columns, and as the arrays that the solver reads. */
import type { Basis, BasisStatus, Highs, Model, ModelData } from 'highs';

/** A share of a column in a row. */
export type Term = readonly [coefficient: number, column: number];

export interface Column {
  readonly name: string;
  /** What one of it adds to the objective, which is to be as large as can be. */
  readonly worth: number;
  readonly atLeast: number;
  readonly atMost: number;
  /** No shares of it. */
  readonly isWhole: boolean;
}

export interface Row {
  readonly name: string;
  readonly terms: readonly Term[];
  readonly atLeast: number;
  readonly atMost: number;
  /** The student whom a spare column would help out of it. */
  readonly spareFor?: number;
}

export interface Programme {
  readonly columns: readonly Column[];
  readonly rows: readonly Row[];
  /** The place of a column by its name. */
  readonly columnAt: ReadonlyMap<string, number>;
}

/** Nine digits after the point are exact enough for metres and values, and leave out what summing adds. */
const rounded = (value: number) => Math.round(value * 1e9) / 1e9;

/** Collects a programme: columns first, or as they come up. */
export class ProgrammeDraft {
  private readonly columns: Column[] = [];
  private readonly rows: Row[] = [];
  private readonly columnAt = new Map<string, number>();

  /** A column, by default a yes or no that is worth nothing; the known one where it is there already. */
  column(name: string, facts: Partial<Omit<Column, 'name'>> = {}): number {
    const known = this.columnAt.get(name);
    if (known !== undefined) return known;
    const at = this.columns.length;
    this.columns.push({ name, worth: 0, atLeast: 0, atMost: 1, isWhole: true, ...facts });
    this.columnAt.set(name, at);
    return at;
  }

  row(
    name: string,
    terms: readonly Term[],
    { atLeast = -Infinity, atMost = Infinity }: Partial<Pick<Row, 'atLeast' | 'atMost'>>,
    spareFor?: number,
  ): void {
    this.rows.push({
      name,
      terms,
      atLeast,
      atMost,
      ...(spareFor === undefined ? {} : { spareFor }),
    });
  }

  finish(): Programme {
    return { columns: this.columns, rows: this.rows, columnAt: this.columnAt };
  }
}

/**
 * The same with shares of everything allowed: no plan can be worth more.
 *
 * @param spareWorth present: each student may be left out of their own rows at this price, so that there
 *   is a solution from the first
 */
export function withShares({ columns, rows, columnAt }: Programme, spareWorth?: number): Programme {
  const shared = columns.map((column) => ({ ...column, isWhole: false }));
  if (spareWorth === undefined) return { columns: shared, rows, columnAt };
  const draft = new ProgrammeDraft();
  for (const { name, ...facts } of shared) draft.column(name, facts);
  for (const { name, terms, spareFor, ...ends } of rows) {
    if (spareFor === undefined) {
      draft.row(name, terms, ends);
      continue;
    }
    const spare = draft.column(`spare${spareFor}`, {
      worth: spareWorth,
      atMost: Infinity,
      isWhole: false,
    });
    draft.row(name, [...terms, [1, spare]], ends);
  }
  return draft.finish();
}

/** As the solver reads it: rows packed one after the other, names left out. */
export function toModelData(
  { constants, infinity }: Pick<Highs, 'constants' | 'infinity'>,
  { columns, rows }: Programme,
): ModelData {
  const count = rows.reduce((sum, { terms }) => sum + terms.length, 0);
  const starts = new Int32Array(rows.length + 1);
  const indices = new Int32Array(count);
  const values = new Float64Array(count);
  let at = 0;
  rows.forEach(({ terms }, row) => {
    starts[row] = at;
    for (const [coefficient, column] of terms) {
      indices[at] = column;
      values[at] = rounded(coefficient);
      at += 1;
    }
  });
  starts[rows.length] = at;
  const end = (value: number) =>
    Number.isFinite(value) ? rounded(value) : Math.sign(value) * infinity;
  const { integer, continuous } = constants.variableType;
  return {
    numCols: columns.length,
    numRows: rows.length,
    sense: constants.objectiveSense.maximize,
    colCost: Float64Array.from(columns, ({ worth }) => rounded(worth)),
    colLower: Float64Array.from(columns, ({ atLeast }) => end(atLeast)),
    colUpper: Float64Array.from(columns, ({ atMost }) => end(atMost)),
    rowLower: Float64Array.from(rows, ({ atLeast }) => end(atLeast)),
    rowUpper: Float64Array.from(rows, ({ atMost }) => end(atMost)),
    matrix: {
      format: 'csr',
      numRows: rows.length,
      numCols: columns.length,
      starts,
      indices,
      values,
    },
    ...(columns.some(({ isWhole }) => isWhole)
      ? { integrality: columns.map(({ isWhole }) => (isWhole ? integer : continuous)) }
      : {}),
  };
}

/** Of a solution, the value of a column by its name; 0 where there is none. */
export const valuesOf =
  ({ columnAt }: Pick<Programme, 'columnAt'>, values: ArrayLike<number>) =>
  (name: string): number =>
    values[columnAt.get(name) ?? -1] ?? 0;

/** Where a solution stood, by names, so that a programme with more columns can go on from there. */
export interface StoodAt {
  readonly columns: ReadonlyMap<string, BasisStatus>;
  readonly rows: ReadonlyMap<string, BasisStatus>;
}

export const stoodAt = (
  { columns, rows }: Pick<Programme, 'columns' | 'rows'>,
  { colStatus, rowStatus }: Basis,
): StoodAt => ({
  columns: new Map(columns.map(({ name }, at) => [name, colStatus[at] as BasisStatus])),
  rows: new Map(rows.map(({ name }, at) => [name, rowStatus[at] as BasisStatus])),
});

/** Puts a solver where the same programme stood with fewer columns and rows: new columns are out, new rows in. */
export function goOnFrom(
  { constants }: Pick<Highs, 'constants'>,
  solver: Model,
  { columns, rows }: Pick<Programme, 'columns' | 'rows'>,
  from: StoodAt,
): void {
  const { lower, basic } = constants.basisStatus;
  solver.setBasis({
    colStatus: columns.map(({ name }) => from.columns.get(name) ?? lower),
    rowStatus: rows.map(({ name }) => from.rows.get(name) ?? basic),
  });
  // What was best with fewer columns is still a plan of shares: it is bettered, and not looked for anew.
  solver.options.set({ simplex_strategy: primalSimplex });
}

/** The solver's number for it. */
const primalSimplex = 4;
