import { readFileSync } from 'node:fs';
import { runCommand } from './commands';
import { readinessOutput } from './schemas';

const input = {
  profile: 'prop-led',
  asOf: '2026-11-19',
  check: 'dolphin-hold',
  records: [
    { date: '2026-11-05', value: 55 },
    { date: '2026-11-12', value: 60, stoppedByTeacher: true, faults: [], side: 'left' },
  ],
};
const run = (change: object) => runCommand('readiness', JSON.stringify({ ...input, ...change }));

describe('readiness from the command line', () => {
  it('answers with the fields of the contract', () => {
    const result = run({});
    expect(result).toMatchObject({
      ok: true,
      output: { status: 'met', threshold: 45, level: { mean: expect.any(Number) } },
    });
  });

  it.each([
    [{ chek: 1 }, 'unknown-field', ['chek']],
    [{ profile: 'other' }, 'invalid', ['profile']],
    [{ check: 'cartwheel' }, 'invalid', ['check']],
    [{ asOf: '2026-13-01' }, 'invalid', ['asOf']],
    [{ records: [{ date: '2026-11-20', value: 5 }] }, 'future-date', ['records', 0, 'date']],
    [{ records: [{ date: '2026-11-12', value: -1 }] }, 'out-of-range', ['records', 0, 'value']],
    [{ records: [{ date: '2026-11-12', value: 9e9 }] }, 'out-of-range', ['records', 0, 'value']],
    [
      { records: [{ date: '2026-11-12', value: 5, faults: ['giggles'] }] },
      'invalid',
      ['records', 0, 'faults', 0],
    ],
    [{ check: 'confidence', records: [] }, 'invalid', ['base']],
    [
      { check: 'paper-slip', records: [{ date: '2026-11-12', value: 0.5 }] },
      'invalid',
      ['records', 0, 'value'],
    ],
  ])('refuses %j by its field', (change, code, path) => {
    const result = run(change);
    expect(result).toMatchObject({ ok: false, error: { code, path } });
    expect(!result.ok && result.error.message.length).toBeLessThan(200);
  });

  it('refuses what is not JSON and what is not a command', () => {
    expect(runCommand('readiness', '{')).toMatchObject({ ok: false, error: { code: 'not-json' } });
    expect(runCommand('toString', '{}')).toMatchObject({
      ok: false,
      error: { code: 'unknown-command' },
    });
  });
});

describe('the documented example', () => {
  it('runs and gives what its schema promises', () => {
    const text = readFileSync('docs/formats/readiness.example.json', 'utf8');
    const result = runCommand('readiness', text);
    expect(result.ok && readinessOutput.safeParse(result.output).success).toBe(true);
  });
});
