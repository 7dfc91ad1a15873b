import { must } from '@/features/testing/studio';
import { readBodyForm, readHeight } from './bodyForm';

it('keeps a height in the unit that it was read in', () => {
  expect(must(readHeight('168', 'in')).heightTyped).toBe('168 cm');
  expect(must(readHeight('1.68', 'in')).heightTyped).toBe('1.68 m');
  expect(must(readHeight('66', 'in')).heightTyped).toBe('66 in');
  expect(must(readHeight('1m68', 'in')).heightTyped).toBe('1m68');
  expect(
    must(readBodyForm({ height: '168', mass: '', forearmHands: '' as const, lengths: {} }, 'in'))
      .heightM,
  ).toBeCloseTo(1.68, 9);
});
