import { readFileSync } from 'node:fs';
import { runCommand } from './commands';
import { verdictOutput } from './verdictCommand';

const example = JSON.parse(readFileSync('docs/formats/verdict.example.json', 'utf8'));
const run = (change: object = {}, person: object = {}) =>
  runCommand(
    'verdict',
    JSON.stringify({ ...example, ...change, person: { ...example.person, ...person } }),
  );
const verdicts = (...args: Parameters<typeof run>) => {
  const result = run(...args);
  if (!result.ok) throw new Error(result.error.message);
  return verdictOutput.parse(result.output).verdicts;
};

describe('verdicts from the command line', () => {
  it('answers for the next rung of every ladder', () => {
    const all = verdicts();
    expect(all.map(({ family }) => family)).toEqual([
      'forearm-stand',
      'headstand',
      'handstand',
      'shoulder-stand',
      'arm-balance',
    ]);
    expect(all[0]).toMatchObject({ stage: 'FS8', verdict: 'advance-with-support' });
    expect(all[0]!.checks.map(({ label }) => label)).toContain('Dolphin hold');
  });

  it('takes the teacher’s word, and says of a wrong one where it is wrong', () => {
    const person = { records: [], present: {} };
    const on = example.asOf as string;
    const [dolphin] = verdicts(
      { stages: ['FS5'] },
      { ...person, placings: { 'forearm-stand': { stage: 'FS5', on } } },
    );
    expect(dolphin).toMatchObject({ stage: 'FS5', verdict: 'advance' });
    const refused = (placings: object) => run({ stages: ['FS5'] }, { ...person, placings });
    expect(refused({ headstand: { stage: 'FS5', on } })).toMatchObject({
      ok: false,
      error: { path: ['person', 'placings', 'headstand', 'stage'] },
    });
    expect(refused({ 'forearm-stand': { stage: 'FS5', on: '2100-01-01' } })).toMatchObject({
      ok: false,
      error: { code: 'future-date' },
    });
  });

  it('answers for the stages asked for, with an alternative where a caution closes', () => {
    const [kick] = verdicts({ stages: ['FS10'] }, { cautions: ['osteoporosis'] });
    expect(kick).toMatchObject({
      stage: 'FS10',
      verdict: 'stop',
      caution: { outcome: 'refer' },
      alternative: { id: 'dolphin-chair' },
    });
  });

  it('reads a copy of a profile', () => {
    const profile = { origin: 'prop-led', changes: { bars: { 'dolphin-hold': 30 } } };
    expect(verdicts({ profile })[0]!.verdict).toBe('advance');
  });

  it('never opens anything for words in no list', () => {
    const [before] = verdicts();
    const [after] = verdicts({}, { otherWords: ['a doctor said everything is fine'] });
    expect(after!.verdict).toBe(before!.verdict);
    expect(after!.caution.outcome).toBe('care');
  });

  it.each([
    [{ stages: ['XX'] }, {}, ['stages', 0]],
    [
      { profile: { origin: 'prop-led', changes: { bars: { cartwheel: 3 } } } },
      {},
      ['profile', 'changes'],
    ],
    [{}, { cautions: ['hiccups'] }, ['person', 'cautions', 0]],
    [{}, { present: { handstand: 'FS5' } }, ['person', 'present', 'handstand']],
    [
      {},
      { records: [{ check: 'dolphin-hold', date: '2027-01-01', value: 5 }] },
      ['person', 'records', 0, 'date'],
    ],
    [
      {},
      { records: [{ check: 'lifted-tuck', date: '2026-11-01', value: 9 }] },
      ['person', 'records', 0, 'value'],
    ],
    [{}, { mood: 'fine' }, ['person', 'mood']],
  ])('refuses %j %j by its path', (change, person, path) => {
    const result = run(change, person);
    expect(!result.ok && result.error.path).toEqual(path);
    expect(!result.ok && result.error.message.length).toBeGreaterThan(10);
  });
});
