import { composeClass } from '../compose/composeClass';
import { prepareClass } from '../compose/prepared';
import { usualSolve } from '../compose/solve';
import { inventClass } from '../testing/inventClass';
import { toPlanFile } from './planFile';

it.each([3, 8, 14])('says of whoever comes later that they are not here yet: class %i', (seed) => {
  const { input, wishes: invented } = inventClass(seed, 8);
  const wishes = { ...invented, rounds: 3 };
  const prepared = prepareClass({ ...input, ...wishes });
  const [{ id } = { id: '' }] = prepared.people;
  const asked = { ...wishes, late: [{ person: id, round: 3 }] };
  const plan = toPlanFile(composeClass(null, prepared, asked, usualSolve, {}), prepared, asked, {
    binding: [],
    relief: null,
  });
  const mine = plan.rounds.map(({ people }) => people.find((one) => one.id === id));
  for (const round of mine.slice(0, 2)) {
    expect(round).toMatchObject({ option: null, label: 'Not here yet', why: 'comes for round 3' });
  }
  expect(mine[2]?.label).not.toBe('Not here yet');
  // Whoever is there and does nothing for a round has it out, as before.
  const out = plan.rounds.flatMap(({ people }) =>
    people.filter((one) => one.id !== id && one.option === null),
  );
  for (const one of out) expect(one.label).toBe('Out');
});
