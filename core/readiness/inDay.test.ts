import { compareInDay } from './inDay';
import type { CheckRecord } from './record';

const of = (date: string, value: number, side?: 'left' | 'right'): CheckRecord => ({
  date,
  value,
  ...(side === undefined ? {} : { side }),
});

describe('before and after on one day', () => {
  it('are the first and the last of each side, on the newest day that has both', () => {
    const seen = [
      of('2026-11-01', 70, 'left'),
      of('2026-11-01', 50, 'left'),
      of('2026-11-08', 70, 'left'),
      of('2026-11-08', 65, 'right'),
      of('2026-11-08', 40, 'left'),
      of('2026-11-08', 60, 'left'),
      of('2026-11-15', 80, 'left'),
    ];
    expect(compareInDay(seen)).toEqual([
      { date: '2026-11-08', side: 'left', before: 70, after: 60 },
    ]);
  });

  it('of what counts for both sides are a line of their own', () => {
    const seen = [of('2026-11-08', 70), of('2026-11-08', 60), of('2026-11-08', 50, 'left')];
    expect(compareInDay(seen)).toEqual([{ date: '2026-11-08', side: null, before: 70, after: 60 }]);
  });

  it('are nothing where a day saw it once', () => {
    expect(compareInDay([of('2026-11-08', 70), of('2026-11-09', 60)])).toEqual([]);
    expect(compareInDay([])).toEqual([]);
  });
});
