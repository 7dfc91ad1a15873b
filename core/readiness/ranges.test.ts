import { shippedSchool } from '../catalog/school';
import { measuredRanges } from './ranges';
import type { CheckRecord } from './record';

const school = shippedSchool('prop-led');
const asOf = '2026-11-25';
const record = (value: number, more: Partial<CheckRecord> = {}): CheckRecord => ({
  date: '2026-11-10',
  value,
  ...more,
});
const legs = (...records: CheckRecord[]) =>
  measuredRanges({ 'straight-leg-raise': records }, school, asOf).straightLegRaiseDeg;
const shoulders = (...records: CheckRecord[]) =>
  measuredRanges({ 'shoulder-flexion': records }, school, asOf).shoulderFlexionDeg;

describe('ranges from the records', () => {
  it('are the newest reading, of two sides the stiffer', () => {
    expect(legs()).toBeUndefined();
    expect(legs(record(60), record(72))).toBe(72);
    expect(legs(record(80, { side: 'left' }), record(65, { side: 'right' }))).toBe(65);
    expect(legs(record(65, { side: 'right' }), record(80))).toBe(80);
  });

  it('count as long as their check does', () => {
    expect(legs(record(60, { date: '2026-08-27' }))).toBe(60);
    expect(legs(record(60, { date: '2026-08-26' }))).toBeUndefined();
  });

  it('are read of the wrists as well, the stiffer side first', () => {
    const wrists = (...records: CheckRecord[]) =>
      measuredRanges({ 'wrist-extension': records }, school, asOf).wristExtensionDeg;
    expect(wrists(record(85, { side: 'left' }), record(70, { side: 'right' }))).toBe(70);
    expect(wrists(record(70, { pain: true }))).toBeUndefined();
  });

  it('leave out what was reached by arching, or with pain', () => {
    expect(shoulders(record(150), record(178, { faults: ['ribs-flare'] }))).toBe(150);
    expect(shoulders(record(178, { pain: true }))).toBeUndefined();
  });
});
