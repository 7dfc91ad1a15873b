import { act, screen, waitFor, within } from '@testing-library/react';
import type { GateRow } from '@/server/judging/gateRows';
import { renderUi } from '@/design/testing/renderUi';
import { RecordButton } from './RecordButton';
import { RecordDesk } from './RecordDesk';

const mockAsked: [number, { value: string; side: string | null }][] = [];
jest.mock('@/features/person/actions', () => ({
  recordCheckAction: (person: number, form: { value: string; side: string | null }) => {
    mockAsked.push([person, form]);
    return Promise.resolve({ ok: true, value: mockAsked.length });
  },
  undoRecordAction: () => Promise.resolve({ ok: true }),
}));
jest.mock('./laterForm', () => jest.requireActual('./RecordForm'));

beforeEach(() => {
  mockAsked.length = 0;
});

const row = (more: Partial<GateRow> = {}): GateRow =>
  ({
    check: 'dolphin-hold',
    base: null,
    label: 'Dolphin hold',
    valueKind: 'seconds',
    unitLabel: 's',
    sides: [],
    voidedBy: [],
    ...more,
  }) as GateRow;

const everybody = ['Ada', 'Bo', 'Cy'].map((name, index) => ({ id: index + 1, name }));

/** A page that lists who still lacks the check: nobody who was just recorded. */
const page = (people: readonly { id: number; name: string }[], of = row()) => (
  <RecordDesk>
    {people.length === 0 ? (
      <p>Nothing to look at.</p>
    ) : (
      <RecordButton people={people} row={of} today="2031-03-04" breathSeconds={5} />
    )}
  </RecordDesk>
);

const turn = () => screen.getByRole('button', { current: 'step' }).textContent;

it('leaves nobody out where the list under it shortens with every record', async () => {
  const { user, rerender } = renderUi(page(everybody));
  await user.click(screen.getByRole('button', { name: 'Record Dolphin hold one after the other' }));
  for (const [index, { name }] of everybody.entries()) {
    await waitFor(() => expect(turn()).toBe(name));
    await user.type(screen.getByLabelText('How long'), `${40 + index}{Enter}`);
    await waitFor(() => expect(mockAsked).toHaveLength(index + 1));
    // What was recorded is no longer asked for; at the end the whole line is gone.
    act(() => rerender(page(everybody.slice(index + 1))));
  }
  expect(mockAsked.map(([person, { value }]) => [person, value])).toEqual([
    [1, '40'],
    [2, '41'],
    [3, '42'],
  ]);
  expect(screen.getByText('Nothing to look at.')).toBeInTheDocument();
  expect(screen.getByRole('dialog')).toHaveTextContent('Cy · Dolphin hold');
});

it('begins anew with whoever is listed then', async () => {
  const { user, rerender } = renderUi(page(everybody));
  await user.click(screen.getByRole('button', { name: /one after the other/ }));
  await user.click(screen.getByRole('button', { name: 'Cy' }));
  await user.keyboard('{Escape}');
  rerender(page(everybody.slice(1)));
  await user.click(screen.getByRole('button', { name: /one after the other/ }));
  expect(turn()).toBe('Bo');
  const turns = within(screen.getByRole('list', { name: 'Whose turn' })).getAllByRole('button');
  expect(turns.map(({ textContent }) => textContent)).toEqual(['Bo', 'Cy']);
});

it('stays for the other side, and goes on when asked', async () => {
  const { user } = renderUi(page(everybody, row({ sides: ['left', 'right'] })));
  await user.click(screen.getByRole('button', { name: /one after the other/ }));
  await user.type(screen.getByLabelText('How long'), '20{Enter}');
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  expect(turn()).toBe('Ada');
  await user.type(screen.getByLabelText('How long'), '18{Enter}');
  await waitFor(() => expect(mockAsked.map(([, { side }]) => side)).toEqual(['left', 'right']));
  await user.click(screen.getByRole('button', { name: 'Next: Bo' }));
  expect(turn()).toBe('Bo');
});

it('goes on by itself where both sides were taken at once', async () => {
  const range = row({ sides: ['left', 'right', 'both'] });
  const { user } = renderUi(page(everybody, range));
  await user.click(screen.getByRole('button', { name: /one after the other/ }));
  await user.click(screen.getByRole('radio', { name: 'both' }));
  await user.type(screen.getByLabelText('How long'), '85{Enter}');
  await waitFor(() => expect(turn()).toBe('Bo'));
  expect(mockAsked.map(([, { side }]) => side)).toEqual([null]);
});

it('opens by itself where there is no such list', async () => {
  const { user } = renderUi(
    <RecordButton
      people={everybody.slice(0, 1)}
      row={row()}
      today="2031-03-04"
      breathSeconds={5}
    />,
  );
  await user.click(screen.getByRole('button', { name: 'Record Dolphin hold for Ada' }));
  expect(screen.getByRole('dialog')).toHaveTextContent('Ada · Dolphin hold');
  expect(screen.queryByRole('list', { name: 'Whose turn' })).toBeNull();
});
