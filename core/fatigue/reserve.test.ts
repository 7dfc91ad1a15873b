import fc from 'fast-check';
import { regions, type Region } from '../catalog/regions';
import { getStage, stageIds } from '../catalog/stages';
import {
  attempt,
  fatigueRule,
  findRefusals,
  freshState,
  mainRegions,
  rest,
  secondsToSpent,
  secondsUntilFit,
  work,
  type FatigueState,
} from './reserve';

const shoulder = (state: FatigueState) => state.shoulder.reserve;
const seconds = fc.double({ min: 0, max: 600, noNaN: true });
const load = fc.double({ min: 0.05, max: 1, noNaN: true });

describe('reserves', () => {
  it('fall at one over the capacity: half of an unknown minute at full load', () => {
    expect(shoulder(work(freshState, { shoulder: 1 }, 30))).toBeCloseTo(0.5, 12);
    expect(shoulder(work(freshState, { shoulder: 1 }, 90))).toBe(0);
  });

  it('scale with the square of the load: half the load lasts four times as long', () => {
    expect(secondsToSpent({}, 'shoulder', 0.5)).toBe(240);
    const dolphin = { shoulder: { seconds: 60, referenceLoad: 0.6 } };
    expect(secondsToSpent(dolphin, 'shoulder', 0.6)).toBe(60);
    expect(secondsToSpent(dolphin, 'shoulder', 1)).toBeCloseTo(21.6, 9);
  });

  it('recover with a time constant of three minutes', () => {
    const tired = work(freshState, { shoulder: 1 }, 60);
    expect(shoulder(rest(tired, 180))).toBeCloseTo(1 - Math.exp(-1), 12);
    expect(shoulder(rest(tired, 1e6))).toBeCloseTo(1, 12);
  });

  it('rest what is not worked, and count the work of what is', () => {
    const state = work(work(freshState, { shoulder: 1 }, 30), { core: 0.5 }, 30);
    expect(state.shoulder.reserve).toBeGreaterThan(0.5);
    expect(state.shoulder.workedSeconds).toBe(30);
    expect(state.core.workedSeconds).toBe(30);
    expect(state.neck).toEqual({ reserve: 1, workedSeconds: 0 });
  });

  it('stay between spent and fresh, whatever is done', () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...regions), load, seconds), { maxLength: 12 }),
        (steps) => {
          const end = steps.reduce(
            (state, [region, much, time]) => work(state, { [region]: much }, time),
            freshState,
          );
          for (const region of regions) {
            expect(end[region].reserve).toBeGreaterThanOrEqual(0);
            expect(end[region].reserve).toBeLessThanOrEqual(1);
          }
        },
      ),
    );
  });

  it('never gain from more work, nor lose from more rest', () => {
    fc.assert(
      fc.property(load, seconds, seconds, (much, first, more) => {
        const once = work(freshState, { core: much }, first);
        expect(work(once, { core: much }, more).core.reserve).toBeLessThanOrEqual(
          once.core.reserve,
        );
        expect(rest(once, more).core.reserve).toBeGreaterThanOrEqual(once.core.reserve - 1e-12);
      }),
    );
  });

  it('are the same whether rest is taken at once or in parts', () => {
    fc.assert(
      fc.property(seconds, seconds, (a, b) => {
        const tired = work(freshState, { hip: 1 }, 50);
        expect(rest(rest(tired, a), b).hip.reserve).toBeCloseTo(rest(tired, a + b).hip.reserve, 9);
      }),
    );
  });
});

describe('attempts', () => {
  const kick = getStage('FS10').loads;

  it('count as eight seconds at full load of what carries them', () => {
    const after = attempt(freshState, kick, 3);
    expect(after.shoulder.reserve).toBeCloseTo(1 - (3 * fatigueRule.attemptSeconds) / 60, 12);
    expect(after.hip.reserve).toBe(1);
  });

  it('are refused cold, allowed warm, refused tired, and allowed again after rest', () => {
    expect(findRefusals(freshState, kick, true).map(({ why }) => why)).toEqual([
      'cold',
      'cold',
      'cold',
    ]);
    expect(findRefusals(freshState, kick, false)).toEqual([]);
    const warm = rest(work(freshState, { shoulder: 0.4, scapula: 0.4, core: 0.4 }, 70), 120);
    expect(findRefusals(warm, kick, true)).toEqual([]);
    const tired = attempt(warm, kick, 6);
    const refusals = findRefusals(tired, kick, false);
    expect(refusals.map(({ why }) => why)).toContain('tired');
    const lowest = Math.min(...mainRegions(kick).map((region: Region) => tired[region].reserve));
    const fit = rest(tired, secondsUntilFit(lowest));
    expect(findRefusals(fit, kick, false)).toEqual([]);
    expect(findRefusals(rest(tired, secondsUntilFit(lowest) - 5), kick, false)).not.toEqual([]);
  });

  it('need no waiting where enough is left', () => {
    expect(secondsUntilFit(0.6)).toBe(0);
    expect(secondsUntilFit(0)).toBeCloseTo(180 * Math.log(1 / 0.4), 9);
  });

  it('know what carries every stage', () => {
    for (const id of stageIds) {
      const { loads } = getStage(id);
      for (const region of mainRegions(loads)) expect(loads[region]).toBeGreaterThan(0);
      expect(mainRegions(loads).length > 0).toBe(Object.keys(loads).length > 0);
    }
  });
});
