import { sayDose } from '../catalog/dose';
import fc from 'fast-check';
import { resolveBody } from '../body/body';
import { cautionIds, type CautionId } from '../catalog/cautions';
import { drillTable, type DrillSpec } from '../catalog/drills';
import { pieceIds } from '../catalog/pieces';
import { shippedSchool } from '../catalog/school';
import { ladderIds } from '../catalog/stage';
import { noCare, type Care } from '../caution/care';
import { evaluateCautions } from '../caution/evaluate';
import { openCase, type PersonCase } from '../ladder/case';
import type { CheckRecord, Evidence } from '../readiness/record';
import { everything } from '../testing/cases';
import { findStandIn, usualHousehold } from './household';
import { homeRule } from './homeItem';
import { planHomePractice } from './homePractice';

const asOf = '2026-11-19';
const school = shippedSchool('prop-led');
const body = resolveBody({ heightM: 1.7 });

const makePerson = (more: Partial<PersonCase> = {}) =>
  openCase({
    asOf,
    school,
    evidence: {},
    care: noCare,
    consent: 'yes',
    present: { 'forearm-stand': 'FS7' },
    equipment: [],
    ...more,
  });

const plan = (more: Partial<PersonCase> = {}) =>
  planHomePractice(makePerson(more), { body }, ['forearm-stand'], usualHousehold);

const drills: Readonly<Record<string, DrillSpec | undefined>> = drillTable;

const hold = (value: number, more: Partial<CheckRecord> = {}): CheckRecord => ({
  date: '2026-11-12',
  value,
  ...more,
});

describe('a dose', () => {
  it('is sets at about two thirds of what was held', () => {
    const evidence: Evidence = {
      'dolphin-hold': [hold(30), hold(30, { date: '2026-11-18' })],
      'forearm-plank-hold': [hold(60), hold(60, { date: '2026-11-18' })],
    };
    const item = plan({ evidence }).items.find(({ id }) => id === 'dolphin-hold')!;
    const seconds = Number(/× (\d+) s/.exec(item.dose)![1]);
    expect(seconds / 30).toBeGreaterThanOrEqual(0.6);
    expect(seconds / 30).toBeLessThanOrEqual(0.7);
    expect(item.days).toBe(homeRule.daysStrength);
  });

  const three = (value: number) =>
    ['2026-11-16', '2026-11-17', '2026-11-18'].map((date) => hold(value, { date }));

  it('never goes over what was held, however little that is', () => {
    const { items } = plan({
      evidence: { 'forearm-plank-hold': three(3) },
      present: { 'forearm-stand': 'FS4' },
    });
    const item = items.find(({ id }) => id === 'forearm-plank-hold')!;
    expect(Number(/× (\d+) s/.exec(item.dose)![1])).toBeLessThanOrEqual(3);
  });

  it('holds a drill’s own hold as long as this person can, and no longer than the drill says', () => {
    const dose = (seconds: number) =>
      plan({
        evidence: { ...everything, 'wall-hold': [], 'hollow-hold': three(seconds) },
        present: { 'forearm-stand': 'FS10' },
      }).items.find(({ id }) => id === 'hollow')!.dose;
    const weak = Number(/^5 × (\d+) s/.exec(dose(20))![1]);
    expect(weak / 20).toBeGreaterThanOrEqual(0.6);
    expect(weak / 20).toBeLessThanOrEqual(0.7);
    expect(dose(90)).toBe(sayDose(drillTable.hollow.dose));
  });

  it('puts the weaker side first when it is under eight tenths of the other', () => {
    const sides = (left: number, right: number): Evidence => ({
      'dolphin-hold': [hold(60), hold(60, { date: '2026-11-18' })],
      'dolphin-one-leg': [
        hold(left, { side: 'left' }),
        hold(right, { side: 'right' }),
        hold(left, { side: 'left', date: '2026-11-18' }),
        hold(right, { side: 'right', date: '2026-11-18' }),
      ],
    });
    const first = (evidence: Evidence) =>
      plan({ evidence, present: { 'forearm-stand': 'FS8' } }).items.find(
        ({ id }) => id === 'dolphin-one-leg',
      )?.firstSide;
    expect(first(sides(5, 12))).toBe('left');
    expect(first(sides(12, 5))).toBe('right');
    expect(first(sides(10, 11))).toBeUndefined();
  });
});

describe('what is never sent home', () => {
  it('is anything that loads the neck, whatever is weak', () => {
    for (const family of ladderIds) {
      const { items } = planHomePractice(
        makePerson({ present: { headstand: 'HS4', 'shoulder-stand': 'SS5' } }),
        { body },
        [family],
        usualHousehold,
      );
      expect(items.map(({ id }) => id)).not.toContain('crown-roll');
      expect(items.length).toBeGreaterThanOrEqual(homeRule.least);
      expect(items.length).toBeLessThanOrEqual(homeRule.most);
    }
  });

  it('is the next stage, and one at the wall whose way down is not sure; each with why', () => {
    const { notAlone } = plan({ present: { 'forearm-stand': 'FS8' } });
    expect(notAlone.map(({ stage }) => stage)).toEqual(['FS8', 'FS9']);
    expect(notAlone.find(({ stage }) => stage === 'FS8')!.why).toMatch(/way down/);
    expect(notAlone.find(({ stage }) => stage === 'FS9')!.why).toMatch(/first in class/);
  });

  it('is a kick at the wall until its way down was seen under control', () => {
    const exits = (count: number): Evidence => ({
      ...everything,
      'controlled-exit': Array.from({ length: count }, (_, index) => ({
        date: `2026-11-${10 + index * 3}`,
        value: 1,
        base: 'forearms' as const,
      })),
    });
    const present = { 'forearm-stand': 'FS11' } as const;
    const stages = (evidence: Evidence) => plan({ present, evidence });
    expect(stages({}).notAlone.map(({ stage }) => stage)).toContain('FS11');
    // Its way down alone is not enough where class would not open it.
    const bare = { 'controlled-exit': exits(3)['controlled-exit']! };
    const early = plan({ present: { 'forearm-stand': 'FS10' }, evidence: bare });
    expect(early.items.map(({ id }) => id)).not.toContain('FS10');
    expect(early.notAlone.map(({ stage }) => stage)).toContain('FS10');
    const kick = plan({ present: { 'forearm-stand': 'FS10' }, evidence: exits(3) });
    const wall = kick.items.find(({ id }) => id === 'FS10')!;
    expect(wall.wall!.metres).toBeCloseTo(0.05 + 1.7 * (0.108 + 0.146), 3);
    expect(kick.notAlone.map(({ stage }) => stage)).not.toContain('FS10');
    const unsure = plan({ present: { 'forearm-stand': 'FS10' }, evidence: exits(2) });
    expect(unsure.items.map(({ id }) => id)).not.toContain('FS10');
    expect(unsure.notAlone.map(({ stage }) => stage)).toContain('FS10');
  });

  it('is anything that a caution, pain or a stop sign closes', () => {
    fc.assert(
      fc.property(fc.subarray([...cautionIds]), (reports: CautionId[]) => {
        const care: Care = { ...noCare, reports };
        for (const { id } of plan({ care }).items) {
          const drill = drills[id];
          if (drill === undefined) continue;
          expect(
            evaluateCautions(care, { columns: drill.columns, isNew: false }, asOf).isOpen,
          ).toBe(true);
        }
      }),
    );
    const sore = plan({ care: { ...noCare, pains: [{ place: 'shoulder', date: asOf }] } });
    for (const { id } of sore.items) {
      expect(drills[id]?.loads.shoulder ?? 0).toBe(0);
    }
    const signed = plan({ care: { ...noCare, signs: [{ sign: 'tingling', date: asOf }] } });
    expect(signed.items.map(({ id }) => id)).toEqual(['calves-on-chair']);
    expect(signed.instead).toMatch(/clinician/);
  });
});

describe('a household', () => {
  it('piles hard books as high as a block lies, through the stack solver', () => {
    const pile = findStandIn('foam-block', 1, usualHousehold)!;
    expect(Math.abs(pile.heightM! - 0.097)).toBeLessThanOrEqual(0.01);
    expect(pile.words).toMatch(/hard books/);
    const two = findStandIn('foam-block', 2, usualHousehold)!;
    expect(two.layers!.reduce((sum, { count }) => sum + count, 0)).toBeLessThanOrEqual(7);
  });

  it('has nothing for a block without books, and words for a strap', () => {
    expect(findStandIn('foam-block', 1, [{ piece: 'cushion', count: 3 }])).toBeNull();
    expect(findStandIn('strap-180', 1, usualHousehold)!.words).toMatch(/belt/);
    expect(findStandIn('bench', 1, usualHousehold)!.words).toMatch(/sofa/);
  });

  it('has an answer for every piece that ships', () => {
    for (const piece of pieceIds) {
      const found = findStandIn(piece, 1, usualHousehold);
      expect(found?.words.length ?? 0).toBeGreaterThan(3);
      expect(found?.words).not.toContain(piece.includes('-') ? piece : '?');
    }
  });

  it('gets no drill whose pieces it cannot make', () => {
    const bare = planHomePractice(makePerson(), { body }, ['forearm-stand'], []);
    for (const { standIns } of bare.items) {
      expect(standIns.every(({ heightM }) => heightM === undefined)).toBe(true);
    }
  });
});
