import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { FloorAct } from '@/core/running/tap';
import type { FloorCheck } from '@/server/running/floorBundle';
import { ChecksPanel } from './ChecksPanel';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { InClass } from './testing/renderFloor';

const check = (more: Partial<FloorCheck>): FloorCheck => ({
  check: 'straight-leg-raise',
  label: 'Straight-leg raise',
  kind: 'measure',
  bar: 70,
  most: 180,
  hasSides: false,
  byBase: false,
  timedTogether: false,
  voidedBy: [],
  regions: [],
  ...more,
});
const raise = check({
  hasSides: true,
  words: { bar: 'at least 70°', suffix: '°' },
  method: 'On the back, the other leg flat.',
});
const pushUp = check({
  check: 'push-up-rung',
  label: 'Push-up rung',
  kind: 'level',
  most: 8,
  words: { bar: 'at least 3 of 8', suffix: ' of 8' },
  levels: ['none', 'prone press', 'knees, half depth'],
});
const talk = check({ check: 'talk-test', label: 'Talk test', kind: 'pass', most: 1 });
const dolphin = check({ check: 'dolphin-hold', label: 'Dolphin', kind: 'hold', byBase: true });

function show(checks: readonly FloorCheck[], before: readonly FloorAct[] = [], here = ['1', '2']) {
  const fake = fakeFloor(before);
  const held = jest.fn();
  const bundle = fakeBundle({
    checks,
    prepared: {
      people: [{ id: '1' }, { id: '2' }],
      checks: checks.map((one) => ({
        check: one.check,
        label: one.label,
        base: null,
        people: [{ id: '1' }, { id: '2' }],
      })),
    } as never,
  });
  const ui = renderUi(
    <InClass fake={fake} bundle={bundle} here={here}>
      <ChecksPanel onHold={held} />
    </InClass>,
  );
  const again = () =>
    ui.rerender(
      <InClass fake={fake} bundle={bundle} here={here}>
        <ChecksPanel onHold={held} />
      </InClass>,
    );
  return { fake, held, again, ...ui };
}

it('says what is asked for, and how it is taken, with the legend of what is counted', async () => {
  const { user } = show([pushUp, raise]);
  expect(screen.getByText('Bar: at least 3 of 8.')).toBeInTheDocument();
  expect(screen.getByText('Bar: at least 70°, each side.')).toBeInTheDocument();
  expect(screen.getByText('On the back, the other leg flat.')).not.toBeVisible();
  await user.click(screen.getAllByText('How it is taken')[0]!);
  const legend = screen.getByRole('list');
  expect(legend).toHaveAttribute('start', '0');
  expect(within(legend).getAllByRole('listitem')[1]).toHaveTextContent('prone press');
});

it('shows which side is noted, takes the other one next, and keeps both in sight', async () => {
  const { fake, again, user } = show([raise]);
  const side = screen.getByRole('radiogroup', { name: 'Side, Ada' });
  const number = () => screen.getByRole('textbox', { name: 'Straight-leg raise, Ada' });
  expect(within(side).getByRole('radio', { name: 'left' })).toBeChecked();
  await user.type(number(), '72');
  await user.click(screen.getByRole('button', { name: 'Keep Ada' }));
  expect(within(side).getByRole('radio', { name: 'right' })).toBeChecked();
  await user.type(number(), '68');
  await user.click(screen.getByRole('button', { name: 'Keep Ada' }));
  expect(fake.said).toMatchObject([
    { kind: 'seen', person: '1', check: 'straight-leg-raise', value: 72, side: 'left' },
    { kind: 'seen', person: '1', check: 'straight-leg-raise', value: 68, side: 'right' },
  ]);
  again();
  expect(screen.getByText('left 72°, right 68°')).toBeInTheDocument();
});

it('takes a length in inches where the studio measures so, and keeps centimetres', async () => {
  const clearance = check({
    check: 'head-clearance',
    label: 'Head clearance',
    most: 40,
    typedIn: 'in',
    words: { bar: 'at least 1.2 in', suffix: ' in' },
  });
  const { fake, again, user } = show([clearance]);
  const number = screen.getByRole('textbox', { name: 'Head clearance, Ada' });
  await user.type(number, '1.2');
  await user.click(screen.getByRole('button', { name: 'Keep Ada' }));
  expect(fake.said).toMatchObject([{ person: '1', check: 'head-clearance', value: 3 }]);
  again();
  expect(screen.getByText('1.2 in')).toBeInTheDocument();
  // Forty centimetres are the most there can be, not forty inches.
  await user.type(screen.getByRole('textbox', { name: 'Head clearance, Bo' }), '16');
  expect(screen.getByRole('button', { name: 'Keep Bo' })).toBeDisabled();
});

it('takes a range of both sides at once, and says so', async () => {
  const { fake, again, user } = show([raise]);
  await user.click(
    within(screen.getByRole('radiogroup', { name: 'Side, Ada' })).getByRole('radio', {
      name: 'both',
    }),
  );
  await user.type(screen.getByRole('textbox', { name: 'Straight-leg raise, Ada' }), '75');
  await user.click(screen.getByRole('button', { name: 'Keep Ada' }));
  expect(fake.said).toMatchObject([{ person: '1', value: 75, side: null }]);
  again();
  expect(screen.getByText('both 75°')).toBeInTheDocument();
});

it('keeps nothing that nobody could have done, and nothing of an empty field', async () => {
  const { fake, user } = show([
    check({ check: 'hops-reaching', label: 'Hops', kind: 'reps', most: 8 }),
  ]);
  const keep = screen.getByRole('button', { name: 'Keep Bo' });
  expect(keep).toBeDisabled();
  await user.type(screen.getByRole('textbox', { name: 'Hops, Bo' }), '9');
  expect(keep).toBeDisabled();
  await user.clear(screen.getByRole('textbox', { name: 'Hops, Bo' }));
  await user.type(screen.getByRole('textbox', { name: 'Hops, Bo' }), '5');
  await user.click(keep);
  expect(fake.said).toMatchObject([{ person: '2', value: 5, side: null, base: null }]);
});

it('takes a word for what is passed or not, and says the last one', async () => {
  const { fake, again, user } = show([talk]);
  await user.click(screen.getByRole('button', { name: 'Ada no' }));
  await user.click(screen.getByRole('button', { name: 'Bo yes' }));
  expect(fake.said).toMatchObject([
    { person: '1', value: 0 },
    { person: '2', value: 1 },
  ]);
  again();
  expect(screen.getByText('Ada')).toHaveTextContent('Ada no');
  expect(screen.getByText('Bo')).toHaveTextContent('Bo yes');
});

it('sends what is held to the clock, with the base of the class and who is here', async () => {
  const { held, user } = show([dolphin], [], ['2']);
  expect(screen.getByRole('heading', { name: 'Dolphin, on the forearms' })).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'To the clock' }));
  expect(held).toHaveBeenCalledWith({ check: 'dolphin-hold', people: ['2'], base: 'forearms' });
});

it('leaves out what nobody who is here is looked at for', () => {
  show([talk], [], []);
  expect(screen.queryByRole('heading', { name: 'Talk test' })).toBeNull();
});

it('asks nobody for what loads a place that they said is sore', () => {
  const press = { ...pushUp, regions: ['shoulder', 'wrist'] as const };
  show([press, raise], [{ kind: 'sore', person: '1', place: 'wrist' }]);
  const of = (title: string) => within(screen.getByText(title).closest('article')!);
  expect(of('Push-up rung').queryByText('Ada')).not.toBeInTheDocument();
  expect(of('Push-up rung').getByText('Bo')).toBeInTheDocument();
  expect(of('Straight-leg raise').getByText('Ada')).toBeInTheDocument();
});

it('says so where nobody is left to be asked', () => {
  show([pushUp], [], []);
  expect(screen.getByText(/No check is planned/)).toBeInTheDocument();
});

it('takes a level, or a mark out of ten, by one tap', async () => {
  const sure = check({ check: 'confidence', label: 'Confidence', kind: 'rating', most: 10 });
  const { fake, user } = show([pushUp, sure]);
  await user.click(screen.getAllByRole('button', { name: /: 1, prone press$/ })[0]!);
  const marks = screen.getAllByRole('group', { name: /^Confidence, / })[1]!;
  expect(within(marks).getAllByRole('button')).toHaveLength(11);
  await user.click(within(marks).getByRole('button', { name: /: 0$/ }));
  expect(fake.said).toMatchObject([
    { kind: 'seen', check: 'push-up-rung', person: '1', value: 1 },
    { kind: 'seen', check: 'confidence', person: '2', value: 0 },
  ]);
  // What is measured is typed.
  expect(screen.queryByRole('spinbutton')).not.toBeInTheDocument();
});

it('keeps what is typed by the enter key, by going on to another, and when the line is left', async () => {
  const hops = check({ check: 'hops-reaching', label: 'Hops', kind: 'reps', most: 8 });
  const { fake, unmount, user } = show([hops, raise]);
  const ada = () => screen.getByRole('textbox', { name: 'Hops, Ada' });
  const bo = () => screen.getByRole('textbox', { name: 'Hops, Bo' });
  await user.type(ada(), '6{Enter}');
  expect(fake.said).toMatchObject([{ person: '1', check: 'hops-reaching', value: 6 }]);
  expect(ada()).toHaveValue('');
  await user.type(ada(), '7');
  await user.click(bo());
  expect(fake.said.slice(1)).toMatchObject([{ person: '1', value: 7 }]);
  // More than there can be is said, and never kept.
  await user.type(bo(), '9{Enter}');
  expect(screen.getByText('at most 8')).toBeInTheDocument();
  await user.clear(bo());
  // The side that a number is of may be said after it.
  await user.type(screen.getByRole('textbox', { name: 'Straight-leg raise, Bo' }), '64');
  const side = screen.getByRole('radiogroup', { name: 'Side, Bo' });
  await user.click(within(side).getByText('right'));
  expect(fake.said).toHaveLength(2);
  unmount();
  expect(fake.said.slice(2)).toMatchObject([{ person: '2', value: 64, side: 'right' }]);
  expect(fake.said).toHaveLength(3);
});

it('keeps nothing half typed of somebody who is no longer asked', async () => {
  const hops = check({ check: 'hops-reaching', label: 'Hops', kind: 'reps', most: 8 });
  const regions = { ...hops, regions: ['shoulder', 'wrist'] as const };
  const { fake, again, unmount, user } = show([regions]);
  await user.type(screen.getByRole('textbox', { name: 'Hops, Ada' }), '1');
  await fake.floor.say({ kind: 'sore', person: '1', place: 'wrist' });
  again();
  expect(screen.queryByRole('textbox', { name: 'Hops, Ada' })).not.toBeInTheDocument();
  unmount();
  expect(fake.said.filter(({ kind }) => kind === 'seen')).toEqual([]);
});
