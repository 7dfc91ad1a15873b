/** A curve follows what somebody does tonight, and nothing that they are not there for. */
import { drillTable } from '../catalog/drills';
import { regions } from '../catalog/regions';
import { toPlanFile } from '../files/planFile';
import { inventClass } from '../testing/inventClass';
import { composeClass } from './composeClass';
import { traceReserves } from './curve';
import { prepareClass } from './prepared';
import { usualSolve } from './solve';

it('is whole until the rounds for whoever comes for them, and for nobody else', () => {
  const { input, wishes: usual } = inventClass(4, 3);
  const wishes = { ...usual, minutes: 90, late: [{ person: 'p0', round: 1 }] };
  const prepared = prepareClass({ ...input, ...wishes });
  const composed = composeClass(null, prepared, wishes, usualSolve);
  const plan = toPlanFile(composed, prepared, wishes, { binding: [], relief: null });
  const first = plan.timeline.find(({ kind }) => kind === 'round')!.startsAt;
  const leastBefore = (id: string, until: number) =>
    Math.min(
      ...traceReserves(
        plan,
        prepared.people.find((one) => one.id === id)!,
        drillTable,
      )
        .filter(({ minute }) => minute <= until)
        .flatMap(({ reserves }) => regions.map((region) => reserves[region])),
    );
  expect(leastBefore('p0', first)).toBe(1);
  expect(leastBefore('p1', first)).toBeLessThan(1);
});
