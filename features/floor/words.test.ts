import { actWords, clockWords, leftWords } from './words';

it('shows tenths under a minute, minutes over it', () => {
  expect([0, 7.44, 59.96, 61, 600].map(clockWords)).toEqual([
    '0.0',
    '7.4',
    '60.0',
    '1:01',
    '10:00',
  ]);
});

it('counts down, and up again over time', () => {
  expect([240, 59.2, 0, -12.3].map(leftWords)).toEqual(['4:00', '1:00', '0:00', '+0:13']);
});

it('says what a tap was, by first name, and never what hurts', () => {
  const nameOf = (person: string) => ({ '1': 'Ada' })[person] ?? 'somebody';
  expect(actWords({ kind: 'hold-down', hold: 'h', person: '1' }, nameOf)).toBe('Ada down');
  expect(actWords({ kind: 'sore', person: '1', place: 'neck' }, nameOf)).toBe('stopped Ada');
  expect(actWords({ kind: 'sign', person: '2', sign: 'tingling' }, nameOf)).toBe(
    'stopped somebody',
  );
  expect(actWords({ kind: 'absent', person: '1', isAbsent: false }, nameOf)).toBe('Ada here');
});
