import { shippedSchool } from '@/core/catalog/school';
import { asSeenChecks, countSeen } from './seenInTries';

const one = (date: string, change: object = {}) => ({
  date,
  reached: true,
  landing: null,
  wayUp: null,
  support: null,
  faults: [],
  liftS: null,
  exitS: null,
  ...change,
});

describe('what was seen in tries', () => {
  const seen = countSeen(
    [
      one('2026-11-05', {
        faults: ['swing-kick'],
        support: 'block',
        landing: 'soft',
        wayUp: 'straight-leg',
        liftS: 2,
        exitS: 2.5,
      }),
      one('2026-11-05', {
        faults: ['swing-kick', 'knee-bends'],
        reached: false,
        wayUp: 'straight-leg',
        support: 'block',
        liftS: 3,
        exitS: 1,
      }),
      one('2026-11-12', {
        faults: ['swing-kick'],
        support: 'free',
        landing: 'heavy',
        liftS: 2,
        wayUp: 'tuck',
      }),
      one('2026-11-12'),
      one('2026-09-01', { faults: ['head-touches'] }),
    ],
    ['2026-11-05', '2026-11-12'],
  );

  it('counts each fault evening by evening, the commonest first', () => {
    expect(seen.tries).toEqual([2, 2]);
    expect(seen.faults.map(({ fault, counts, of }) => [fault, counts, of])).toEqual([
      ['swing-kick', [2, 1], [2, 2]],
      ['knee-bends', [1, 0], [2, 2]],
    ]);
  });

  it('keeps the ways up apart', () => {
    expect(seen.ways).toEqual([
      { wayUp: 'straight-leg', tries: 2, reached: 1 },
      { wayUp: 'tuck', tries: 1, reached: 1 },
    ]);
  });

  it('sets tries with a prop against tries without', () => {
    expect(seen.supports).toEqual([
      { support: 'block', tries: 2, reached: 1, soft: 1, landings: 1, timed: 2, asSlow: 1 },
      { support: 'free', tries: 1, reached: 1, soft: 0, landings: 1, timed: 0, asSlow: 0 },
    ]);
  });

  it('counts the faults of checks among those that they speak of', () => {
    const { checks } = shippedSchool('prop-led');
    const records = [
      { date: '2026-11-05', check: 'forearm-plank-hold', faults: ['sag'] },
      { date: '2026-11-05', check: 'plank-hold', faults: [] },
      { date: '2026-11-05', check: 'hollow-hold' },
      { date: '2026-11-12', check: 'plank-hold', faults: ['shrug', 'strain-in-face'] },
      { date: '2026-08-01', check: 'plank-hold', faults: ['sag'] },
    ] as const;
    const { inChecks } = countSeen([], ['2026-11-05', '2026-11-12'], asSeenChecks(records, checks));
    expect(inChecks.map(({ fault, counts, of }) => [fault, counts, of])).toEqual([
      ['sag', [1, 0], [2, 1]],
      ['shrug', [0, 1], [1, 1]],
      // Tapped, though no check asks for it.
      ['strain-in-face', [0, 1], [0, 1]],
    ]);
  });
});
