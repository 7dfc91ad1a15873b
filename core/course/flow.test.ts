import fc from 'fast-check';
import { findFlow, rungOn, type Climber } from './flow';

const order = ['FS1', 'FS2', 'FS3'] as const;
const days = ['2026-10-01', '2026-10-08', '2026-10-15'];
const ada: Climber = {
  id: 'ada',
  start: 'FS1',
  moves: [
    { on: '2026-10-08', stage: 'FS2' },
    { on: '2026-10-15', stage: 'FS1' },
  ],
};
const bo: Climber = { id: 'bo', start: null, moves: [{ on: '2026-10-10', stage: 'FS1' }] };

it('stands on the rung of the newest move, from its day on', () => {
  expect(days.map((day) => rungOn(ada, day))).toEqual(['FS1', 'FS2', 'FS1']);
  expect(days.map((day) => rungOn(bo, day))).toEqual([null, null, 'FS1']);
});

it('tells who went from where to where, foot first', () => {
  const { weeks, links } = findFlow([ada, bo], days, order);
  expect(weeks[1]!.rungs).toEqual([
    { stage: null, people: ['bo'] },
    { stage: 'FS2', people: ['ada'] },
  ]);
  expect(links).toContainEqual({ fromWeek: 1, from: 'FS2', to: 'FS1', people: ['ada'] });
  expect(links).toContainEqual({ fromWeek: 0, from: null, to: null, people: ['bo'] });
});

it('loses nobody from week to week', () => {
  const stage = fc.option(fc.constantFrom(...order), { nil: null });
  const climber = fc.record({
    start: stage,
    moves: fc
      .array(fc.record({ on: fc.constantFrom(...days), stage }))
      .map((moves) => [...moves].sort((a, b) => (a.on < b.on ? -1 : 1))),
  });
  fc.assert(
    fc.property(fc.array(climber, { maxLength: 20 }), (list) => {
      const climbers = list.map((one, index) => ({ id: String(index), ...one }));
      const { weeks, links } = findFlow(climbers, days, order);
      const count = (rows: readonly { people: readonly string[] }[]) =>
        rows.reduce((sum, { people }) => sum + people.length, 0);
      for (const { rungs } of weeks) expect(count(rungs)).toBe(climbers.length);
      weeks.slice(1).forEach(({ rungs }, index) => {
        const into = links.filter(({ fromWeek }) => fromWeek === index);
        expect(count(into)).toBe(climbers.length);
        for (const { stage: to, people } of rungs) {
          expect(count(into.filter((link) => link.to === to))).toBe(people.length);
        }
      });
    }),
  );
});
