import loadHighs from 'highs';
import { factsOfRows } from '../pieces/rows';
import { withMore } from './binding';
import type { RoundOption, RoundsProblem } from './problem';
import { findRelief } from './relief';
import { listPatterns } from './plainPatterns';

/** One person who wants a long strap in one round, where there is none. */
const hold = {
  id: 'long',
  same: 'long',
  value: 1,
  heightM: 1,
  pieces: [
    { piece: 'strap-180', count: 1 },
    { piece: 'strap-240', count: 1 },
  ],
} as unknown as RoundOption;

const problem = {
  rounds: 1,
  walls: [],
  circles: 0,
  pieces: { 'strap-180': 0, 'strap-240': 0 },
  rowFacts: factsOfRows([]),
  helpers: [0],
  people: [{ id: 'one', options: [hold], mostAttempts: 0 }],
} satisfies RoundsProblem;

it('one more long strap is one more wherever a strap will do', () => {
  const { pieces } = withMore(problem, [{ what: 'piece', id: 'strap-240', more: 2 }]);
  expect(pieces).toMatchObject({ 'strap-180': 2, 'strap-240': 2 });
  expect(withMore(problem, [{ what: 'piece', id: 'strap-180', more: 1 }]).pieces).toMatchObject({
    'strap-180': 1,
    'strap-240': 0,
  });
});

it('what would free an ask is bought once', async () => {
  const highs = await loadHighs();
  const idle = listPatterns(problem.people[0]!, problem).find(
    ({ options }) => options[0] === null,
  )!;
  const relief = findRelief(highs, problem, [idle])!;
  expect(relief.asks).toEqual([{ kind: 'turns', person: 'one' }]);
  expect(relief.more).toEqual([{ what: 'piece', id: 'strap-240', more: 1 }]);
});
