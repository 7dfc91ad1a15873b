import fc from 'fast-check';
import { shippedSchool } from '../catalog/school';
import { ago, asOf } from '../testing/cases';
import { createAssessor } from './assess';
import { forecast } from './forecast';
import type { CheckRecord } from './record';

const look = (records: readonly CheckRecord[]) => {
  const assessor = createAssessor({
    school: shippedSchool('prop-led'),
    asOf,
    evidence: { 'dolphin-hold': records },
  });
  return forecast(assessor.histories('dolphin-hold')[0]!, { check: 'dolphin-hold' });
};
/** Weekly meetings, newest last week, growing by so much a week on the log scale. */
const weekly = (weeks: number, newest: number, growth: number): CheckRecord[] =>
  Array.from({ length: weeks }, (_, i) => ({
    date: ago(7 * (weeks - i)),
    value: newest * Math.exp(-growth * (weeks - 1 - i)),
  }));

describe('looking ahead', () => {
  it('gives a span of days where the trend is plain', () => {
    const seen = look(weekly(9, 34, 0.09));
    expect(seen).toMatchObject({ kind: 'span', meetings: 9 });
    if (seen.kind !== 'span') throw new Error('no span');
    expect(seen.toDays).toBeGreaterThan(seen.fromDays);
    // By hand: 34 s a week ago rising 9 % a week needs ln(40.5/34) + 0.84 x 0.2 = 0.34, near four weeks.
    expect(seen.fromDays).toBeLessThan(28);
    expect(seen.toDays).toBeGreaterThan(14);
  });

  it('says it is there when tonight is likely enough', () => {
    expect(look(weekly(5, 70, 0.02))).toEqual({ kind: 'there' });
  });

  it('gives none with fewer than three meetings in ten weeks', () => {
    expect(look(weekly(2, 30, 0.3))).toEqual({ kind: 'none', why: 'too-few-meetings' });
    const old = weekly(9, 30, 0.1).map((record, i) => ({ ...record, date: ago(200 - i) }));
    expect(look([...old, ...weekly(2, 31, 0)])).toEqual({ kind: 'none', why: 'too-few-meetings' });
    expect(look([])).toEqual({ kind: 'none', why: 'too-few-meetings' });
  });

  it('gives none where the sign of the slope is uncertain or falling', () => {
    expect(look(weekly(6, 25, 0))).toEqual({ kind: 'none', why: 'not-rising' });
    expect(look(weekly(8, 20, -0.1))).toEqual({ kind: 'none', why: 'not-rising' });
  });

  it('gives none where the span would be over twelve weeks', () => {
    expect(look(weekly(10, 12, 0.05))).toMatchObject({ kind: 'none' });
  });

  it('does not count voided holds, and several of a day once', () => {
    const voided = weekly(4, 30, 0.1).map((record) => ({
      ...record,
      faults: ['elbows-slide' as const],
    }));
    expect(look(voided)).toEqual({ kind: 'none', why: 'too-few-meetings' });
    const sameDay = [30, 31, 33].map((value) => ({ date: ago(7), value }));
    expect(look(sameDay)).toEqual({ kind: 'none', why: 'too-few-meetings' });
  });

  it('never names a span that ends before it begins, lies in the past or is over twelve weeks', () => {
    const values = fc.array(fc.double({ min: 3, max: 60, noNaN: true }), {
      minLength: 0,
      maxLength: 10,
    });
    fc.assert(
      fc.property(values, (list) => {
        const seen = look(list.map((value, i) => ({ date: ago(7 * (list.length - i)), value })));
        if (seen.kind !== 'span') return;
        expect(seen.fromDays).toBeGreaterThanOrEqual(0);
        expect(seen.toDays).toBeGreaterThan(seen.fromDays);
        expect(seen.toDays - seen.fromDays).toBeLessThanOrEqual(84);
      }),
    );
  });
});
