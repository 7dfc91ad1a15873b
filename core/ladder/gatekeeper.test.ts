import type { StageKey } from '../catalog/stage';
import { resolveBody } from '../body/body';
import { drillTable } from '../catalog/drills';
import { listOptions } from '../compose/options';
import { isDrillOpen, listClosedChecks } from '../compose/openToday';
import { findLevel, fromLogScale, levelModel } from '../readiness/level';
import { ago, asOf, everything, makeCase, twice } from '../testing/cases';
import { isCheckOpen } from './openChecks';
import { rankChecks } from './tonight';
import { judge } from './verdict';

const kindOf = (stage: StageKey, ...args: Parameters<typeof makeCase>) =>
  judge(stage, makeCase(...args)).kind;

describe('stepping back', () => {
  // The dolphin has gone: seen long enough, and far under every bar.
  const evidence = {
    ...everything,
    'dolphin-one-leg': [21, 14, 7].map((days) => ({ date: ago(days), value: 2 })),
  };
  const fallen = { evidence, present: { 'forearm-stand': 'FS10' } } as const;

  it('closes the present stage and what lies above it, nothing below', () => {
    expect(kindOf('FS10', fallen)).toBe('step-back');
    expect(kindOf('FS11', fallen)).toBe('step-back');
    expect(kindOf('FS8', fallen)).toBe('advance');
    expect(kindOf('FS5', fallen)).toBe('advance');
  });

  it('offers the nearest rung below that is open, before any other shape', () => {
    const { options } = listOptions(makeCase(fallen), {
      body: resolveBody({ heightM: 1.7 }),
      families: ['forearm-stand'],
      ceilingM: 2.8,
      pieces: [],
    });
    expect(options[0]).toMatchObject({ role: 'stepDown', stage: 'FS8' });
  });
});

describe('what sore wrists close', () => {
  const sore = { care: { reports: ['wrist'] as const } };

  it('leaves half shoulder stand, hips on a bolster', () => {
    const verdict = judge('SS5', makeCase(sore));
    expect(verdict.kind).toBe('advance');
    expect(verdict.caution.isWatched).toBe(true);
    expect(verdict.caution.adaptations).toContain('hips on a bolster instead of the hands');
    expect(kindOf('HB1', sore)).toBe('stop');
  });

  it('and nothing more: what else closes it still does', () => {
    expect(kindOf('SS5', { care: { reports: ['wrist', 'neck-disc'] } })).toBe('stop');
    expect(kindOf('SS5', { care: { reports: ['arm-signs'] } })).toBe('stop');
  });
});

describe('checks', () => {
  it('are not asked for in a shape that is closed', () => {
    const care = { reports: ['headache'] as const };
    const closed = listClosedChecks(makeCase({ care }));
    expect(closed).toEqual(
      expect.arrayContaining(['dolphin-hold', 'hollow-hold', 'wall-hold/hands', 'headstand-hold']),
    );
    expect(closed).not.toContain('plank-hold');
    expect(closed).not.toContain('confidence/hands');
  });

  it('nor before the gate of their stage: no head load before the push bars', () => {
    const { 'dolphin-push-ups': _, ...weak } = everything;
    expect(isCheckOpen(makeCase(), 'head-load', undefined)).toBe(true);
    expect(isCheckOpen(makeCase({ evidence: weak }), 'head-load', undefined)).toBe(false);
    const present = { headstand: 'HS5' } as const;
    const asked = rankChecks(makeCase({ evidence: weak, present })).map(({ check }) => check);
    expect(asked).toContain('dolphin-push-ups');
    expect(asked).not.toContain('head-load');
  });

  it('nor on the crown after a no at the door', () => {
    const evidence = { ...everything, 'neck-ease': [{ date: asOf, value: 0 }] };
    expect(isCheckOpen(makeCase({ evidence }), 'crown-control', undefined)).toBe(false);
    expect(isCheckOpen(makeCase({ evidence }), 'dolphin-hold', undefined)).toBe(true);
  });

  it('by base as the stage they are shown in', () => {
    const sore = makeCase({ care: { reports: ['wrist'] } });
    expect(isCheckOpen(sore, 'wall-hold', 'forearms')).toBe(true);
    expect(isCheckOpen(sore, 'wall-hold', 'hands')).toBe(false);
  });
});

describe('drills', () => {
  it('that leave the floor or weight the crown are no filler', () => {
    const { 'l-hold': _, 'neck-ease': __, ...unseen } = everything;
    expect(isDrillOpen(makeCase(), drillTable['mini-hops'])).toBe(true);
    expect(isDrillOpen(makeCase({ evidence: unseen }), drillTable['mini-hops'])).toBe(false);
    expect(isDrillOpen(makeCase(), drillTable['crown-roll'])).toBe(true);
    // What would have to be asked at the door is not asked for a drill.
    expect(isDrillOpen(makeCase({ evidence: unseen }), drillTable['crown-roll'])).toBe(false);
  });

  it('new to somebody with child are not begun now', () => {
    const care = { reports: ['pregnancy'] as const };
    const drill = drillTable['corner-dolphin'];
    expect(isDrillOpen(makeCase({ care }), drill)).toBe(true);
    expect(isDrillOpen(makeCase({ care, evidence: {} }), drill)).toBe(false);
  });
});

describe('pain', () => {
  const person = (place: 'leg' | 'elsewhere', painClearedOn?: string) => ({
    care: {
      pains: [{ place, date: ago(3) }],
      ...(painClearedOn === undefined ? {} : { painClearedOn }),
    },
  });

  it('in a knee closes hops, kicks and squats', () => {
    for (const stage of ['FS9', 'FS10', 'HB10', 'HB11', 'CR4', 'CR6'] as const) {
      expect([stage, kindOf(stage, person('leg'))]).toEqual([stage, 'stop']);
    }
    expect(kindOf('HB3', person('leg'))).toBe('advance');
  });

  it('is not gone tomorrow, nor before it was felt', () => {
    expect(kindOf('FS2', person('elsewhere', ago(-1)))).toBe('stop');
    expect(kindOf('FS2', person('elsewhere', ago(3)))).toBe('stop');
    expect(kindOf('FS2', person('elsewhere', ago(2)))).toBe('advance');
  });
});

describe('the level', () => {
  const rule = { kind: 'hold', spec: { voidedBy: ['sag'] }, bar: 20 } as const;
  const after = (value: number, more: object = {}) =>
    findLevel(rule, { records: [{ date: asOf, value, ...more }], days: [0] }, 0)!;

  it('of who has just held 69 seconds is not far from it', () => {
    for (const more of [{}, { stoppedByTeacher: true }]) {
      const level = after(69, more);
      const spread = Math.sqrt(levelModel.priorVariance + levelModel.observationVariance);
      expect(Math.log(69) - level.mean).toBeLessThanOrEqual(2 * spread);
      expect(fromLogScale('hold', level.mean)).toBeGreaterThan(45);
    }
  });

  it('is not lifted by a try with a fault, nor buried by one odd day', () => {
    expect(after(69, { faults: ['sag'] }).mean).toBeLessThanOrEqual(Math.log(10) + 1e-9);
    const records = [...twice(60), { date: asOf, value: 1 }];
    const level = findLevel(rule, { records, days: [0, 7, 14] }, 14)!;
    expect(fromLogScale('hold', level.mean)).toBeGreaterThan(20);
  });
});
