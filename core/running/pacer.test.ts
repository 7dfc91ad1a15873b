import { breaths, seconds, times } from '../catalog/dose';
import { listDosePace, listPace, paceAt, paceSeconds } from './pacer';

describe('the pacer', () => {
  it('counts breaths, in for the first half and out for the second', () => {
    const steps = listPace({ kind: 'breaths', breaths: 5 }, 6);
    const at = (seconds: number) => paceAt(steps, seconds, 6);
    expect(paceSeconds(steps)).toBe(30);
    expect(at(0)).toMatchObject({ breath: 1, phase: 'in', fullness: 0, breathsOfStep: 5 });
    expect(at(3)).toMatchObject({ breath: 1, phase: 'out', fullness: 1 });
    expect(at(13.5)).toMatchObject({ breath: 3, phase: 'in', fullness: 0.5, leftSeconds: 16.5 });
    expect(at(29.9).isOver).toBe(false);
    expect(at(31)).toMatchObject({ isOver: true, breath: 5, leftSeconds: 0 });
  });

  it('builds three, two, one, with a breath between and none at the end', () => {
    const steps = listPace({ kind: 'pyramid', from: 3, breathsEach: 2, breathsHigh: 1 }, 5);
    expect(steps.filter(({ kind }) => kind === 'hold')).toHaveLength(6);
    expect(steps.filter(({ kind }) => kind === 'reset')).toHaveLength(5);
    expect(steps.at(-1)!.kind).toBe('hold');
    expect(paceSeconds(steps)).toBe(6 * 10 + 5 * 5);
    expect(paceAt(steps, 12, 5)).toMatchObject({ index: 1, leftSeconds: 3 });
  });

  it('holds at the top as well: two breaths low, two high, and longer up in three, two, one', () => {
    // Of a dose it is the same: up between the sets, and no rest but that.
    const dosed = listDosePace([breaths(2, 2, { sets: 3, high: 2 })], 5);
    expect(dosed.map(({ kind, label, seconds: long }) => [kind, label, long])).toEqual([
      ['hold', 'Low, set 1 of 3', 10],
      ['hold', 'High, set 1 of 3', 10],
      ['hold', 'Low, set 2 of 3', 10],
      ['hold', 'High, set 2 of 3', 10],
      ['hold', 'Low, set 3 of 3', 10],
      ['hold', 'High, set 3 of 3', 10],
    ]);
    const steps = listPace({ kind: 'low-high', times: 3, breathsLow: 2, breathsHigh: 2 }, 5);
    expect(steps.map(({ kind, label, seconds }) => [kind, label, seconds])).toEqual([
      ['hold', 'Low, 1 of 3', 10],
      ['hold', 'High, 1 of 3', 10],
      ['hold', 'Low, 2 of 3', 10],
      ['hold', 'High, 2 of 3', 10],
      ['hold', 'Low, 3 of 3', 10],
      ['hold', 'High, 3 of 3', 10],
    ]);
    expect(paceAt(steps, 12, 5)).toMatchObject({ index: 1, breath: 1, breathsOfStep: 2 });
    const pyramid = { kind: 'pyramid', from: 3, breathsEach: 2, breathsHigh: 2 } as const;
    const up = listPace(pyramid, 5).filter(({ kind }) => kind === 'reset');
    expect(up.map(({ label, seconds }) => [label, seconds])).toEqual(
      up.map(() => ['Up, 2 breaths', 10]),
    );
  });

  it('runs rounds with resets and stretches breaths to whole ones', () => {
    const steps = listPace({ kind: 'rounds', rounds: 3, holdSeconds: 32, resetSeconds: 20 }, 5);
    expect(steps.map(({ seconds }) => seconds)).toEqual([32, 20, 32, 20, 32]);
    expect(paceAt(steps, 31.9, 5)).toMatchObject({ breath: 6, breathsOfStep: 6, phase: 'out' });
    expect(() => paceAt([], 0, 5)).toThrow(RangeError);
  });

  it('counts repetitions at their own pace, not breaths', () => {
    const [step] = listDosePace([times(10, 10, { of: 'rocks' })], 5);
    const at = (elapsed: number) => paceAt([step!], elapsed, 5);
    expect(at(0)).toMatchObject({ breath: 1, breathsOfStep: 10, phase: 'in' });
    expect(at(4)).toMatchObject({ breath: 2, phase: 'in' });
    expect(at(5)).toMatchObject({ breath: 2, phase: 'out' });
    expect(at(29)).toMatchObject({ breath: 10 });
  });

  it('paces the dose of a line: every set on every side, a change between, the more of a span', () => {
    const steps = listDosePace([breaths(3, 5, { sets: 2, per: 'side' }), seconds(20)], 6);
    expect(steps.map(({ kind, label, seconds: long }) => [kind, label, long])).toEqual([
      ['hold', 'one side, set 1 of 2', 30],
      ['reset', 'Change', 10],
      ['hold', 'one side, set 2 of 2', 30],
      ['reset', 'Change', 10],
      ['hold', 'the other side, set 1 of 2', 30],
      ['reset', 'Change', 10],
      ['hold', 'the other side, set 2 of 2', 30],
      ['reset', 'Change', 10],
      ['hold', 'Go', 20],
    ]);
    expect(paceSeconds(listDosePace([times(10)], 6, 2))).toBe(30 + 10 + 30);
    expect(listDosePace('as they like', 6)).toEqual([]);
    expect(listDosePace([times(4, 5, { per: 'side', of: 'rocks' })], 6)).toMatchObject([
      { label: 'rocks, one side', seconds: 15, times: 5 },
      { label: 'Change' },
      { label: 'rocks, the other side' },
    ]);
    expect(listDosePace([{ hold: true }], 6)).toEqual([]);
  });
});
