/** The search over whole evenings against trying every one of them. */
import { seededRandom } from '../random';
import {
  isFeasibleSequence,
  listWalls,
  weighSequence,
  type ComposePerson,
  type RoundOption,
  type RoundsProblem,
} from './problem';
import { listPatterns } from './plainPatterns';
import { mayBeGiven, searchSequences } from './sequences';
import { roundWorth } from './worth';

const rest: RoundOption = { id: 'rest', value: 0.05, heightM: 0, pieces: [], isRest: true };

/** A ladder of five rungs, some of them tries, a shape beside it, and rest. */
function invent(seed: number): { person: ComposePerson; problem: RoundsProblem } {
  const random = seededRandom(seed);
  const rungs = Array.from({ length: 5 }, (_, at): RoundOption => ({
    id: `r${at}`,
    same: random() < 0.2 ? `r${Math.max(0, at - 1)}` : `r${at}`,
    value: 0.2 + random(),
    heightM: 1.5,
    pieces: [],
    ...(at === 0 ? {} : { above: [`r${at - 1}`] }),
    ...(at === 0 || random() < 0.3
      ? {}
      : { from: Array.from({ length: at }, (_, below) => `r${below}`) }),
    ...(at > 2 && random() < 0.5 ? { needsFirst: true as const } : {}),
    ...(random() < 0.3 ? { isAttempt: true as const } : {}),
  }));
  const options = [...rungs, { id: 'sit', value: 0.3, heightM: 1, pieces: [] }, rest];
  const done = Math.floor(3 * random());
  const before = {
    options: Array.from({ length: 4 }, () => options[Math.floor(random() * 5)]!.id),
    wall: null,
  };
  return {
    person: {
      id: 'p',
      options,
      mostAttempts: 4,
      ...(done > 0 ? { before } : {}),
      ...(random() < 0.3
        ? { isBearable: (list) => list.filter((one) => one?.isAttempt).length < 3 }
        : {}),
    },
    problem: {
      rounds: 4,
      walls: [],
      circles: 0,
      pieces: {},
      helpers: [0, 0, 0, 0],
      people: [],
      done,
    },
  };
}

/** Every evening that the rules allow, with what it is worth. */
function tryAll({ person, problem }: ReturnType<typeof invent>): number[] {
  const { options } = listWalls(person, problem)[0]!;
  const choices = mayBeGiven(person, options);
  const { done = 0 } = problem;
  const found: number[] = [];
  const visit = (chosen: (RoundOption | null)[]): void => {
    if (chosen.length === problem.rounds) {
      if (isFeasibleSequence(chosen, person, problem)) {
        found.push(weighSequence(chosen, null, person, problem).worth);
      }
      return;
    }
    if (chosen.length < done) {
      const id = person.before!.options[chosen.length];
      visit([...chosen, person.options.find((one) => one.id === id)!]);
      return;
    }
    for (const choice of choices) visit([...chosen, choice]);
  };
  visit([]);
  return found.sort((a, b) => b - a);
}

const search = (
  { person, problem }: ReturnType<typeof invent>,
  factor: number,
  most: number,
  over = -Infinity,
) => {
  const { options } = listWalls(person, problem)[0]!;
  return searchSequences(
    {
      person,
      problem,
      wall: null,
      choices: mayBeGiven(person, options),
      factor,
      extra: () => 0,
      base: 0,
      finish: (sequence) =>
        isFeasibleSequence(sequence, person, problem)
          ? weighSequence(sequence, null, person, problem)
          : null,
      surplusOf: ({ worth }) => factor * worth,
    },
    over,
    most,
    1_000_000,
  );
};

describe('the search', () => {
  it('finds the best evenings there are, also after rounds that are over', () => {
    for (let seed = 1; seed <= 120; seed += 1) {
      const made = invent(seed);
      const all = tryAll(made);
      const { found } = search(made, 1, 5);
      const best = all.slice(0, 5).map((worth) => worth.toFixed(9));
      expect([seed, found.map(({ surplus }) => surplus.toFixed(9))]).toEqual([seed, best]);
    }
  });

  it('overlooks nothing that is better than what is asked for, however little', () => {
    for (let seed = 1; seed <= 120; seed += 1) {
      const made = invent(seed);
      const [best] = tryAll(made);
      if (best === undefined) continue;
      const { found } = search(made, 1, 1, best - 1e-6);
      expect([seed, found[0]?.surplus.toFixed(9)]).toEqual([seed, best.toFixed(9)]);
    }
  });

  it('never leaves out more than it says, whatever worth counts for', () => {
    for (let seed = 1; seed <= 60; seed += 1) {
      const made = invent(seed);
      for (const factor of [1, 0.2, -0.4]) {
        const { found, leftAtMost } = search(made, factor, 3);
        const left = tryAll(made)
          .map((worth) => factor * worth)
          .sort((a, b) => b - a)
          .slice(found.length);
        expect([seed, (left[0] ?? -Infinity) <= leftAtMost + 1e-9]).toEqual([seed, true]);
      }
    }
  });

  it('says so where it gives up', () => {
    const made = invent(3);
    const { options } = listWalls(made.person, made.problem)[0]!;
    const given = mayBeGiven(made.person, options);
    const { found, leftAtMost } = searchSequences(
      {
        ...made,
        wall: null,
        choices: given,
        factor: 1,
        extra: () => 0,
        base: 0,
        finish: (list) => weighSequence(list, null, made.person, made.problem),
        surplusOf: ({ worth }) => worth,
      },
      -Infinity,
      1,
      0,
    );
    expect(found.length).toBeLessThanOrEqual(1);
    expect(leftAtMost).toBeGreaterThanOrEqual(tryAll(made)[0]! - 1e-9);
  });
});

describe('what somebody may be given', () => {
  const sit: RoundOption = { id: 'sit', value: 0.3, heightM: 1, pieces: [] };
  const hop: RoundOption = { id: 'hop', value: 1, heightM: 2, pieces: [], isAttempt: true };

  it('is rest, or nothing, only where no thing of their own is sure', () => {
    expect(mayBeGiven({}, [sit, rest])).toEqual([sit]);
    expect(mayBeGiven({}, [rest])).toEqual([rest, null]);
    const taking = { ...sit, pieces: [{ piece: 'chair' as const, count: 1 }] };
    expect(mayBeGiven({}, [taking, rest])).toEqual([taking, rest, null]);
  });

  it('is rest for whoever was told to rest', () => {
    expect(mayBeGiven({ pins: [{ option: 'rest' }] }, [sit, rest])).toEqual([sit, rest]);
  });

  it('is never tries alone: one of them may be too much', () => {
    expect(mayBeGiven({}, [hop, rest])).toContain(rest);
    const person: ComposePerson = {
      id: 'p',
      options: [hop, rest],
      mostAttempts: 1,
      isBearable: () => false,
    };
    const problem = { ...invent(1).problem, done: 0 };
    expect(listPatterns(person, problem).length).toBeGreaterThan(0);
  });
});

it('finds what is told, however much else somebody could do', () => {
  const many = Array.from({ length: 40 }, (_, at): RoundOption => ({
    id: `shape-${at}`,
    value: 1,
    heightM: 1,
    pieces: [],
  }));
  const problem = { ...invent(1).problem, done: 0, rounds: 4 };
  const person: ComposePerson = { id: 'p', options: [...many, rest], mostAttempts: 4 };
  const told = (pins: NonNullable<ComposePerson['pins']>) =>
    listPatterns({ ...person, pins }, problem).sort((a, b) => b.value - a.value)[0]?.options;
  // A stop sign: rest, and nothing but rest.
  expect(told([{ option: 'rest' }])?.map((one) => one?.id)).toEqual(Array(4).fill('rest'));
  // And a wish for the last round alone.
  expect(told([{ option: 'shape-39', round: 3 }])?.[3]?.id).toBe('shape-39');
});

describe('what a round adds', () => {
  const dog: RoundOption = { id: 'dog', value: 1, heightM: 1, pieces: [] };
  const up: RoundOption = {
    ...{ id: 'up', value: 1, heightM: 1, pieces: [] },
    above: ['dog'],
    from: ['dog'],
  };
  const high: RoundOption = { ...up, id: 'high', above: ['up'], from: ['dog', 'up'] };
  const kick: RoundOption = { id: 'kick', value: 1, heightM: 1, pieces: [], isAttempt: true };

  it('is more for a step up, less for another change, little for the same hold again', () => {
    expect(roundWorth(up, [dog])).toBeCloseTo(1.1, 9);
    expect(roundWorth(kick, [dog])).toBeCloseTo(0.95, 9);
    expect(roundWorth(dog, [dog])).toBeCloseTo(0.15, 9);
    expect(roundWorth(dog, [dog, dog])).toBeCloseTo(0.05, 9);
  });

  it('takes more off for going back down than for another change, further up among them', () => {
    expect(roundWorth(high, [dog])).toBeCloseTo(0.95, 9);
    expect(roundWorth(dog, [up])).toBeCloseTo(0.9, 9);
    expect(roundWorth(dog, [high])).toBeCloseTo(0.9, 9);
    // Something of another ladder in between is a change, and no way down.
    expect(roundWorth(dog, [high, kick])).toBeCloseTo(0.95, 9);
  });

  it('is most of the first for a try again, and counts another make of it as the same', () => {
    expect(roundWorth(kick, [kick])).toBeCloseTo(0.85, 9);
    const strap = { ...dog, id: 'dog+strap', same: 'dog' };
    expect(roundWorth(strap, [dog])).toBeCloseTo(0.15 - 0.05, 9);
  });
});
