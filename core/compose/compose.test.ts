import loadHighs, { type Highs } from 'highs';
import type { PieceId } from '../catalog/pieces';
import { findBests } from './grow';
import { buildModel, chosenColumns, readAssignment } from './model';
import { toModelData } from './programme';
import {
  scoreAssignment,
  type Assignment,
  type ComposePerson,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
} from './problem';
import { listPatterns } from './plainPatterns';
import { seededRandom } from '../random';
import { composeQuickly, takesNothing } from './quick';
import { solveRounds, usualSolve, withSolver } from './solve';
import { findExcess, roomBeside } from './usage';
import { ofMany, seedsTo } from '../testing/depth';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const rest: RoundOption = { id: 'rest', value: 0.1, heightM: 1, pieces: [] };
const kinds: readonly PieceId[] = ['foam-block', 'strap-240', 'chair'];

const sides = ['north', 'east', 'south'] as const;

/** In every other class lanes take floor from whoever stands free: at some wall all of it. */
function invent(seed: number, people: number, rounds: number): RoundsProblem {
  const problem = inventWalls(seed, people, rounds);
  const { walls, circles } = problem;
  if (seed % 2 === 0 || circles === 0 || walls.length === 0) return problem;
  return {
    ...problem,
    walls: walls.map((wall, at) => ({ ...wall, side: sides[at]! })),
    circleRules: [
      { walls: ['north'], most: circles - 1 },
      ...(walls.length > 1 ? [{ walls: ['east'] as const, most: 0 }] : []),
    ],
  };
}

/** A made-up class: walls, a cupboard that does not go round, people with a few ways each. */
function inventWalls(seed: number, people: number, rounds: number): RoundsProblem {
  const random = seededRandom(seed);
  const between = (low: number, high: number) => low + (high - low) * random();
  const whole = (low: number, high: number) => Math.floor(between(low, high + 1));
  const option = (id: string, value: number, more: Partial<RoundOption>): RoundOption => ({
    id,
    value,
    heightM: between(1.6, 2.5),
    pieces: random() < 0.7 ? [{ piece: kinds[whole(0, 2)]!, count: whole(1, 2) }] : [],
    ...more,
  });
  return {
    rounds,
    walls: Array.from({ length: whole(0, 3) }, (_, index) => ({
      id: `w${index}`,
      lengthM: between(1, 7),
      lowestM: random() < 0.3 ? 2.1 : 2.8,
    })),
    circles: whole(0, 2),
    pieces: { 'foam-block': whole(0, 12), 'strap-240': whole(0, 5), chair: whole(0, 4) },
    helpers: Array<number>(rounds).fill(whole(0, 2)),
    people: Array.from({ length: people }, (_, index): ComposePerson => ({
      id: `p${index}`,
      mostAttempts: whole(0, rounds),
      options: [
        option('next', between(0.8, 1.2), {
          alongM: between(0.86, 1.5),
          isAttempt: true,
          ...(random() < 0.4 ? { needsHand: true as const } : {}),
        }),
        option('present', between(0.4, 0.8), random() < 0.5 ? { alongM: 0.86 } : {}),
        ...(random() < 0.3
          ? [option('free', between(0.9, 1.4), { needsCircle: true, isAttempt: true, pieces: [] })]
          : []),
        rest,
      ],
    })),
  };
}

/** The hard rules of handbook 08 once more, from the plan alone: no code shared with the composer. */
function check(problem: RoundsProblem, plan: Assignment): string[] {
  const wrong: string[] = [];
  let teacherRounds = 0;
  for (let round = 0; round < problem.rounds; round += 1) {
    let hands = 0;
    let circles = 0;
    for (const wall of problem.walls) {
      let used = 0;
      plan.forEach((pattern) => {
        const option = pattern.options[round];
        if (option?.alongM && pattern.wall === wall.id) {
          used += option.alongM;
          if (option.heightM > wall.lowestM + 1e-6)
            wrong.push(`${wall.id} is too low in round ${round}`);
        }
      });
      if (used > wall.lengthM + 1e-6) wrong.push(`${wall.id} overfull in round ${round}`);
    }
    for (const piece of kinds) {
      let used = 0;
      plan.forEach(({ options }) =>
        options[round]?.pieces.forEach((one) => {
          if (one.piece === piece) used += one.count;
        }),
      );
      if (used > (problem.pieces[piece] ?? 0)) wrong.push(`${piece} short in round ${round}`);
    }
    plan.forEach(({ options, wall }, index) => {
      const option = options[round];
      if (option?.needsHand) hands += 1;
      if (option?.needsCircle) circles += 1;
      if (option?.alongM && wall === null) wrong.push(`p${index} leans on no wall`);
      if (option && !problem.people[index]!.options.includes(option))
        wrong.push(`p${index} does what is not theirs`);
    });
    if (hands > problem.helpers[round]! + 1) wrong.push(`hands short in round ${round}`);
    if (hands > problem.helpers[round]!) teacherRounds += 1;
    if (circles > problem.circles) wrong.push(`floor short in round ${round}`);
    for (const { walls, most } of problem.circleRules ?? []) {
      const isTaken = walls.every((side) =>
        plan.some(
          ({ options, wall }) =>
            options[round]?.alongM !== undefined &&
            problem.walls.find(({ id }) => id === wall)?.side === side,
        ),
      );
      if (isTaken && circles > most) wrong.push(`lanes on the free floor in round ${round}`);
    }
  }
  if (teacherRounds > problem.rounds - 1) wrong.push('the teacher never watches');
  plan.forEach(({ options }, index) => {
    const attempts = options.filter((option) => option?.isAttempt).length;
    if (attempts > problem.people[index]!.mostAttempts) wrong.push(`p${index} tries tired`);
    if (attempts === 1) wrong.push(`p${index} tries only once`);
    if (options.length !== problem.rounds) wrong.push(`p${index} misses a round`);
  });
  return wrong;
}

/** The best plan by trying all of the plain patterns. */
function bruteForce(problem: RoundsProblem): number {
  const patterns = problem.people.map((person) => listPatterns(person, problem));
  const bests = findBests(problem, patterns);
  let best = -Infinity;
  const chosen: Pattern[] = [];
  const place = (index: number) => {
    if (index === patterns.length) {
      if (check(problem, chosen).length === 0)
        best = Math.max(best, scoreAssignment(chosen, bests));
      return;
    }
    for (const pattern of patterns[index]!) {
      chosen[index] = pattern;
      place(index + 1);
    }
  };
  place(0);
  return best;
}

describe('patterns', () => {
  const person: ComposePerson = {
    id: 'a',
    mostAttempts: 2,
    options: [
      { id: 'kick', value: 1, alongM: 0.86, isAttempt: true, heightM: 2.2, pieces: [] },
      rest,
    ],
  };
  const problem = {
    ...invent(1, 0, 3),
    walls: [{ id: 'w', lengthM: 3, lowestM: 2.8 }],
    people: [person],
  };

  it('stay, move on once or sit one out; none tries once only or beyond what is left', () => {
    const attempts = listPatterns(person, problem).map(
      ({ options }) => options.filter((o) => o?.isAttempt).length,
    );
    expect(new Set(attempts)).toEqual(new Set([0, 2]));
    expect(
      listPatterns({ ...person, mostAttempts: 3 }, problem).some(({ options }) =>
        options.every((o) => o?.isAttempt),
      ),
    ).toBe(true);
    expect(
      listPatterns({ ...person, mostAttempts: 1 }, problem).every(({ options }) =>
        options.every((o) => !o?.isAttempt),
      ),
    ).toBe(true);
  });

  it('stand at no wall that is too low or too short', () => {
    const low = {
      ...problem,
      walls: [
        { id: 'low', lengthM: 3, lowestM: 2.1 },
        { id: 'short', lengthM: 0.5, lowestM: 3 },
      ],
    };
    expect(listPatterns(person, low).every(takesNothing)).toBe(true);
  });

  it('are the same at each wall of the same height, long or short', () => {
    const height = { lengthM: 3, lowestM: 2.8 };
    const walls = [
      { ...height, id: 'a' },
      { ...height, id: 'b', lengthM: 9 },
      { ...height, id: 'low', lowestM: 1 },
    ];
    const all = listPatterns(person, { ...problem, walls });
    const at = (id: string) =>
      all.filter(({ wall }) => wall === id).map(({ wall: _, ...pattern }) => pattern);
    expect(at('a').length).toBeGreaterThan(1);
    expect(at('b')).toEqual(at('a'));
    expect(at('low')).toEqual([]);
    // What stood at one of them stays better there.
    const before = { options: ['kick', 'kick', 'rest'], wall: 'b' } as const;
    const moved = listPatterns({ ...person, before }, { ...problem, walls });
    const best = (id: string) =>
      Math.max(...moved.filter(({ wall }) => wall === id).map(({ value }) => value));
    expect(best('b')).toBeGreaterThan(best('a'));
  });

  it('are worth less for a change between rounds', () => {
    const moving = listPatterns(person, problem).find(
      ({ options }) =>
        options[0] === rest && options[2]?.id === 'kick' && options[1]?.id === 'kick',
    )!;
    // A try again is worth less than the first, and the change costs a little.
    expect(moving.value).toBeCloseTo(0.1 + 1 + 0.85 - 0.05, 9);
  });
});

describe('room beside others', () => {
  it('is what all of them together say, whoever else is there and whether they fit or not', () => {
    const answers = new Set<boolean>();
    for (const seed of seedsTo(60, 16)) {
      const problem = { ...invent(seed, 3 + (seed % 5), 3), done: seed % 3 === 0 ? 1 : 0 };
      const random = seededRandom(seed);
      const patterns = problem.people.map((person) => listPatterns(person, problem));
      const others = patterns
        .slice(1)
        .map((list) => list[Math.floor(list.length * random() * random())]!);
      const hasRoom = roomBeside(others, problem);
      for (const pattern of patterns[0]!) {
        const isRoom = findExcess([pattern, ...others], problem).length === 0;
        answers.add(isRoom);
        expect([seed, hasRoom(pattern)]).toEqual([seed, isRoom]);
      }
    }
    expect(answers.size).toBe(2);
  });
});

describe('composing the rounds', () => {
  it('keeps every hard rule on made-up classes, quickly and proved', () => {
    for (const [at, seed] of seedsTo(200, 16).entries()) {
      const problem = invent(seed, 3 + (seed % 12), 3 + (seed % 2));
      const quick = composeQuickly(problem, seed);
      expect([seed, check(problem, quick)]).toEqual([seed, []]);
      expect(findExcess(quick, problem)).toEqual([]);
      // The proof of a large class that nothing is like takes a while, or all of its time.
      if (at % ofMany(5, 1) !== 0 || problem.people.length > ofMany(14, 11)) continue;
      const plan = solveRounds(highs, problem, { ...usualSolve, seed });
      expect([seed, check(problem, plan.assignment)]).toEqual([seed, []]);
      const bests = findBests(problem);
      expect(plan.objective).toBeGreaterThanOrEqual(scoreAssignment(quick, bests) - 1e-9);
      expect(plan.bound).toBeGreaterThanOrEqual(plan.objective - 1e-9);
      expect(scoreAssignment(plan.assignment, bests)).toBeCloseTo(plan.objective, 9);
      if (plan.stoppedBy === 'gap') expect(plan.gapPercent).toBeLessThanOrEqual(1.01);
    }
  });

  it('is worth no less than any plan of plain patterns on tiny classes, and proved', () => {
    for (let seed = 300; seed < 318; seed += 1) {
      const problem = invent(seed, 2 + (seed % 2), 3);
      const plan = solveRounds(highs, problem, { ...usualSolve, gap: 0, seed });
      expect(plan.objective).toBeGreaterThanOrEqual(bruteForce(problem) - 1e-5);
      expect(plan.gapPercent).toBeLessThan(1e-3);
    }
  });

  it('gives the same plan for the same seed', () => {
    const problem = invent(77, 12, 4);
    const ids = (plan: Assignment) =>
      plan.map(({ options, wall }) => [wall, ...options.map((o) => o?.id)]);
    const once = solveRounds(highs, problem);
    const again = solveRounds(highs, problem);
    expect(ids(again.assignment)).toEqual(ids(once.assignment));
    expect(ids(composeQuickly(problem, 3))).toEqual(ids(composeQuickly(problem, 3)));
  });

  it('gives everybody a plan without a wall, a prop or a hand', () => {
    const bare: RoundsProblem = {
      ...invent(5, 40, 3),
      walls: [],
      pieces: {},
      helpers: [0, 0, 0],
      circles: 0,
    };
    const plan = solveRounds(highs, bare);
    expect(check(bare, plan.assignment)).toEqual([]);
    expect(plan.assignment).toHaveLength(40);
    const nobody: RoundsProblem = { ...bare, people: [] };
    expect(solveRounds(highs, nobody).assignment).toEqual([]);
  });

  it('is never worth less for one more block, a longer wall or another helper', () => {
    for (let seed = 400; seed < 406; seed += 1) {
      const problem = invent(seed, 6, 3);
      const worth = (one: RoundsProblem) =>
        solveRounds(highs, one, { ...usualSolve, gap: 0 }).objective;
      const now = worth(problem);
      expect(
        worth({ ...problem, helpers: problem.helpers.map((hands) => hands + 1) }),
      ).toBeGreaterThanOrEqual(now - 1e-6);
      expect(
        worth({ ...problem, pieces: { ...problem.pieces, 'foam-block': 99 } }),
      ).toBeGreaterThanOrEqual(now - 1e-6);
    }
  });

  it('keeps a finite, honest bound when it is stopped before anything is proved', () => {
    const problem = invent(21, 10, 3);
    const plan = solveRounds(highs, problem, { ...usualSolve, timeLimitSeconds: 0, mostNodes: 0 });
    expect(check(problem, plan.assignment)).toEqual([]);
    expect(Number.isFinite(plan.bound)).toBe(true);
    const proved = solveRounds(highs, problem, { ...usualSolve, gap: 0 });
    expect(plan.bound).toBeGreaterThanOrEqual(proved.objective - 1e-6);
    expect(plan.objective).toBeLessThanOrEqual(proved.objective + 1e-6);
  });

  it('begins from a plan as its columns, and not from one that the programme leaves out', () => {
    for (let seed = 500; seed < 510; seed += 1) {
      const problem = invent(seed, 8, 3);
      const plan = composeQuickly(problem, seed);
      const model = buildModel(problem);
      const columns = chosenColumns(model, plan)!;
      expect(readAssignment(model, (name) => columns.get(name) ?? 0)).toEqual(plan);
      const bare = buildModel(
        problem,
        model.patterns.map((list, person) => list.filter((one) => one !== plan[person])),
      );
      const kept = chosenColumns(bare, plan);
      // The same sequence at the same place may stand there twice; another one is no start.
      if (kept !== null) expect(readAssignment(bare, (name) => kept.get(name)!)).toEqual(plan);
      const begun = withSolver(
        highs,
        model.programme,
        { ...usualSolve, gap: 0, mostNodes: 0, start: columns },
        (solver) => solver.getObjectiveValue(),
      );
      expect(begun).toBeGreaterThanOrEqual(scoreAssignment(plan, model.bests) - 1e-6);
    }
  });

  it('writes a programme with one choice for each student', () => {
    const problem = invent(9, 5, 3);
    const { programme, patterns } = buildModel(problem);
    const ones = programme.rows.filter(({ atLeast, atMost }) => atLeast === 1 && atMost === 1);
    expect(ones.map(({ terms }) => terms.length)).toEqual(patterns.map((list) => list.length));
    expect(patterns.every((list) => list.length > 0)).toBe(true);
    const { numCols, numRows, matrix, ...ends } = toModelData(highs, programme);
    expect([numCols, numRows]).toEqual([programme.columns.length, programme.rows.length]);
    expect(Math.max(...matrix.indices)).toBeLessThan(numCols);
    for (const list of [matrix.values, ends.colCost]) {
      expect([...list].every(Number.isFinite)).toBe(true);
    }
  });
});
