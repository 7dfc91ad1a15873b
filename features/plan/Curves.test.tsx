import { screen } from '@testing-library/react';
import { drillTable } from '@/core/catalog/drills';
import { regions, regionTable } from '@/core/catalog/regions';
import { composeClass } from '@/core/compose/composeClass';
import { traceReserves } from '@/core/compose/curve';
import { prepareClass } from '@/core/compose/prepared';
import { usualSolve } from '@/core/compose/solve';
import { toPlanFile } from '@/core/files/planFile';
import { inventClass } from '@/core/testing/inventClass';
import { renderUi } from '@/design/testing/renderUi';
import { Curves } from './Curves';

const { input, wishes: usual } = inventClass(4, 3);
const wishes = { ...usual, minutes: 90 };
const prepared = prepareClass({ ...input, ...wishes });
const composed = composeClass(null, prepared, wishes, usualSolve);
const plan = toPlanFile(composed, prepared, wishes, { binding: [], relief: null });
const person = prepared.people[0]!;
const points = traceReserves(plan, person, drillTable);

/** x and y of every place a path goes to, in hundredths of the plot. */
const placesOf = (path: Element) =>
  [...(path.getAttribute('d') ?? '').matchAll(/[ML](-?[\d.]+),(-?[\d.]+)/g)].map(([, x, y]) => [
    Number(x),
    Number(y),
  ]);

it('draws what is left of every region that is used, from all of it down to the least', () => {
  const { container } = renderUi(
    <Curves plan={plan} person={person} drills={drillTable} name="Ada" />,
  );
  const used = regions.filter((region) => points.some(({ reserves }) => reserves[region] < 0.995));
  const drawn = [...container.querySelectorAll('path[data-line]')];
  expect(drawn.map((path) => path.getAttribute('data-line'))).toEqual(used);
  for (const path of drawn) {
    const region = used[drawn.indexOf(path)]!;
    const places = placesOf(path);
    expect(places).toHaveLength(points.length);
    expect(places[0]).toEqual([0, 0]);
    expect(places.at(-1)![0]).toBe(100);
    const least = Math.min(...points.map(({ reserves }) => reserves[region]));
    expect(Math.max(...places.map(([, y]) => y!))).toBeCloseTo(100 * (1 - least), 2);
  }
  expect(screen.getAllByRole('listitem').map(({ textContent }) => textContent)).toEqual(
    used.map((region) => regionTable[region].label),
  );
});

it('says in words who is lowest, and when the minutes end', () => {
  renderUi(<Curves plan={plan} person={person} drills={drillTable} name="Ada" />);
  const leasts = regions.map((region) => ({
    label: regionTable[region].label,
    least: Math.min(...points.map(({ reserves }) => reserves[region])),
  }));
  const [lowest] = leasts.toSorted((a, b) => a.least - b.least);
  expect(screen.getByRole('figure')).toHaveTextContent(
    `What Ada has left · ${lowest!.label} ${Math.round(100 * lowest!.least)} % left at the lowest`,
  );
  expect(screen.getByText('75 min')).toBeInTheDocument();
});
