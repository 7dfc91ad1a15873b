/** Work and rest inside a round follow the dose and what somebody can bear. Handbook 08. */
import { breaths, seconds, times } from '../catalog/dose';
import { stageIds, stageTable } from '../catalog/stages';
import type { StageSpec } from '../catalog/stage';
import { doseInRound, sayTries } from './roundDose';

const fresh = {};
const weak = { shoulder: { seconds: 12, referenceLoad: 0.6 } };

describe('the dose of a round', () => {
  it('counts a breath as long as the studio does', () => {
    const steps = [breaths(5, 5, { sets: 2 })];
    expect(doseInRound(steps, { shoulder: 0.3 }, fresh, { breathSeconds: 4 }).spans).toEqual([
      20, 20,
    ]);
    expect(doseInRound(steps, { shoulder: 0.3 }, fresh, { breathSeconds: 8 }).spans).toEqual([
      40, 40,
    ]);
  });

  it('is what the shape asks of whoever can bear it', () => {
    expect(doseInRound([breaths(5, 5, { sets: 2 })], { shoulder: 0.3 }, fresh)).toEqual({
      words: '2 × 5 breaths',
      work: { sets: 2, seconds: 25 },
      spans: [25, 25],
    });
    // Held on each side first, then counted on each: no set is as long as another.
    const mixed = [breaths(5, 5, { per: 'side' }), times(3, 4, { per: 'side' })];
    expect(doseInRound(mixed, { core: 0.5 }, fresh).spans).toEqual([25, 25, 12, 12]);
    expect(doseInRound([times(3, 3, { per: 'side' })], { core: 0.5 }, fresh).work).toEqual({
      sets: 2,
      seconds: 9,
    });
  });

  it('gives the more of what is led by the breath to whoever can bear it, and the least to all', () => {
    const rocks = [times(5, 10, { of: 'rocks', breathsEach: 2 })];
    const loads = { shoulder: 0.6 };
    const strong = { shoulder: { seconds: 200, referenceLoad: 0.6 } };
    const able = { shoulder: { seconds: 110, referenceLoad: 0.6 } };
    expect(doseInRound(rocks, loads, strong)).toMatchObject({
      words: '5–10 rocks',
      spans: [100],
    });
    expect(doseInRound(rocks, loads, able).words).toBe('5–7 rocks');
    expect(doseInRound(rocks, loads, weak)).toMatchObject({ words: '5 rocks', spans: [50] });
    // A short movement is counted as it is asked.
    expect(doseInRound([times(5, 10)], loads, weak).words).toBe('5–10 times');
  });

  it('begins with a few breaths where the hold was never timed, and asks no more of whoever has less', () => {
    const steps = [seconds(60, { sets: 2, held: 'dolphin-hold' })];
    const loads = { shoulder: 0.6 };
    const isTimed = (held: string) => held !== 'dolphin-hold';
    expect(doseInRound(steps, loads, fresh).words).toBe('2 × 60 s');
    expect(doseInRound(steps, loads, fresh, { isTimed }).words).toBe('2 × 25 s');
    expect(doseInRound(steps, loads, weak, { isTimed }).words).toBe('2 × 7 s');
    expect(doseInRound(steps, loads, fresh, { isTimed, breathSeconds: 4 }).words).toBe('2 × 20 s');
    // What is short anyhow stays as it is, and so does what is a hold of something timed.
    const brief = [seconds(6, { sets: 2, held: 'dolphin-hold' })];
    expect(doseInRound(brief, loads, fresh, { isTimed }).words).toBe('2 × 6 s');
    expect(doseInRound([seconds(30, { held: 'hollow-hold' })], {}, fresh, { isTimed }).words).toBe(
      '30 s',
    );
  });

  it('is no more than two thirds of what somebody can hold, and never nothing', () => {
    const { words, work } = doseInRound([breaths(5, 5, { sets: 2 })], { shoulder: 0.6 }, weak);
    expect(words).toBe('2 × 1 breath');
    expect(work).toEqual({ sets: 2, seconds: 5 });
    expect(doseInRound([seconds(60)], { shoulder: 0.6 }, weak).words).toBe('7 s');
  });

  it('is the round itself for what is lain in', () => {
    expect(doseInRound([{ hold: true }], {}, fresh).words).toBe('the whole round');
  });

  it('counts tries', () => {
    expect([sayTries(1), sayTries(4)]).toEqual(['1 try', '4 tries']);
  });

  it('stands on every shipped stage that is not tried', () => {
    const without = stageIds.filter((id) => {
      const spec: StageSpec = stageTable[id];
      return spec.isAttempt !== true && spec.round === undefined;
    });
    expect(without).toEqual([]);
  });
});
