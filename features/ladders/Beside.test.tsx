import { screen, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { GateRow } from '@/server/judging/gateRows';
import { Beside, type AtGate } from './Beside';

const push = jest.fn();
jest.mock('next/navigation', () => ({
  useRouter: () => ({ push: (...call: unknown[]) => push(...call) as unknown }),
  usePathname: () => '/ladders/FS10',
  useSearchParams: () => new URLSearchParams('person=1'),
}));

const row = (key: string, status: GateRow['status'], figures: string): GateRow => ({
  key,
  check: 'dolphin-hold',
  base: null,
  label: key,
  status,
  figures,
  valueKind: 'seconds',
  unitLabel: 's',
  sides: [],
  voidedBy: [],
  isAtDoor: false,
});

const one: AtGate = {
  id: 1,
  name: 'Ada Berg',
  kind: 'stay',
  isClosed: false,
  rows: [row('Dolphin hold', 'not-yet', 'about 20 s now'), row('Plank hold', 'met', '40 s')],
};
const other: AtGate = {
  id: 2,
  name: 'Bo Kern',
  kind: 'advance',
  isClosed: false,
  rows: [row('Dolphin hold', 'met', 'about 50 s now'), row('Plank hold', 'met', '41 s')],
};
const people = [one, other].map(({ id, name }) => ({ id, name }));

it('puts two people line by line beside each other, and names what parts them', () => {
  renderUi(<Beside one={one} other={other} people={people} />);
  const line = screen.getByRole('row', { name: /Dolphin hold/ });
  const cells = within(line).getAllByRole('cell');
  expect(cells[0]).toHaveTextContent('not yet');
  expect(cells[0]).toHaveTextContent('about 20 s now');
  expect(cells[1]).toHaveTextContent('about 50 s now');
  expect(screen.getByText('What parts them: dolphin hold.')).toBeInTheDocument();
});

it('says of whom care closes it, and never why', () => {
  renderUi(<Beside one={one} other={{ ...other, kind: 'stop', isClosed: true }} people={people} />);
  expect(screen.getByText(/Closed to Bo today/)).toBeInTheDocument();
  expect(screen.getByRole('link', { name: 'why stands on their page' })).toHaveAttribute(
    'href',
    '/people/2#closed',
  );
});

it('keeps who is compared in the address', async () => {
  const { user } = renderUi(<Beside one={one} other={null} people={people} />);
  await user.type(screen.getByRole('combobox'), 'bo{Enter}');
  expect(push).toHaveBeenCalledWith('/ladders/FS10?person=1&beside=2', { scroll: false });
});
