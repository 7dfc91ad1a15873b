/** What is put where before anybody comes, with what may be wanted in its place. */
import type { PlannedOption } from './option';
import { listLayOut } from './layOut';
import type { Place } from './places';
import { listStations } from './stations';

const option = (id: string, more: Partial<PlannedOption> = {}) =>
  ({ id, same: id, label: id, props: [], ...more }) as unknown as PlannedOption;

const plough = (fallback: string) => option('SS4', { atDoor: ['First questions'], fallback });
const onBolster = option('SS3', { props: [{ piece: 'bolster-rectangular', count: 1 }] });
const onBlankets = option('SS3+rolled', {
  props: [
    { piece: 'blanket', count: 3 },
    { piece: 'bolster-rectangular', count: 2 },
  ],
});
const lane = (fromM: number): Place => ({
  kind: 'lane',
  span: 'north-1',
  fromM,
  toM: fromM + 0.9,
  outM: 2,
});

/** Two people, each with what they do, where, and what is open to them besides. */
function layOut(...people: readonly (readonly [PlannedOption, Place, PlannedOption[]])[]) {
  const placed = people.map(([own, place], at) => ({ id: `p${at}`, option: own, place }));
  const plan = { rounds: [{ people: placed }] } as unknown as Parameters<typeof listLayOut>[0];
  const prepared = {
    people: people.map(([own, , others], at) => ({
      id: `p${at}`,
      options: [own, ...others.slice(0, 1)],
      fallbacks: others.slice(1),
    })),
  } as unknown as Parameters<typeof listLayOut>[2];
  return listLayOut(plan, listStations(plan, []), prepared);
}

it('has all that either of two may want who take turns in one place', () => {
  const [line, ...others] = layOut(
    [plough('SS3'), lane(0), [onBolster]],
    [plough('SS3+rolled'), lane(0), [onBlankets]],
  );
  expect(others).toEqual([]);
  expect(line!.people).toEqual(['p0', 'p1']);
  expect(line!.fallbackProps).toEqual([
    { piece: 'bolster-rectangular', count: 2 },
    { piece: 'blanket', count: 3 },
  ]);
});

it('finds what lies beside also among the shapes that always stand in', () => {
  const standing = option('instead-x', { props: [{ piece: 'chair', count: 1 }] });
  const lines = layOut(
    [plough('instead-x'), lane(0), [onBolster, standing]],
    [plough('SS3'), lane(1), [onBolster]],
  );
  expect(lines.map(({ fallbackProps }) => fallbackProps)).toEqual([
    [{ piece: 'chair', count: 1 }],
    [{ piece: 'bolster-rectangular', count: 1 }],
  ]);
});
