import { getStageIn, shippedSchool } from '../catalog/school';
import { stageIds } from '../catalog/stages';
import type { StageKey } from '../catalog/stage';
import type { Evidence } from '../readiness/record';
import { ago, asOf, everything, makeCase, twice, type CaseChange } from '../testing/cases';
import { judge } from './verdict';

const ready: Evidence = {
  'forearm-plank-hold': twice(40),
  'dolphin-hold': twice(80),
  'dolphin-push-ups': twice(9),
  'dolphin-one-leg': twice(28),
  'head-clearance': [{ date: ago(7), value: 4 }],
  confidence: [{ date: ago(7), value: 7, base: 'forearms' }],
};

const decide = (change: CaseChange = {}, evidence: Evidence = {}, stage: StageKey = 'FS10') =>
  judge(
    stage,
    makeCase({
      present: { 'forearm-stand': 'FS9' },
      ...change,
      evidence: { ...ready, ...evidence },
    }),
  );

describe('the gate of the kick', () => {
  const demands = (stage: StageKey, profile: 'prop-led' | 'play-led' = 'prop-led') =>
    getStageIn(shippedSchool(profile), stage).ways[0]!.demands;

  it('collects every demand on the way, each check once at its highest bar', () => {
    expect(decide().items.map(({ label }) => label)).toEqual([
      'Forearm plank hold',
      'Dolphin hold',
      'Dolphin push-ups, hands clasped',
      'Head clearance in dolphin',
      'Dolphin, one leg up',
      'Confidence, the student’s word',
    ]);
    expect(decide().items.map(({ threshold }) => threshold)).toEqual([20, 45, 5, 3, 15, 5]);
  });

  it('opens play-led hops at 15 s of dolphin with a helper, and asks the whole bar again for the kick', () => {
    const short = { 'dolphin-hold': twice(17), 'dolphin-one-leg': twice(20) };
    const hops = (change: CaseChange) =>
      decide({ profile: 'play-led', present: {}, ...change }, short, 'FS9');
    expect(hops({})).toMatchObject({ kind: 'advance-with-support', needsAssist: true });
    expect(hops({}).reasons.join(' ')).toContain('only with the assist');
    expect(hops({ consent: 'no' }).kind).toBe('stay');
    expect(hops({ profile: 'prop-led' }).kind).toBe('stay');
    expect(decide({ profile: 'play-led', present: {} }, short, 'FS10').kind).toBe('stay');
    expect(demands('FS10', 'play-led')).toContainEqual({ check: 'dolphin-hold' });
  });
});

describe('verdicts', () => {
  it('advances when everything is met', () => {
    expect(decide()).toMatchObject({ kind: 'advance', helpMost: [], atDoor: [] });
  });

  it('opens every stage of every profile that has it to who meets everything', () => {
    for (const profile of ['prop-led', 'strength-led', 'play-led'] as const) {
      const person = makeCase({
        profile,
        equipment: ['wedge', 'forearm-lift', 'toe-rest'],
        present: { 'arm-balance': 'CR8' },
      });
      for (const stage of stageIds) {
        const { kind, reasons } = judge(stage, person);
        const hasWay = getStageIn(person.school, stage).ways.length > 0;
        expect([stage, kind, reasons[0]]).toEqual([
          stage,
          hasWay ? 'advance' : 'stay',
          hasWay ? expect.any(String) : expect.stringContaining('keeps this branch closed'),
        ]);
      }
    }
  });

  it('stays, and names the two checks that would help most, the weakest first', () => {
    const verdict = decide(
      { present: { 'forearm-stand': 'FS3' } },
      { 'dolphin-hold': twice(10), 'dolphin-one-leg': twice(9), 'dolphin-push-ups': twice(4) },
    );
    expect(verdict.kind).toBe('stay');
    expect(verdict.helpMost).toHaveLength(2);
    expect(verdict.helpMost[0]).toBe('Dolphin hold');
  });

  it('stays when something was never seen', () => {
    expect(decide({}, { 'dolphin-push-ups': [] }).kind).toBe('stay');
  });

  it('offers support when the rest is borderline, within the student’s word on touch', () => {
    const almost = { confidence: [{ date: ago(7), value: 4, base: 'forearms' as const }] };
    const words = (consent: 'yes' | 'ask' | 'no') => {
      const verdict = decide({ consent }, almost);
      expect(verdict.kind).toBe('advance-with-support');
      return verdict.reasons.join(' ');
    };
    expect(words('yes')).toContain('assist: lifted leg');
    expect(words('ask')).toContain('ask first');
    expect(words('no')).toContain('no hands-on help');
    expect(words('no')).not.toContain('assist:');
  });

  it('passes over no safety check with support: a borderline exit keeps the floor closed', () => {
    const exits = (passes: number) =>
      Array.from({ length: passes }, (_, index) => ({
        date: ago(7 + 7 * (index % 2)),
        value: 1,
        base: 'forearms' as const,
      }));
    const verdict = (count: number) =>
      judge('FS12', makeCase({ evidence: { ...everything, 'controlled-exit': exits(count) } }));
    expect(verdict(2).kind).toBe('stay');
    expect(verdict(2).reasons.join(' ')).toContain('safety check');
    expect(verdict(3).kind).toBe('advance');
  });

  it('re-checks when staleness is the only obstacle', () => {
    const old = [60, 40].map((days) => ({ date: ago(days), value: 80 }));
    expect(decide({}, { 'dolphin-hold': old }).kind).toBe('re-check');
    expect(decide({}, { 'dolphin-hold': old, 'dolphin-push-ups': [] }).kind).toBe('stay');
  });

  it('steps back when the present stage is no longer held', () => {
    const verdict = decide(
      {},
      { 'dolphin-hold': [28, 14, 7, 0].map((d) => ({ date: ago(d), value: 14 })) },
    );
    expect(verdict.kind).toBe('step-back');
    expect(verdict.reasons[0]).toMatch(/chance has fallen to .*hops at the wall/);
  });

  it('steps back on voiding faults in both of the last two meetings, not in one', () => {
    const faulty = [
      ...[35, 28, 21].map((days) => ({ date: ago(days), value: 150 })),
      ...[14, 7].map((days) => ({
        date: ago(days),
        value: 150,
        faults: ['head-touches' as const],
      })),
    ];
    expect(decide({}, { 'dolphin-hold': faulty }).kind).toBe('step-back');
    const once = [...faulty.slice(0, -1), { date: ago(7), value: 150 }];
    expect(decide({}, { 'dolphin-hold': once }).kind).not.toBe('step-back');
  });

  it('carries the profile and its version', () => {
    expect(decide({ profile: 'play-led' }).profile).toEqual({ key: 'play-led', version: 1 });
  });
});

describe('pain and signs', () => {
  const sore = (place?: 'wrist' | 'neck') => ({
    'dolphin-hold': [
      ...twice(80),
      { date: ago(7), value: 60, pain: true, ...(place ? { painPlace: place } : {}) },
    ],
  });

  it('stops for pain until a later day notes it as gone', () => {
    expect(decide({}, sore()).kind).toBe('stop');
    expect(decide({ care: { painClearedOn: ago(7) } }, sore()).kind).toBe('stop');
    expect(decide({ care: { painClearedOn: ago(6) } }, sore()).kind).not.toBe('stop');
  });

  it('closes only what loads the place that hurts', () => {
    const evidence = { ...everything, ...sore('wrist') };
    expect(judge('HB8', makeCase({ evidence })).kind).toBe('stop');
    expect(judge('FS8', makeCase({ evidence })).kind).toBe('advance');
    expect(judge('SS8', makeCase({ evidence: { ...everything, ...sore('neck') } })).kind).toBe(
      'stop',
    );
  });

  it('offers something that does not load the place either', () => {
    const verdict = judge('HB8', makeCase({ evidence: { ...everything, ...sore('wrist') } }));
    expect(verdict.alternative).toBe('forearm-l');
    // A stack under the sacrum is a load; lying with the calves on a chair is none.
    expect(decide({}, sore()).alternative).toBe('calves-on-chair');
  });

  it('stops for a caution before anything else, with another shape and no health word', () => {
    const verdict = decide({ care: { reports: ['osteoporosis'] } });
    expect(verdict).toMatchObject({ kind: 'stop', alternative: 'dolphin-chair' });
    expect(verdict.reasons.join(' ').toLowerCase()).not.toContain('osteoporosis');
    expect(decide({ care: { reports: ['eye'] } }).alternative).toBe('calves-on-chair');
    expect(decide({ care: { reports: ['eye', 'pregnancy'] } }).alternative).toBe('propped-recline');
  });

  it('keeps everything head-down closed after a stop sign, and says to get help', () => {
    const verdict = decide({ care: { signs: [{ sign: 'ringing', date: ago(7) }] } });
    expect(verdict.kind).toBe('stop');
    expect(verdict.reasons[0]).toContain('get help by the rules of the place');
    expect(verdict.alternative).toBe('calves-on-chair');
  });
});

describe('stand-ins and the door', () => {
  it('lets a lift stand in for clearance only when the cupboard can make one', () => {
    const low = { 'head-clearance': [{ date: ago(7), value: 0 }] };
    expect(decide({}, low).kind).toBe('stay');
    const lifted = decide({ equipment: ['forearm-lift'] }, low);
    expect(lifted.kind).toBe('advance');
    expect(lifted.reasons.join(' ')).toContain('lift under both forearms');
  });

  it('lets bent knees do for stiff shoulders, and a wedge for stiff wrists if there is one', () => {
    const stiff: Evidence = {
      ...everything,
      'shoulder-flexion': twice(120),
      'wrist-extension': twice(50),
    };
    expect(judge('HB8', makeCase({ evidence: stiff })).kind).toBe('stay');
    expect(judge('HB8', makeCase({ evidence: stiff, equipment: ['wedge'] })).kind).toBe('advance');
  });

  it('plans checks of the day as open if confirmed, and closes when the answer is no', () => {
    const unasked: Evidence = {
      ...everything,
      'neck-ease': [],
      'talk-test': [{ date: ago(7), value: 1 }],
    };
    const ahead = judge('SS8', makeCase({ evidence: unasked }));
    expect(ahead).toMatchObject({ kind: 'advance', atDoor: ['Neck ease', 'Talk test'] });
    expect(ahead.reasons).toContain('Neck ease: open if confirmed at the door');
    const no: Evidence = { ...everything, 'neck-ease': [{ date: asOf, value: 0 }] };
    expect(judge('SS8', makeCase({ evidence: no })).kind).toBe('stay');
  });

  it('takes "practised" from where the student stands or from what was seen', () => {
    const toe = (present: NonNullable<CaseChange['present']>) =>
      judge('CR5', makeCase({ present })).kind;
    expect(toe({ 'arm-balance': 'CR4' })).toBe('advance');
    expect(toe({ 'arm-balance': 'CR8' })).toBe('advance');
    expect(toe({ 'arm-balance': 'CR2' })).toBe('stay');
    expect(judge('HB12', makeCase()).kind).toBe('advance');
    expect(
      judge('HB12', makeCase({ evidence: { ...everything, 'blocks-kept': [], 'wall-hold': [] } }))
        .kind,
    ).toBe('stay');
  });

  it('asks another ladder’s gate where the table does: crow to handstand', () => {
    const floats = (evidence: Evidence) =>
      judge('CR9', makeCase({ evidence, present: { 'arm-balance': 'CR8' } }));
    expect(floats(everything).kind).toBe('advance');
    const short = floats({ ...everything, 'blocks-kept': [] });
    expect(short.kind).toBe('stay');
    expect(short.reasons.join(' ')).toContain('blocks kept');
  });

  it('takes the better of two ways up to the free handstand', () => {
    const noKick: Evidence = { ...everything, 'blocks-kept': [], 'hops-reaching': [] };
    expect(judge('HB13', makeCase({ evidence: noKick })).kind).toBe('stay');
    expect(judge('HB15', makeCase({ evidence: noKick })).kind).toBe('advance');
  });

  it('wants a long balance on three days before lotus is lowered', () => {
    const on = (days: number[]) =>
      judge(
        'FS14',
        makeCase({
          evidence: {
            ...everything,
            'balance-off-wall': days.map((d) => ({
              date: ago(d),
              value: 45,
              base: 'forearms' as const,
            })),
          },
        }),
      );
    expect(on([21, 14, 7]).kind).toBe('advance');
    expect(on([14, 7]).reasons.join(' ')).toContain('2 of 3 days');
  });
});
