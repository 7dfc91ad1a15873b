/** Minutes: whatever is wished, the lines add up to the class. */
import { drillTable, type DrillId } from '../catalog/drills';
import { ladderIds } from '../catalog/stage';
import { seededRandom } from '../random';
import { parts, shareOut, spareChoices, type BudgetInput } from './budget';
import type { DrillStep } from './drillOrder';
import { closeTime, layOutTime } from './timeline';

const ids: readonly DrillId[] = ['blade-circles', 'boat', 'forearm-slide', 'side-plank', 'hollow'];

function invent(seed: number) {
  const random = seededRandom(seed);
  const whole = (low: number, high: number) => low + Math.floor(random() * (high - low + 1));
  const wished: BudgetInput = {
    minutes: 5 * whole(1, 30),
    rounds: whole(0, 5),
    roundMinutes: whole(3, 6),
    resetMinutes: 1.5,
    families: ladderIds.slice(0, whole(1, 3)),
    isLooking: random() < 0.5,
    spare: spareChoices[whole(0, 2)]!,
  };
  const budget = shareOut(wished);
  let left = budget.drills;
  const steps = ids.slice(0, whole(1, 5)).flatMap((drill): DrillStep[] => {
    const spec = drillTable[drill];
    if (spec.minutes > left) return [];
    left -= spec.minutes;
    return [{ kind: 'drill', drill, spec, minutes: spec.minutes, waves: 1 }];
  });
  const input = {
    ...wished,
    budget,
    steps,
    checkMinutes: budget.checks,
    settleMinutes: budget.rounds === 0 ? 0 : 1,
  };
  return { input, items: layOutTime(input) };
}

const halfMinute = 0.5;

/** Of what families something is held: of none without rounds. */
const heldOf = (
  { budget, families }: ReturnType<typeof invent>['input'],
  most = families.length,
) => (budget.rounds === 0 ? [] : families.slice(0, most));

const sum = (items: readonly { readonly minutes: number }[]) =>
  items.reduce((total, { minutes }) => total + minutes, 0);

describe('the running order', () => {
  it('adds up to the class, before and after it is known what is held', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const { input, items } = invent(seed);
      expect([seed, sum(items)]).toEqual([seed, input.minutes]);
      const closed = closeTime(items, heldOf(input, 1), input);
      expect([seed, sum(closed)]).toEqual([seed, input.minutes]);
      closed.forEach(({ startsAt }, at) => expect(startsAt).toBe(sum(closed.slice(0, at))));
    }
  });

  it('never makes a line longer than it may be, nor a rest shorter than five minutes', () => {
    for (let seed = 1; seed <= 300; seed += 1) {
      const { input, items: first } = invent(seed);
      const items = closeTime(first, heldOf(input), input);
      const rest = items.find(({ kind }) => kind === 'rest')!.minutes;
      // Where nobody asked for longer rounds or a long rest, rounds grow before the rest does.
      const mayGrow = input.spare === 'rounds' || (input.spare === 'drills' && rest >= 9.5);
      for (const { kind, drill, minutes } of items) {
        if (kind === 'drill') {
          expect(minutes).toBeLessThanOrEqual(2.5 * drillTable[drill as DrillId].minutes);
        }
        if (kind === 'round') {
          const most = mayGrow ? 1.5 * input.roundMinutes : input.roundMinutes;
          expect([seed, minutes <= most]).toEqual([seed, true]);
        }
      }
      expect(rest).toBeGreaterThanOrEqual(input.minutes < 8 ? 3 : parts.rest.low);
      const rounds = items.filter(({ kind }) => kind === 'round');
      if (
        input.spare === 'rest' ||
        rest <= parts.rest.high + halfMinute * Math.max(1, rounds.length)
      )
        continue;
      // A longer rest than anybody asked for: nothing could have grown.
      for (const { kind, drill, minutes } of items) {
        const { minutes: usual } = drill === undefined ? { minutes } : drillTable[drill as DrillId];
        if (kind === 'round')
          expect(minutes).toBeGreaterThan(1.5 * input.roundMinutes - halfMinute);
        if (kind === 'drill') expect(minutes).toBeGreaterThan(2.5 * usual - halfMinute);
      }
    }
  });

  it('looks before what tires on an evening for looking, and after it otherwise', () => {
    for (let seed = 1; seed <= 100; seed += 1) {
      const { input, items } = invent(seed);
      const checks = items.findIndex(({ kind }) => kind === 'checks');
      const strong = items.findIndex(({ spec }) => spec?.purpose === 'strengthens');
      if (checks < 0 || strong < 0) continue;
      expect([seed, checks < strong]).toEqual([seed, input.isLooking]);
    }
  });

  it('gives up one round alone, unless one alone is wished', () => {
    const ask = (rounds: number, minutes: number) =>
      shareOut({
        minutes,
        rounds,
        roundMinutes: 4,
        resetMinutes: 1.5,
        families: ['forearm-stand'],
      }).rounds;
    expect(ask(3, 75)).toBe(3);
    expect(ask(3, 20)).toBe(0);
    expect(ask(1, 75)).toBe(1);
    expect(ask(0, 75)).toBe(0);
  });
});
