import { addDays } from '../units/day';
import { collectDemands, type Evidence } from './gate';
import { judge, type VerdictInput } from './verdict';
import { stageIds } from '../catalog/stages';

const asOf = '2026-11-19';
const ago = (days: number) => addDays(asOf, -days);
const twice = (value: number) => [14, 7].map((days) => ({ date: ago(days), value }));

const ready: Evidence = {
  'forearm-plank-hold': twice(40),
  'dolphin-hold': twice(80),
  'dolphin-push-ups': twice(9),
  'dolphin-one-leg': twice(28),
  'head-clearance': [{ date: ago(7), value: 4 }],
  confidence: [{ date: ago(7), value: 7, base: 'forearms' }],
};

const decide = (change: Partial<VerdictInput> = {}, evidence: Evidence = {}) =>
  judge({
    stage: 'FS10',
    profile: 'prop-led',
    asOf,
    evidence: { ...ready, ...evidence },
    equipment: [],
    cautions: [],
    consent: 'yes',
    presentStage: 'FS9',
    ...change,
  });

describe('the gate of the kick', () => {
  it('collects every demand on the way, each check once at its highest bar', () => {
    const demands = collectDemands('FS10', 'prop-led');
    expect(demands.map(({ check }) => check)).toEqual([
      'forearm-plank-hold',
      'dolphin-hold',
      'dolphin-push-ups',
      'head-clearance',
      'dolphin-one-leg',
      'confidence',
    ]);
    expect(demands.every(({ share }) => (share ?? 1) === 1)).toBe(true);
  });

  it('asks play-led hops for 15 s of dolphin, and the kick for the whole bar again', () => {
    const share = (stage: 'FS9' | 'FS10') =>
      collectDemands(stage, 'play-led').find(({ check }) => check === 'dolphin-hold')?.share ?? 1;
    // On the way to the hops the L at the wall has already asked for the whole bar.
    expect(share('FS9')).toBe(1);
    expect(share('FS10')).toBe(1);
  });

  it('reaches every stage without going round in a circle', () => {
    for (const stage of stageIds)
      expect(Array.isArray(collectDemands(stage, 'prop-led'))).toBe(true);
  });
});

describe('verdicts', () => {
  it('advances when everything is met', () => {
    expect(decide()).toMatchObject({ kind: 'advance', helpMost: [] });
  });

  it('stays, and names the two checks that would help most, the weakest first', () => {
    const verdict = decide(
      { presentStage: 'FS3' },
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

  it('re-checks when staleness is the only obstacle', () => {
    const old = [60, 40].map((days) => ({ date: ago(days), value: 80 }));
    expect(decide({}, { 'dolphin-hold': old }).kind).toBe('re-check');
  });

  it('steps back when the present stage is no longer held', () => {
    const verdict = decide(
      {},
      { 'dolphin-hold': [28, 14, 7, 0].map((d) => ({ date: ago(d), value: 14 })) },
    );
    expect(verdict.kind).toBe('step-back');
  });

  it('steps back on voiding faults in both of the last two meetings', () => {
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

  it('stops for pain until a later day notes it as gone', () => {
    const sore = { 'dolphin-hold': [...twice(80), { date: ago(7), value: 60, pain: true }] };
    expect(decide({}, sore).kind).toBe('stop');
    expect(decide({ painClearedOn: ago(7) }, sore).kind).toBe('stop');
    expect(decide({ painClearedOn: ago(6) }, sore).kind).not.toBe('stop');
  });

  it('stops for a caution before anything else, with another shape and no health word', () => {
    const verdict = decide({ cautions: ['osteoporosis'] });
    expect(verdict).toMatchObject({ kind: 'stop', alternative: 'dolphin-chair' });
    expect(verdict.reasons.join(' ').toLowerCase()).not.toContain('osteoporosis');
    expect(decide({ cautions: ['eye'] }).alternative).toBe('calves-on-chair');
  });

  it('lets a lift stand in for clearance only when the cupboard can make one', () => {
    const low = { 'head-clearance': [{ date: ago(7), value: 0 }] };
    expect(decide({}, low).kind).toBe('stay');
    const lifted = decide({ equipment: ['forearm-lift'] }, low);
    expect(lifted.kind).toBe('advance');
    expect(lifted.reasons.join(' ')).toContain('lift under both forearms');
  });
});
