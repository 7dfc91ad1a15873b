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

it('says beside its own field that a girth cannot be, and keeps one that can', () => {
  const form = (bellyGirth: string) =>
    readBodyForm(
      { height: '170', mass: '', forearmHands: 'clasped', lengths: { bellyGirth, thigh: '42' } },
      'cm',
    );
  const refused = form('20');
  expect(refused.ok).toBe(false);
  expect(refused).toMatchObject({
    problems: { 'lengths.bellyGirth': expect.stringMatching(/^Belly.*does not fit/) as string },
  });
  const kept = must(form('110'));
  expect(kept.forearmHands).toBe('clasped');
  expect(kept.lengths.map(({ length }) => length).sort()).toEqual(['bellyGirth', 'thigh']);
});
