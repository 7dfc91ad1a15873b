import { fireEvent, screen, within } from '@testing-library/react';
import { drillTable } from '@/core/catalog/drills';
import type { PlanFile } from '@/core/files/planFile';
import { renderUi } from '@/design/testing/renderUi';
import { TimeBand } from './TimeBand';

const item = (id: string, label: string, minutes: number, startsAt: number, more: object = {}) => ({
  id,
  kind: 'drill',
  drill: id,
  label,
  minutes,
  startsAt,
  ...more,
});

const plan = {
  timeline: [
    item('arrive', 'Arrive', 4, 0, { kind: 'arrive', drill: undefined }),
    item('hollow', 'Hollow body', 4, 4),
    item('forearm-plank', 'Forearm plank', 2.5, 8, { waves: 2 }),
    item('round-1', 'Round 1', 4, 10.5, { kind: 'round', drill: undefined }),
  ],
} as unknown as PlanFile;

function open(isOwnOrder = false) {
  const ordered: unknown[] = [];
  const left: string[] = [];
  const ui = renderUi(
    <TimeBand
      plan={plan}
      drills={drillTable}
      startsAt="18:30"
      pxPerMinute={9}
      isOwnOrder={isOwnOrder}
      onOrder={(order) => ordered.push(order)}
      onLeaveOut={(drill) => left.push(drill)}
    />,
  );
  return { ordered, left, ...ui };
}

const minutesOf = (label: string) => screen.getByRole('slider', { name: `Minutes of ${label}` });

it('stands along the clock: what is no drill is neither moved nor left out', () => {
  open();
  const lines = screen.getAllByRole('listitem');
  expect(lines.map(({ textContent }) => textContent!.slice(0, 5))).toEqual([
    '18:30',
    '18:34',
    '18:38',
    '18:40',
  ]);
  expect(within(lines[0]!).queryByRole('button')).toBeNull();
  expect(within(lines[3]!).queryByRole('slider')).toBeNull();
  expect(lines[2]).toHaveTextContent('(in two turns)');
  expect(screen.getByRole('list', { name: 'Running order' })).toBeInTheDocument();
});

it('is longer or shorter by half a minute a key, the others as they were', () => {
  const { ordered } = open();
  fireEvent.keyDown(minutesOf('Hollow body'), { key: 'ArrowDown' });
  fireEvent.keyDown(minutesOf('Forearm plank'), { key: 'ArrowUp' });
  expect(ordered).toEqual([
    [
      { drill: 'hollow', minutes: 4.5 },
      { drill: 'forearm-plank', minutes: 2.5 },
    ],
    [
      { drill: 'hollow', minutes: 4 },
      { drill: 'forearm-plank', minutes: 2 },
    ],
  ]);
});

it('leaves out the one that is meant', async () => {
  const { left, user } = open();
  await user.click(screen.getByRole('button', { name: 'Leave out Forearm plank' }));
  expect(left).toEqual(['forearm-plank']);
});

it('says that the order is the teacher’s own', () => {
  open(true);
  expect(screen.getByRole('list', { name: 'Running order, yours' })).toBeInTheDocument();
});
