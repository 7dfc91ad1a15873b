import loadHighs, { type Highs } from 'highs';
import {
  ProgrammeDraft,
  goOnFrom,
  stoodAt,
  toModelData,
  valuesOf,
  withShares,
  type Programme,
  type StoodAt,
  type Term,
} from './programme';
import { seededRandom } from '../random';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

function solve(programme: Programme, from?: StoodAt) {
  const solver = highs.createModel(toModelData(highs, programme));
  try {
    solver.options.set({ output_flag: false });
    if (from !== undefined) goOnFrom(highs, solver, programme, from);
    solver.run();
    return {
      value: Number(solver.info.get('objective_function_value')),
      valueOf: valuesOf(programme, solver.getSolution().colValue),
      turns: Number(solver.info.get('simplex_iteration_count')),
      stood: stoodAt(programme, solver.getBasis()),
      status: solver.getModelStatus(),
    };
  } finally {
    solver.dispose();
  }
}

/** Seven hours of things that take three and are worth five each, one of them at most twice. */
function hours() {
  const draft = new ProgrammeDraft();
  const long = draft.column('long', { worth: 5, atMost: 2 });
  const other = draft.column('other', { worth: 4.9 });
  draft.row('hours', [[3, long] as Term, [3, other] as Term], { atMost: 7 });
  return draft;
}

describe('a programme', () => {
  it('is solved whole, and with shares for no less', () => {
    const programme = hours().finish();
    const whole = solve(programme);
    expect(whole.value).toBeCloseTo(10, 9);
    expect(['long', 'other', 'nobody'].map(whole.valueOf)).toEqual([2, 0, 0]);
    const shares = solve(withShares(programme));
    expect(shares.value).toBeCloseTo(10 + 4.9 / 3, 9);
    expect(programme.columns.every(({ isWhole }) => isWhole)).toBe(true);
  });

  it('has each column once, under its name', () => {
    const draft = hours();
    expect(draft.column('other', { worth: 99 })).toBe(1);
    expect(draft.column('third')).toBe(2);
    const { columns, columnAt } = draft.finish();
    expect(columns.map(({ name, worth }) => [name, worth])).toEqual([
      ['long', 5],
      ['other', 4.9],
      ['third', 0],
    ]);
    expect(columnAt.get('third')).toBe(2);
  });

  it('keeps a row between its ends, either of them open', () => {
    const draft = hours();
    draft.row('exactly', [[1, 0]], { atLeast: 1, atMost: 1 });
    expect(solve(draft.finish()).value).toBeCloseTo(9.9, 9);
    draft.row('never', [[1, 1]], { atLeast: 2 });
    expect(solve(draft.finish()).status).toBe(highs.constants.modelStatus.infeasible);
  });

  it('leaves somebody out of their own rows for what it costs, and of no other', () => {
    const draft = hours();
    draft.row('own', [[1, 1]], { atLeast: 2 }, 7);
    const { columns, rows } = withShares(draft.finish(), -12);
    expect(columns.map(({ name }) => name)).toEqual(['long', 'other', 'spare7']);
    expect(rows.map(({ terms }) => terms.map(([, at]) => at))).toEqual([
      [0, 1],
      [1, 2],
    ]);
    // One of the other, a third of the long one more than one, and one spare.
    const { value, valueOf } = solve(withShares(draft.finish(), -12));
    expect(valueOf('spare7')).toBeCloseTo(1, 9);
    expect(value).toBeCloseTo(4.9 + (4 / 3) * 5 - 12, 9);
  });

  it('goes on from where it stood with fewer columns and rows, to the same end', () => {
    const random = seededRandom(5);
    const draft = new ProgrammeDraft();
    const fill = (from: number, to: number) => {
      for (let at = from; at < to; at += 1) {
        draft.column(`c${at}`, { worth: random(), isWhole: false });
      }
    };
    fill(0, 60);
    const sizes = Array.from({ length: 240 }, () => random());
    const some = (count: number, row: number): Term[] =>
      Array.from({ length: count }, (_, at): Term => [sizes[(at + row * 7) % 240]!, at]);
    const upTo = (columns: number, rows: number) => {
      const next = new ProgrammeDraft();
      for (const { name, ...facts } of draft.finish().columns) next.column(name, facts);
      for (let row = 0; row < rows; row += 1) {
        next.row(`r${row}`, some(columns, row), { atMost: 3 });
      }
      return next.finish();
    };
    const small = solve(upTo(60, 12));
    fill(60, 120);
    const large = upTo(120, 14);
    const anew = solve(large);
    const on = solve(large, small.stood);
    expect(on.value).toBeCloseTo(anew.value, 6);
    expect(on.value).toBeGreaterThan(small.value);
    // Where nothing came it is there already.
    expect(solve(upTo(120, 14), solve(large).stood).turns).toBe(0);
  });
});
