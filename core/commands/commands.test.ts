import { readFileSync } from 'node:fs';
import { commands, runCommand } from './commands';

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

describe('the commands of the body', () => {
  const body = { heightM: 1.7 };
  const call = (name: string, input: object) => runCommand(name, JSON.stringify(input));

  it.each(['loads', 'setup', 'stack', 'spacer', 'readiness'] as const)(
    '%s: its example gives what its schema promises',
    (name) => {
      const result = runCommand(name, readFileSync(`docs/formats/${name}.example.json`, 'utf8'));
      expect(result).toMatchObject({ ok: true });
      const checked = commands[name].output.safeParse(result.ok ? result.output : null);
      expect(checked.error?.issues ?? []).toEqual([]);
    },
  );

  it.each([
    ['loads', { body: { heightM: 1.1 }, posture: { family: 'plank' } }, ['body', 'heightM']],
    ['loads', { body, posture: { family: 'plank', stanceM: 1 } }, ['posture', 'stanceM']],
    ['loads', { body, posture: { family: 'cartwheel' } }, ['posture', 'family']],
    ['loads', { body, posture: { family: 'handstandWall', baseM: 2.5 } }, ['posture', 'baseM']],
    ['loads', { body: { ...body, lengths: { tail: 1 } }, posture: { family: 'plank' } }, undefined],
    ['stack', { targetM: -1, footprintM: [0.2, 0.2], pieces: [] }, ['targetM']],
    [
      'stack',
      { targetM: 0.1, footprintM: [0.2, 0.2], pieces: [{ piece: 'brick', count: 1 }] },
      ['pieces', 0, 'piece'],
    ],
    ['spacer', { gapM: 0.2, pieces: [] }, ['pieces']],
    ['setup', { recipe: 'box', profile: 'prop-led', body, pieces: [], colour: 1 }, ['colour']],
  ])('%s refuses %j by its field', (name, input, path) => {
    const result = call(name, input);
    expect(result.ok).toBe(false);
    if (path) expect(!result.ok && result.error.path).toEqual(path);
    expect(!result.ok && result.error.message).not.toMatch(/NaN|undefined/);
  });
});
