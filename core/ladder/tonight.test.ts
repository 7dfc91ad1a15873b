import fc from 'fast-check';
import { shippedSchool } from '../catalog/school';
import type { Evidence } from '../readiness/record';
import { ago, everything, makeCase, twice } from '../testing/cases';
import { openCase } from './case';
import { compareSchools } from './compare';
import { buildSchool } from '../catalog/school';
import { countOpen, findStand, findStands, listNext } from './stand';
import { planChecks } from './checkPlan';
import { rankChecks } from './tonight';

const present = { 'forearm-stand': 'FS9' } as const;
const almost: Evidence = { ...everything, 'dolphin-push-ups': twice(4) };

describe('a stand on the ladder', () => {
  it('looks at the next rung of the main line; side lines are named beside it', () => {
    const stand = findStand('headstand', makeCase({ present: { headstand: 'HS1' } }));
    expect(stand.next?.stage).toBe('HS2');
    expect(stand.asides).toEqual(['HS-a', 'HS-b']);
    expect(findStand('handstand', makeCase({ present: { handstand: 'HB11' } })).next?.stage).toBe(
      'HB13',
    );
  });

  it('begins at the foot for who was never placed, and ends at the top', () => {
    const stands = findStands(makeCase());
    expect(stands.map(({ next }) => next?.stage)).toEqual(['FS1', 'HS1', 'HB1', 'SS1', 'CR1']);
    expect(
      findStand('forearm-stand', makeCase({ present: { 'forearm-stand': 'FS14' } })).next,
    ).toBeNull();
  });

  it('goes on along the line somebody left for a side line', () => {
    const stand = findStand('handstand', makeCase({ present: { handstand: 'HB12' } }));
    expect(stand.next?.stage).toBe('HB13');
    expect(findStand('handstand', makeCase({ present: { handstand: 'HB14' } })).next?.stage).toBe(
      'HB15',
    );
  });

  it('leaves out what the profile closes', () => {
    const at = (profile: 'strength-led' | 'play-led') =>
      listNext(makeCase({ profile, present: { headstand: 'HS7' } }), 'headstand');
    expect(at('strength-led')).toEqual(['HS8']);
    expect(at('play-led')).toEqual(['HS8', 'HS-w']);
  });

  it('counts the open rungs', () => {
    expect(countOpen('forearm-stand', makeCase())).toBe(14);
    expect(countOpen('forearm-stand', makeCase({ care: { reports: ['osteoporosis'] } }))).toBe(7);
  });
});

describe('what to look at tonight', () => {
  it('wants the one check that stands in the way, and says for what', () => {
    const [first] = rankChecks(makeCase({ evidence: almost, present }));
    expect(first!.check).toBe('dolphin-push-ups');
    expect(first!.stages).toEqual(['FS10']);
    expect(first!.why).toContain('kick to the wall');
    expect(first!.chance).toBeGreaterThan(0.1);
  });

  it('shares a rung out among the checks that keep it closed', () => {
    const two: Evidence = { ...almost, 'dolphin-one-leg': twice(13) };
    const gain = (evidence: Evidence) =>
      rankChecks(makeCase({ evidence, present })).find(({ check }) => check === 'dolphin-push-ups')!
        .gain;
    expect(gain(two)).toBeCloseTo(gain(almost) / 2, 9);
  });

  it('is not interested in what is far away, nor in ladders never begun', () => {
    const far: Evidence = {
      ...everything,
      'dolphin-hold': Array.from({ length: 12 }, (_, i) => ({ date: ago(7 * (12 - i)), value: 5 })),
    };
    const worth = rankChecks(makeCase({ evidence: far, present: { 'forearm-stand': 'FS7' } }));
    expect(worth.find(({ check }) => check === 'dolphin-hold')?.gain ?? 0).toBeLessThan(0.01);
    expect(rankChecks(makeCase({ evidence: {} }))).toEqual([]);
  });

  it('looks again at what will be stale next week, and at nothing that is fresh', () => {
    const ageing: Evidence = {
      ...everything,
      'dolphin-push-ups': [35, 25].map((d) => ({ date: ago(d), value: 25 })),
    };
    expect(rankChecks(makeCase({ evidence: ageing, present })).map(({ check }) => check)).toContain(
      'dolphin-push-ups',
    );
    expect(rankChecks(makeCase({ evidence: everything, present }))).toEqual([]);
  });

  it('asks nothing of who is stopped', () => {
    expect(rankChecks(makeCase({ evidence: almost, present, care: { reports: ['eye'] } }))).toEqual(
      [],
    );
  });

  const school = shippedSchool('prop-led');
  const group = (evidences: readonly Evidence[]) =>
    evidences.map((evidence, index) => ({
      id: index + 1,
      ranked: rankChecks(makeCase({ evidence, present })),
    }));

  it('says on which base a check is taken that is kept apart by base', () => {
    const unsure: Evidence = { ...everything, confidence: [] };
    const { slots } = planChecks(school, group([unsure, unsure]), 8);
    const asked = slots.find(({ check }) => check === 'confidence');
    expect(asked).toMatchObject({ base: 'forearms' });
    expect(asked!.label).toMatch(/, on the forearms$/);
    expect(slots.every(({ base, label }) => (base !== undefined) === / on the /.test(label))).toBe(
      true,
    );
  });

  it('times one hold for everyone it serves', () => {
    const low: Evidence = { ...everything, 'dolphin-hold': twice(42) };
    const { slots, minutesUsed } = planChecks(school, group([low, low, low]), 8);
    expect(slots[0]).toMatchObject({ check: 'dolphin-hold', isTogether: true });
    expect(slots[0]!.people).toHaveLength(3);
    expect(minutesUsed).toBeLessThanOrEqual(8);
    expect(minutesUsed).toBeCloseTo(1 + (1.35 * 45) / 60, 6);
  });

  it('never plans more minutes than there are, and the best first', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({ p: fc.integer({ min: 1, max: 8 }), h: fc.integer({ min: 20, max: 60 }) }),
          { minLength: 1, maxLength: 6 },
        ),
        fc.integer({ min: 0, max: 12 }),
        (people, minutes) => {
          const { slots, minutesUsed } = planChecks(
            school,
            group(
              people.map(({ p, h }) => ({
                ...everything,
                'dolphin-push-ups': twice(p),
                'dolphin-hold': twice(h),
              })),
            ),
            minutes,
          );
          expect(minutesUsed).toBeLessThanOrEqual(minutes + 1e-9);
          expect(slots.map(({ gain }) => gain)).toEqual(
            slots.map(({ gain }) => gain).sort((a, b) => b - a),
          );
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('what would change for whom', () => {
  it('names the verdicts a lower bar turns, and nobody else’s', () => {
    const before = shippedSchool('prop-led');
    const after = buildSchool({
      key: 'own-1',
      label: 'x',
      origin: 'prop-led',
      version: 1,
      changes: { bars: { 'dolphin-push-ups': 3 } },
    });
    const person = (evidence: Evidence) => {
      const { school: _, ...rest } = makeCase({ evidence, present });
      return rest;
    };
    const changes = compareSchools(
      [
        { id: 1, person: person(almost) },
        { id: 2, person: person(everything) },
      ],
      before,
      after,
    );
    expect(changes).toEqual([
      expect.objectContaining({ personId: 1, stage: 'FS10', after: 'advance' }),
    ]);
    expect(compareSchools([{ id: 1, person: person(almost) }], before, before)).toEqual([]);
    expect(openCase(makeCase({ evidence: almost })).pains).toEqual([]);
  });
});
