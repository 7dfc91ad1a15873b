/** The composer's promises, on made-up classes of three sizes. */
import loadHighs from 'highs';
import type { RoundOption, RoundsProblem } from '@/core/compose/problem';
import { composeQuickly } from '@/core/compose/quick';
import { solveRounds, usualSolve } from '@/core/compose/solve';
import { seededRandom } from '@/demo/random';
import { medianOf, print } from './timing';

const rest: RoundOption = { id: 'rest', value: 0.05, heightM: 0, pieces: [] };

/** Walls for four in ten, blocks for six in ten, hands for two. */
function invent(seed: number, people: number, rounds: number): RoundsProblem {
  const random = seededRandom(seed);
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  return {
    rounds,
    walls: [
      { id: 'north', lengthM: people * 0.28, lowestM: 2.7 },
      { id: 'west', lengthM: people * 0.12, lowestM: 2.7 },
    ],
    circles: 2,
    pieces: { 'foam-block': Math.round(people * 0.6), chair: Math.round(people * 0.25) },
    helpers: Array<number>(rounds).fill(1),
    people: Array.from({ length: people }, (_, index) => ({
      id: `p${index}`,
      mostAttempts: whole(2, rounds),
      options: [
        {
          id: 'next',
          value: random() < 0.5 ? 1 : 0.9,
          alongM: random() < 0.3 ? 1.46 : 0.86,
          heightM: 2.2,
          isAttempt: true,
          pieces: [{ piece: 'foam-block', count: whole(1, 2) }],
          ...(random() < 0.3 ? { needsHand: true as const } : {}),
        },
        {
          id: 'present',
          value: 0.7,
          heightM: 2,
          ...(random() < 0.6 ? { alongM: 0.86 } : {}),
          pieces: random() < 0.5 ? [{ piece: 'foam-block', count: 1 }] : [],
        },
        { id: 'step-down', value: 0.45, heightM: 1.5, pieces: [] },
        { id: 'instead', value: 0.4, heightM: 1.5, pieces: [{ piece: 'chair', count: 1 }] },
        rest,
      ],
    })),
  };
}

const seeds = [1, 2, 3];

export async function benchCompose(): Promise<void> {
  const highs = await loadHighs();
  for (const [people, quickTarget, target] of [
    [14, undefined, undefined],
    [24, 200, 3000],
    [48, undefined, 8000],
  ] as const) {
    const problems = seeds.map((seed) => invent(seed, people, 4));
    const time = (work: (problem: RoundsProblem, seed: number) => unknown) =>
      medianOf(
        problems.map((problem, index) => {
          const start = process.hrtime.bigint();
          work(problem, seeds[index]!);
          return Number(process.hrtime.bigint() - start) / 1e6;
        }),
      );
    print({
      name: `Quick plan, ${people} students, 4 rounds`,
      median: time(composeQuickly),
      unit: 'ms',
      ...(quickTarget === undefined ? {} : { target: quickTarget }),
    });
    const gaps: number[] = [];
    const median = time((problem, seed) => {
      gaps.push(solveRounds(highs, problem, { ...usualSolve, seed }).gapPercent);
    });
    print({
      name: `Within ${Math.max(...gaps).toFixed(2)} % of the best, ${people} students, 4 rounds`,
      median,
      unit: 'ms',
      ...(target === undefined ? {} : { target }),
    });
  }
}
