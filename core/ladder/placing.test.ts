/** The teacher's word: evidence of its own kind. Handbook 06. */
import type { StageKey } from '../catalog/stage';
import type { Evidence } from '../readiness/record';
import { ago, everything, makeCase } from '../testing/cases';
import { evaluateGate } from './gate';
import { isLittleKnown } from './gatesAhead';
import { rankChecks } from './tonight';
import { judge } from './verdict';

const said = (stage: StageKey, days = 7, evidence: Evidence = {}) =>
  makeCase({
    evidence,
    present: { 'forearm-stand': stage },
    placings: { 'forearm-stand': { stage, on: ago(days) } },
  });

describe('the teacher’s word', () => {
  it('opens the stage that was named and those on the way to it, and says what it rests on', () => {
    const person = said('FS5');
    const verdict = judge('FS5', person);
    expect(verdict.kind).toBe('advance');
    expect(verdict.reasons.join('; ')).toMatch(
      /Forearm plank hold: by the teacher’s word of \d+ [A-Z][a-z]+ 20/,
    );
    expect(judge('FS4', person).kind).toBe('advance');
    expect(judge('FS5', makeCase({ evidence: {} })).kind).toBe('stay');
  });

  it('opens nothing above it', () => {
    const person = said('FS5');
    expect(judge('FS6', person).kind).toBe('stay');
    expect(judge('FS10', person).kind).toBe('stay');
  });

  it('stands in for no safety check and not for the student’s own word', () => {
    const person = said('FS12');
    const items = evaluateGate('FS12', person)!;
    const of = (check: string) =>
      items.find(({ demand }) => 'check' in demand && demand.check === check)!;
    expect(of('controlled-exit').status).toBe('unknown');
    expect(of('confidence').status).toBe('unknown');
    expect(of('hollow-hold')).toMatchObject({ status: 'met', wordOf: ago(7) });
    expect(judge('FS12', person).kind).toBe('stay');
  });

  it('fades after twice as long as a record of the check lasts', () => {
    expect(judge('FS5', said('FS5', 56)).kind).toBe('advance');
    expect(judge('FS5', said('FS5', 57)).kind).toBe('stay');
  });

  it('gives way to a record made since, and not to an older one that is stale', () => {
    const since: Evidence = { 'forearm-plank-hold': [{ date: ago(2), value: 4 }] };
    expect(judge('FS5', said('FS5', 7, since)).kind).not.toBe('advance');
    const before: Evidence = { 'forearm-plank-hold': [{ date: ago(60), value: 4 }] };
    expect(judge('FS5', said('FS5', 7, before)).kind).toBe('advance');
  });

  it('closes nothing and opens nothing against a caution', () => {
    const person = makeCase({
      evidence: {},
      present: { 'forearm-stand': 'FS10' },
      placings: { 'forearm-stand': { stage: 'FS10', on: ago(1) } },
      care: { reports: ['eye'] },
    });
    expect(judge('FS10', person).kind).toBe('stop');
    expect(
      judge('FS10', makeCase({ placings: { 'forearm-stand': { stage: 'FS1', on: ago(1) } } })).kind,
    ).toBe('advance');
  });

  it('is no look: what it stands for is still worth looking at', () => {
    const person = said('FS5');
    expect(rankChecks(person).map(({ check }) => check)).toContain('forearm-plank-hold');
    expect(isLittleKnown(person, ['forearm-stand'])).toBe(true);
    expect(isLittleKnown(makeCase({ evidence: everything }), ['forearm-stand'])).toBe(false);
  });
});
