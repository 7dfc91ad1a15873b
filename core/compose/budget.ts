/** How the minutes of a class are shared out before anything is chosen. Source: handbook 08. */
import { ladderTable, type LadderId } from '../catalog/stage';

/** Where minutes go that nothing else wants, in this order. */
export const spareOrders = {
  drills: ['drills'],
  rounds: ['rounds', 'drills'],
  rest: [],
} as const;
export type SpareChoice = keyof typeof spareOrders;
export const spareChoices = Object.keys(spareOrders) as [SpareChoice, ...SpareChoice[]];

export interface BudgetInput {
  readonly minutes: number;
  /** 0: an evening without tries. */
  readonly rounds: number;
  readonly roundMinutes: number;
  readonly resetMinutes: number;
  readonly families: readonly LadderId[];
  /** Little is known of most who come: looking comes first. */
  readonly isLooking?: boolean;
  /** Where leftover minutes go; absent: to the drills. */
  readonly spare?: SpareChoice;
}

/** How the minutes are shared out. */
export interface Budget {
  readonly arrive: number;
  readonly drills: number;
  readonly checks: number;
  /** To get to the places before the first round. */
  readonly settle: number;
  readonly rounds: number;
  readonly counter: number;
  /** Folds and twists after the counterposes. */
  readonly release: number;
  readonly rest: number;
  /** Minutes from which on two rounds with a warm-up fit; for the sentence that says so. */
  readonly leastMinutes: number;
}

/** Bounds of handbook 08 "Shape of a class", minutes, and the share of the class that suits. */
export const parts = {
  arrive: { low: 3, high: 5, share: 0.055 },
  checks: { low: 4, high: 8, share: 0.08 },
  /** The same on an evening for looking. */
  looking: { low: 5, high: 14, share: 0.17 },
  rest: { low: 5, high: 10, share: 0.09 },
  /** A cool-down, where the class is long enough for one. */
  release: { low: 2, high: 4, share: 0.05, from: 40 },
  /** Under this nobody is warm enough to try anything. */
  leastDrills: 8,
  /** No line is made shorter to make room for others. */
  leastDrill: 1,
  /** Longer only where nobody wants the minutes elsewhere. */
  enoughDrills: 45,
  mostDrills: 120,
  settle: 1,
  mostSettle: 4,
  /** More than two rounds are given up for a warm-up before two are. */
  leastRounds: 2,
} as const;

/** How much longer than planned a line may become where minutes are left over. */
export const stretches = { drill: 1.5, round: 1.5, release: 2, counter: 1.5 } as const;

export const clamp = (value: number, low: number, high: number) =>
  Math.min(high, Math.max(low, value));
const half = (value: number) => Math.round(value * 2) / 2;

const shareOf = (
  minutes: number,
  { low, high, share }: { readonly low: number; readonly high: number; readonly share: number },
) => half(clamp(minutes * share, low, high));

const roundsTake = (rounds: number, { roundMinutes, resetMinutes }: BudgetInput) =>
  rounds === 0 ? 0 : rounds * roundMinutes + (rounds - 1) * resetMinutes;

/** As long as the holds of each family ask for. */
const counterMinutes = (families: readonly LadderId[]): number =>
  families.reduce((sum, family) => sum + ladderTable[family].counter.minutes, 0);

/** Without rounds the drills are the class; with them they leave what is wanted elsewhere. */
function mostDrills(
  left: number,
  rounds: number,
  { spare = 'drills', roundMinutes }: BudgetInput,
): number {
  const { enoughDrills: enough, mostDrills: most } = parts;
  if (rounds === 0) return most;
  switch (spare) {
    case 'drills':
      return most;
    case 'rounds': {
      const longer = (stretches.round - 1) * roundMinutes * rounds;
      return clamp(half(left - longer), enough, most);
    }
    case 'rest':
      return enough;
    default:
      return spare satisfies never;
  }
}

/** Shares out the minutes: rests and counterposes are never cut; rounds, checks and drills are. */
export function shareOut(input: BudgetInput): Budget {
  const { minutes, families } = input;
  const { arrive: first, rest: last } = parts;
  // A few minutes are shared by the two that every class has.
  const arrive = Math.min(
    shareOf(minutes, first),
    half((minutes * first.low) / (first.low + last.low)),
  );
  const resting = Math.min(shareOf(minutes, last), minutes - arrive);
  const counter = counterMinutes(families);
  const release = minutes < parts.release.from ? 0 : shareOf(minutes, parts.release);
  const fixed = arrive + resting + release;
  const leastMinutes =
    fixed + counter + parts.leastDrills + parts.settle + roundsTake(parts.leastRounds, input);
  let { rounds } = input;
  let left = minutes - fixed - counter - parts.settle;
  while (rounds > 0 && left - roundsTake(rounds, input) < parts.leastDrills) rounds -= 1;
  const looks = input.isLooking ? parts.looking : parts.checks;
  // Where little is known, knowing comes before a third round.
  const leastLooks = input.isLooking ? parts.leastDrills + looks.low : 0;
  while (rounds > parts.leastRounds && left - roundsTake(rounds, input) < leastLooks) rounds -= 1;
  // One round alone is no practice: then the minutes go to the drills.
  if (rounds < parts.leastRounds && input.rounds >= parts.leastRounds) rounds = 0;
  // Without holds there is nothing to answer.
  if (rounds === 0) left += counter + parts.settle;
  left -= roundsTake(rounds, input);
  // Fewer looks before none.
  const forLooks = Math.min(
    shareOf(minutes, looks),
    Math.floor(2 * (left - parts.leastDrills)) / 2,
  );
  const checks = forLooks >= looks.low ? forLooks : 0;
  // Never rounded up: the lines add up to the class.
  const drills = clamp(
    Math.floor(2 * (left - checks)) / 2,
    0,
    mostDrills(left - checks, rounds, input),
  );
  return {
    arrive,
    rest: resting,
    counter: rounds === 0 ? 0 : counter,
    release,
    rounds,
    checks,
    drills,
    settle: rounds === 0 ? 0 : parts.settle,
    leastMinutes,
  };
}

/** Half minutes of settling worth trying, so that as many as can are fit for the first round. */
export const settleSteps: readonly number[] = Array.from(
  { length: (parts.mostSettle - parts.settle) * 2 + 1 },
  (_, index) => parts.settle + index / 2,
);
