import loadHighs, { type Highs } from 'highs';
import type { PieceId } from '../catalog/pieces';
import { seededRandom } from '../random';
import { findBests } from './grow';
import {
  isFeasibleSequence,
  listWalls,
  scoreAssignment,
  shareOf,
  weighSequence,
  type Assignment,
  type ComposePerson,
  type Pattern,
  type RoundOption,
  type RoundsProblem,
} from './problem';
import { composeQuickly } from './quick';
import { mayBeGiven } from './sequences';
import { solveRounds, usualSolve } from './solve';
import { findExcess } from './usage';
import { ofMany, seedsTo } from '../testing/depth';

let highs: Highs;
beforeAll(async () => {
  highs = await loadHighs();
});

const rest: RoundOption = { id: 'rest', value: 0.05, heightM: 1, pieces: [], isRest: true };
const kinds: readonly PieceId[] = ['foam-block', 'chair'];

/** Two or three people, three rounds, and too little of everything. */
function invent(seed: number): RoundsProblem {
  const random = seededRandom(seed);
  const whole = (low: number, high: number) => Math.floor(low + (high - low + 1) * random());
  const option = (id: string, value: number, more: Partial<RoundOption> = {}): RoundOption => ({
    id,
    value,
    heightM: 2,
    pieces: random() < 0.7 ? [{ piece: kinds[whole(0, 1)]!, count: 1 }] : [],
    ...more,
  });
  const people = whole(2, 3);
  return {
    rounds: 3,
    walls: [{ id: 'w', lengthM: 0.9 + random(), lowestM: 2.8 }],
    circles: 0,
    pieces: { 'foam-block': whole(0, 2), chair: whole(0, 2) },
    helpers: [0, 0, 0],
    people: Array.from({ length: people }, (_, index): ComposePerson => ({
      id: `p${index}`,
      mostAttempts: whole(1, 3),
      options: [
        option('next', 0.8 + 0.4 * random(), { alongM: 0.86, isAttempt: true }),
        option('present', 0.5 + 0.3 * random(), random() < 0.5 ? { alongM: 0.86 } : {}),
        option('instead', 0.3 + 0.2 * random()),
        rest,
      ],
    })),
  };
}

/** The same where some stand free, and whoever is at a wall takes floor from them. */
function inventFree(seed: number): RoundsProblem {
  const problem = invent(seed);
  const random = seededRandom(seed + 10_000);
  const circles = 1 + Math.floor(2 * random());
  const fewer = (most: number) => Math.floor(most * random());
  const [north, east] = [fewer(circles + 1), fewer(circles + 1)];
  return {
    ...problem,
    walls: [
      { ...problem.walls[0]!, side: 'north' },
      { id: 'v', lengthM: 0.9, lowestM: 2.8, side: 'east' },
    ],
    circles,
    circleRules: [
      ...(north < circles ? [{ walls: ['north' as const], most: north }] : []),
      ...(east < circles ? [{ walls: ['east' as const], most: east }] : []),
      ...(Math.min(north, east) > 0 ? [{ walls: ['north', 'east'] as const, most: 0 }] : []),
    ],
    people: problem.people.map((person) => ({
      ...person,
      options: person.options.flatMap((one) =>
        one.id === 'next' && random() < 0.7
          ? [one, { id: 'free', value: 1.3, heightM: 2, pieces: [], needsCircle: true as const }]
          : [one],
      ),
    })),
  };
}

/** Every sequence at every wall, and every plan of them: nothing is priced, everything is tried. */
function bestOfAll(problem: RoundsProblem): number {
  const bests = findBests(problem);
  const all = problem.people.map((person) => {
    const patterns: Pattern[] = [];
    for (const { wall, options } of listWalls(person, problem)) {
      // Nobody is given nothing who has something of their own that is sure to find a place.
      const choices = mayBeGiven(person, options);
      for (const a of choices)
        for (const b of choices)
          for (const c of choices) {
            const sequence = [a, b, c];
            if (wall !== null && sequence.every((one) => one?.alongM === undefined)) continue;
            if (!isFeasibleSequence(sequence, person, problem)) continue;
            patterns.push(weighSequence(sequence, wall, person, problem));
          }
    }
    return patterns.sort((x, y) => y.value - x.value);
  });
  let best = -Infinity;
  const chosen: Pattern[] = [];
  // What those who come later could have at the most, and what fairness could add.
  const left = [...all, []].map((_, from) =>
    all.slice(from).reduce((sum, list) => sum + list[0]!.value, 0),
  );
  const fair = 0.6 * all.length;
  const place = (index: number, sum: number, least: number): void => {
    if (index === all.length) {
      if (findExcess(chosen as Assignment, problem).length === 0)
        best = Math.max(best, scoreAssignment(chosen, bests));
      return;
    }
    for (const pattern of all[index]!) {
      const most = sum + pattern.value + left[index + 1]!;
      // Those that follow are worth no more.
      if (most + fair * least <= best) break;
      const served = Math.min(least, shareOf(pattern, bests[index]!));
      if (most + fair * served <= best) continue;
      chosen[index] = pattern;
      chosen.length = index + 1;
      // Pieces that are short stay short, whoever comes besides.
      const isShort = findExcess(chosen, problem).some(({ what }) => what === 'piece');
      if (!isShort) place(index + 1, sum + pattern.value, served);
    }
  };
  place(0, 0, 1);
  return best;
}

describe('proved', () => {
  it('means over every sequence of rounds: no plan inside the rules is worth more than the bound', () => {
    let beyondPlain = 0;
    for (const seed of seedsTo(24, 6)) {
      const problem = invent(seed);
      const plan = solveRounds(highs, problem, { ...usualSolve, gap: 0 });
      const truth = bestOfAll(problem);
      // Taking turns at a station is in the plan and not in the trial: it may be worth more.
      expect([seed, plan.bound >= truth - 1e-6]).toEqual([seed, true]);
      if (plan.gapPercent < 1e-6) {
        expect([seed, plan.objective >= truth - 1e-6]).toEqual([seed, true]);
      }
      const isPlain = plan.assignment.every(({ options: [a, b, c] }) => a === b || b === c);
      if (!isPlain) beyondPlain += 1;
    }
    // The sequences that used to be left out are used.
    expect(beyondPlain).toBeGreaterThan(ofMany(1, 0));
  });

  it('means as much where plans are parted by the least share, for want of room for every sequence', () => {
    for (const seed of seedsTo(24, 6)) {
      const problem = invent(seed);
      const truth = bestOfAll(problem);
      for (const gap of [0, 0.02]) {
        const plan = solveRounds(highs, problem, { ...usualSolve, gap, mostColumns: 1 });
        expect([seed, gap, plan.bound >= truth - 1e-6]).toEqual([seed, gap, true]);
        expect(plan.objective).toBeLessThanOrEqual(plan.bound + 1e-9);
        expect(findExcess(plan.assignment, problem)).toEqual([]);
      }
    }
  });

  it('means as much where some stand free, and a lane takes their floor', () => {
    let mixed = 0;
    for (const seed of seedsTo(30, 6)) {
      const problem = inventFree(seed);
      const truth = bestOfAll(problem);
      const plan = solveRounds(highs, problem, { ...usualSolve, gap: 0 });
      expect([seed, findExcess(plan.assignment, problem)]).toEqual([seed, []]);
      expect([seed, plan.bound >= truth - 1e-6]).toEqual([seed, true]);
      if (plan.gapPercent < 1e-6) {
        expect([seed, plan.objective >= truth - 1e-6]).toEqual([seed, true]);
      }
      const quick = composeQuickly(problem, seed);
      expect([seed, findExcess(quick, problem)]).toEqual([seed, []]);
      const all = plan.assignment.flatMap(({ options }) => options);
      if (all.some((one) => one?.needsCircle) && all.some((one) => one?.alongM)) mixed += 1;
    }
    expect(mixed).toBeGreaterThan(ofMany(5, 0));
  });

  it('closes the gap in nearly all of them', () => {
    const gaps = Array.from({ length: 40 }, (_, index) => {
      const { gapPercent } = solveRounds(highs, invent(index + 1), { ...usualSolve, gap: 0 });
      return gapPercent;
    });
    expect(gaps.filter((gap) => gap < 0.01).length).toBeGreaterThan(36);
  });
});
