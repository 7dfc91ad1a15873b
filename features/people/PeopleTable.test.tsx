import { screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { PeopleRow } from '@/features/ladders/read';
import { PeopleTable } from './PeopleTable';

const mockAsked: unknown[][] = [];
let mockAnswer: () => Promise<object>;
jest.mock('./actions', () => ({
  archivePeopleAction: (...given: unknown[]) => {
    mockAsked.push(given);
    return mockAnswer();
  },
}));

beforeEach(() => {
  mockAsked.length = 0;
  mockAnswer = () => Promise.resolve({ ok: true, value: undefined });
  // Nothing is laid out here: as high as a window, so that its rows are there.
  jest.spyOn(Element.prototype, 'clientHeight', 'get').mockReturnValue(600);
  jest.spyOn(HTMLElement.prototype, 'offsetHeight', 'get').mockReturnValue(600);
});

const row = (id: number, name: string, change: Partial<PeopleRow> = {}): PeopleRow => ({
  id,
  name,
  courses: ['Thursday'],
  heightM: 1.7,
  lastSeen: '2031-03-01',
  daysAway: 3,
  isScreeningDue: false,
  isArchived: false,
  consent: 'yes',
  rungs: [],
  ...change,
});

const open = () =>
  renderUi(
    <PeopleTable
      rows={[
        row(1, 'Ida Fern', { heightM: 1.62 }),
        row(2, 'Olaf Reed', { heightM: 1.81, courses: [] }),
        row(3, 'Una Moss', { isArchived: true }),
        row(4, 'Wim Ash', { isScreeningDue: true }),
      ]}
      courses={[{ id: 1, name: 'Thursday' }]}
      units="cm"
    />,
  );

const names = () =>
  screen.getAllByRole('rowheader').map((cell) => within(cell).getByRole('link').textContent);

it('finds by name, and says how many there are', async () => {
  const { user } = open();
  expect(screen.getByRole('status')).toHaveTextContent('3 of 4');
  await user.type(screen.getByLabelText('Search by name'), 'reed');
  await waitFor(() => expect(names()).toEqual(['Olaf Reed']));
  await user.type(screen.getByLabelText('Search by name'), 'x');
  await user.click(await screen.findByRole('button', { name: 'Show everyone' }));
  await waitFor(() => expect(names()).toHaveLength(3));
});

it('sorts by a column, either way, and says which', async () => {
  const { user } = open();
  const height = screen.getByRole('columnheader', { name: /^Height/ });
  await user.click(within(height).getByRole('button'));
  const first = height.getAttribute('aria-sort');
  const order = names();
  await user.click(within(height).getByRole('button'));
  expect(names()).toEqual([...order].reverse());
  expect(new Set([first, height.getAttribute('aria-sort')])).toEqual(
    new Set(['ascending', 'descending']),
  );
});

it('puts away only whom one sees chosen, and brings the same ones back', async () => {
  const { user } = open();
  await user.click(screen.getByLabelText('Choose Ida Fern'));
  await user.click(screen.getByLabelText('Choose Olaf Reed'));
  await user.selectOptions(screen.getByLabelText('Course'), 'Thursday');
  expect(screen.getByText('1 chosen')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Put away' }));
  expect(mockAsked).toEqual([[[1], true]]);
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(mockAsked.at(-1)).toEqual([[1], false]));
});

it('brings back whoever was put away', async () => {
  const { user } = open();
  await user.click(screen.getByLabelText('put away'));
  await user.click(screen.getByLabelText('Choose Una Moss'));
  await user.click(screen.getByRole('button', { name: 'Bring back' }));
  expect(mockAsked).toEqual([[[3], false]]);
});

it('leaves them chosen where no answer comes', async () => {
  mockAnswer = () => Promise.reject(new TypeError('no connection'));
  const { user } = open();
  await user.click(screen.getByLabelText('Choose Wim Ash'));
  await user.click(screen.getByRole('button', { name: 'Put away' }));
  expect(await screen.findByText(/No answer came/)).toBeInTheDocument();
  expect(screen.getByText('1 chosen')).toBeInTheDocument();
  expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull();
});
