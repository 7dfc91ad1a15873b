import { testDay } from './testDay.mjs';

it('is the coming Wednesday, whatever day it is, and never behind it', () => {
  const days = ['23', '24', '25', '26', '27', '28', '29'].map((day) =>
    testDay(new Date(`2026-11-${day}T23:30:00`)),
  );
  expect(days).toEqual([
    '2026-11-25',
    '2026-11-25',
    '2026-11-25',
    '2026-12-02',
    '2026-12-02',
    '2026-12-02',
    '2026-12-02',
  ]);
});
