import { parse } from 'papaparse';
import {
  addPerson,
  fillWithDemo,
  recordForm,
  withThrowawayStudio,
} from '@/features/testing/studio';
import { recordCheck } from '@/features/person/change';
import { readRight, rightCsv } from './right';

withThrowawayStudio();

describe('was it right', () => {
  it('is asked of no course where there is none', () => {
    expect(readRight(undefined)).toBeNull();
  });

  it('counts every look of the made-up course once, and its decisions', () => {
    fillWithDemo();
    const { told, people } = readRight(undefined)!;
    expect(people).toBeGreaterThan(10);
    expect(told.all.count).toBeGreaterThan(100);
    expect(told.checks.reduce((sum, { count }) => sum + count, 0)).toBe(told.all.count);
    expect(told.all.bins.reduce((sum, { count }) => sum + count, 0)).toBe(told.all.count);
    expect(told.all.brier!).toBeGreaterThan(0);
    expect(told.all.brier!).toBeLessThan(1);
  });

  it('leaves out who is not in the course', () => {
    fillWithDemo();
    const before = readRight(undefined)!.told.all.count;
    const stranger = addPerson('Somebody Else');
    recordCheck(stranger, recordForm());
    expect(readRight(undefined)!.told.all.count).toBe(before);
  });

  it('goes out as a table, and no cell of it says who', () => {
    fillWithDemo();
    const { data } = parse<string[]>(rightCsv(readRight(undefined)!));
    expect(data[0]).toContain('expected');
    expect(data.length).toBeGreaterThan(10);
    for (const row of data) expect(row).toHaveLength(data[0]!.length);
  });
});
