/** What was said before the class reaches the checks, on paper as on the floor. */
import { painPlaces } from '../catalog/regions';
import { getCheckIn } from '../catalog/school';
import { toPlanFile } from '../files/planFile';
import { basesUp, regionsOfCheck } from '../ladder/checkShape';
import { isOutOfHold } from '../running/holdOut';
import { inventClass } from '../testing/inventClass';
import { checksTonight } from './checksTonight';
import { composeClass } from './composeClass';
import { prepareClass, type Wishes } from './prepared';
import { usualSolve } from './solve';
import { ofMany, seedsTo } from '../testing/depth';

const namesOf = (checks: ReturnType<typeof checksTonight>) =>
  checks.flatMap(({ label, people }) => people.map(({ id }) => `${label}/${id}`));

function evening(seed: number) {
  const { input, wishes } = inventClass(seed, 6);
  return { prepared: prepareClass(input), wishes, school: input.school };
}

it('asks on paper whom the floor asks, whatever is sore and whoever keeps the feet down', () => {
  let asked = 0;
  let spared = 0;
  for (const seed of seedsTo(30, 8)) {
    const { prepared, wishes, school } = evening(seed);
    for (const place of painPlaces) {
      const sore = [{ person: 'p0', place }];
      const said: Wishes = { ...wishes, sore, feetDown: ['p1'] };
      const told = new Set(namesOf(checksTonight(prepared, said)));
      for (const { check, base, label, people } of prepared.checks) {
        const { spec } = getCheckIn(school, check);
        const shape = {
          check,
          byBase: spec.byBase === true,
          regions: regionsOfCheck(school, spec),
          feetUp: basesUp(school, spec),
        };
        const halts = sore.map((one) => ({ ...one, id: '', atMs: 0 }));
        for (const { id } of people) {
          // What was closed before is never among them; the rest was said tonight.
          const isOut = isOutOfHold({ id }, shape, base ?? null, { halts }, id === 'p1');
          expect([seed, place, label, id, told.has(`${label}/${id}`)]).toEqual([
            seed,
            place,
            label,
            id,
            !isOut,
          ]);
          if (isOut) spared += 1;
          else asked += 1;
        }
      }
    }
  }
  expect(asked).toBeGreaterThan(ofMany(500, 50));
  expect(spared).toBeGreaterThan(ofMany(100, 4));
});

it('asks nobody who is away or comes for the rounds, and drops what nobody is left for', () => {
  for (const seed of seedsTo(20, 5)) {
    const { prepared, wishes } = evening(seed);
    const late = [{ person: 'p1', round: 1 }];
    const some = checksTonight(prepared, { ...wishes, absent: ['p0'], late });
    const before = namesOf(checksTonight(prepared, wishes));
    expect(namesOf(some)).toEqual(before.filter((one) => !/p[01]$/.test(one)));
    const all = prepared.people.map(({ id }) => id);
    expect(checksTonight(prepared, { ...wishes, absent: all })).toEqual([]);
  }
});

it('is what the plan says, without minutes for checks where nobody is asked', () => {
  const { prepared, wishes } = evening(2);
  const write = (change: Partial<Wishes>) => {
    const wished = { ...wishes, ...change };
    const plan = composeClass(null, prepared, wished, usualSolve);
    return toPlanFile(plan, prepared, wished, { binding: [], relief: null });
  };
  expect(write({}).checks.length).toBeGreaterThan(0);
  const everywhere = prepared.people.map(({ id }) => ({ person: id, place: 'elsewhere' as const }));
  const sore = write({ sore: everywhere });
  expect(sore.checks.filter(({ check }) => check.endsWith('hold'))).toEqual([]);
  const gone = write({ absent: prepared.people.map(({ id }) => id) });
  expect(gone.checks).toEqual([]);
  expect(gone.timeline.filter(({ kind }) => kind === 'checks')).toEqual([]);
  expect(gone.timeline.reduce((sum, { minutes }) => sum + minutes, 0)).toBeCloseTo(
    wishes.minutes,
    9,
  );
});
