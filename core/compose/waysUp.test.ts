/** Ways up are different things: each has its own distance, lane, count and gate. Handbook 02, 04. */
import { resolveBody } from '../body/body';
import { wayUpIds } from '../catalog/waysUp';
import type { Evidence } from '../readiness/record';
import { everything, makeCase, twice } from '../testing/cases';
import { keptDistances } from '../setups/registry';
import { listOptions } from './options';

const context = {
  body: resolveBody({ heightM: 1.7 }),
  families: ['handstand'],
  ceilingM: 2.8,
  pieces: [{ piece: 'foam-block', count: 6 }],
} as const;

const hops = (evidence: Evidence = everything, profile: 'prop-led' | 'play-led' = 'prop-led') =>
  listOptions(
    makeCase({ profile, evidence, present: { handstand: 'HB10' } }),
    context,
  ).options.filter(({ stage }) => stage === 'HB10');
const by = (id: string, evidence?: Evidence) => hops(evidence).find(({ wayUp }) => wayUp === id)!;

describe('ways up', () => {
  it('each have their own distance from the wall', () => {
    const hand = context.body.lengths.hand;
    expect(by('straight-leg').baseM).toBeCloseTo(2 * hand + 0.05, 9);
    expect(by('bent-knee').baseM).toBeCloseTo(hand + 0.22, 9);
    expect(by('straddle').baseM).toBeCloseTo(hand + 0.22, 9);
    expect(by('slow-leg').baseM).toBeCloseTo(hand + 0.125, 9);
  });

  it('take the wall that the legs take: about 1.75 m for a straddle at 1.70 m', () => {
    expect(by('straddle').alongM).toBeCloseTo(1.75, 2);
    for (const id of ['straight-leg', 'bent-knee', 'slow-leg']) {
      expect(by(id).alongM).toBeCloseTo(0.86, 9);
    }
  });

  it('have their own counts, and are one thing done again in another way', () => {
    expect(by('bent-knee').tries).toBe(3);
    expect(by('straddle').tries).toBeLessThanOrEqual(4);
    expect(new Set(hops().map(({ same }) => same))).toEqual(new Set(['HB10']));
    expect(new Set(hops().map(({ id }) => id)).size).toBe(hops().length);
  });

  it('do not take over a distance that was found for the usual way', () => {
    const kept = keptDistances([
      { setup: 'hand-kick', distance: 'gap', metres: 0.3, on: '2026-11-01', note: '' },
    ]);
    const found = listOptions(makeCase({ present: { handstand: 'HB10' } }), { ...context, kept });
    const baseOf = (id: string) =>
      found.options.find((one) => one.stage === 'HB10' && one.wayUp === id)!.baseM;
    expect(baseOf('straight-leg')).toBeCloseTo(context.body.lengths.hand + 0.3, 9);
    expect(baseOf('bent-knee')).toBeCloseTo(context.body.lengths.hand + 0.22, 9);
  });

  it('ask for the hollow where the back would take it', () => {
    const weak = { ...everything, 'hollow-hold': twice(3) };
    expect(by('straddle', weak)).toBeUndefined();
    expect(by('bent-knee', weak)).toBeDefined();
  });

  it('come in the order of the school', () => {
    expect(hops()[0]!.wayUp).toBe('straight-leg');
    expect(hops(everything, 'play-led')[0]!.wayUp).toBe('bent-knee');
    expect(wayUpIds).toContain(hops()[0]!.wayUp);
  });
});
