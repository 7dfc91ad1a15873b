import { getCheck, type CheckId } from '@/core/catalog/checks';
import { cautionIds } from '@/core/catalog/cautions';
import { resolveBody } from '@/core/body/body';
import { daysBetween } from '@/core/units/day';
import { comingThursday } from './course';
import { demoPeople } from './people';
import { normalDraw, seededRandom } from './random';
import { demoRecords } from './records';

const lastMeeting = '2026-11-19';
const all = (seed: number) => {
  const random = seededRandom(seed);
  return demoPeople.map((person) => demoRecords(person, lastMeeting, random));
};

describe('the demo course', () => {
  it('is the same for the same seed, and another for another', () => {
    expect(all(7)).toEqual(all(7));
    expect(all(7)).not.toEqual(all(8));
  });

  it('counts its dates back from the last meeting, every one a Thursday, none ahead', () => {
    for (const record of all(7).flat()) {
      const ago = daysBetween(record.date, lastMeeting);
      expect(ago).toBeGreaterThanOrEqual(0);
      expect(ago).toBeLessThanOrEqual(49);
      expect(ago % 7).toBe(0);
    }
    expect(comingThursday('2026-11-19')).toBe('2026-11-19');
    expect(comingThursday('2026-11-20')).toBe('2026-11-26');
    expect(comingThursday('2026-11-25')).toBe('2026-11-26');
  });

  it('holds noise, holds that were stopped, faults, pain, sides, and values one could record', () => {
    const records = all(7).flat();
    expect(records.some(({ stoppedByTeacher }) => stoppedByTeacher)).toBe(true);
    expect(records.some(({ faults }) => faults.length > 0)).toBe(true);
    expect(records.some(({ pain }) => pain)).toBe(true);
    expect(new Set(records.map(({ side }) => side))).toEqual(new Set([null, 'left', 'right']));
    for (const { check, value } of records) {
      expect(value).toBeGreaterThanOrEqual(0);
      expect(value).toBeLessThanOrEqual(getCheck(check as CheckId).most);
    }
  });

  it('has fourteen people of real variety whose bodies can be', () => {
    expect(demoPeople).toHaveLength(14);
    expect(new Set(demoPeople.map(({ name }) => name)).size).toBe(14);
    const heights = demoPeople.map(({ heightM }) => heightM);
    expect(Math.max(...heights) - Math.min(...heights)).toBeGreaterThan(0.3);
    for (const person of demoPeople) {
      expect(() => resolveBody(person)).not.toThrow();
      for (const caution of person.cautions ?? []) expect(cautionIds).toContain(caution);
    }
    expect(new Set(demoPeople.map(({ consent }) => consent)).size).toBe(3);
  });

  it('draws normal numbers around nothing with a spread of one', () => {
    const random = seededRandom(3);
    const draws = Array.from({ length: 4000 }, () => normalDraw(random));
    const mean = draws.reduce((sum, x) => sum + x, 0) / draws.length;
    const variance = draws.reduce((sum, x) => sum + (x - mean) ** 2, 0) / draws.length;
    expect(Math.abs(mean)).toBeLessThan(0.06);
    expect(variance).toBeCloseTo(1, 1);
  });
});
