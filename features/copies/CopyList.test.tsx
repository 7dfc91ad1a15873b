import { screen, waitFor, within } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { sayMoment } from '@/design/days';
import type { RestoreLook } from '@/server/copies/restore';
import type { Outcome } from '@/server/result';
import { CopyList, type CopyLine } from './CopyList';

const line = (name: string, atMs: number, more: Partial<CopyLine> = {}): CopyLine => ({
  name,
  atMs,
  kind: 'night',
  isSealed: false,
  bytes: 480_000,
  rows: 1200,
  ...more,
});
const monday = line('monday', Date.UTC(2026, 0, 5, 3));
const tuesday = line('tuesday', Date.UTC(2026, 0, 6, 3), { kind: 'hand' });

const size = { people: 14, records: 300, decisions: 9, courses: 2, classes: 8 };
const found = ({ name, atMs }: CopyLine, people: number): RestoreLook =>
  ({ name, atMs, now: size, then: { ...size, people }, gone: ['Ada'], back: [] }) as RestoreLook;

/** Answers when it is told to. */
function later<Value>() {
  let answer: (value: Value) => void = () => undefined;
  const promise = new Promise<Value>((resolve) => (answer = resolve));
  return { promise, answer };
}

function show(
  copies: readonly CopyLine[],
  look: (asked: { name: string; passphrase: string }) => Promise<Outcome<RestoreLook>>,
  restore = jest.fn(() => Promise.resolve({ ok: true, value: null } as Outcome<string | null>)),
) {
  const onRestored = jest.fn();
  const ui = renderUi(<CopyList {...{ copies, look, restore, onRestored }} />);
  const into = ({ atMs }: CopyLine) =>
    screen.getByRole('button', { name: `Look into the copy of ${sayMoment(atMs)}` });
  return { ...ui, restore, onRestored, into };
}

it('shows what a copy would change before it is taken back', async () => {
  const look = jest.fn(() => Promise.resolve({ ok: true, value: found(monday, 15) } as const));
  const { user, into, restore, onRestored } = show([monday], look);
  await user.click(into(monday));
  const row = await screen.findByRole('row', { name: 'people 14 15' });
  expect(row).toHaveAttribute('data-differs', 'true');
  expect(screen.getByText('Would be gone: Ada.')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Take it back' }));
  await waitFor(() => expect(onRestored).toHaveBeenCalledTimes(1));
  expect(restore).toHaveBeenCalledWith({ name: 'monday', passphrase: '' });
});

it('shows no copy’s difference beside another copy’s button, however late it comes', async () => {
  const slow = later<Outcome<RestoreLook>>();
  const { user, into } = show([monday, tuesday], ({ name }) =>
    name === 'monday'
      ? slow.promise
      : Promise.resolve({ ok: true, value: found(tuesday, 16) } as const),
  );
  await user.click(into(monday));
  await user.click(into(tuesday));
  expect(await screen.findByRole('row', { name: 'people 14 16' })).toBeInTheDocument();
  slow.answer({ ok: true, value: found(monday, 15) });
  await slow.promise;
  expect(screen.getByRole('row', { name: 'people 14 16' })).toBeInTheDocument();
  expect(screen.queryByRole('row', { name: 'people 14 15' })).toBeNull();
});

it('shows nothing of a copy that was left before it was opened', async () => {
  const slow = later<Outcome<RestoreLook>>();
  const { user, into } = show([monday], () => slow.promise);
  await user.click(into(monday));
  await user.click(screen.getByRole('button', { name: 'Leave it' }));
  slow.answer({ ok: true, value: found(monday, 15) });
  await slow.promise;
  expect(screen.queryByRole('table')).toBeNull();
  expect(screen.queryByRole('button', { name: 'Take it back' })).toBeNull();
});

it('lets nothing else be done while a copy is on its way back, and says when it did not come', async () => {
  const slow = later<Outcome<string | null>>();
  const { user, into, onRestored } = show(
    [monday, tuesday],
    () => Promise.resolve({ ok: true, value: found(monday, 15) } as const),
    jest.fn(() => slow.promise.then(() => Promise.reject(new TypeError('Failed to fetch')))),
  );
  await user.click(into(monday));
  await user.click(await screen.findByRole('button', { name: 'Take it back' }));
  expect(screen.getByRole('button', { name: 'Leave it' })).toBeDisabled();
  expect(into(tuesday)).toBeDisabled();
  slow.answer({ ok: true, value: null });
  expect(await screen.findByRole('alert')).toHaveTextContent('No answer came');
  expect(screen.getByRole('button', { name: 'Leave it' })).toBeEnabled();
  expect(onRestored).not.toHaveBeenCalled();
});

it('asks for the word of a sealed copy, and says when it is the wrong one', async () => {
  const sealed = line('sealed', Date.UTC(2026, 0, 7, 3), { isSealed: true, rows: null });
  const look = jest
    .fn()
    .mockResolvedValueOnce({ ok: false, problems: { passphrase: 'That is not its passphrase.' } })
    .mockResolvedValueOnce({ ok: true, value: found(sealed, 14) });
  const { user, into } = show([sealed], look);
  await user.click(into(sealed));
  expect(look).not.toHaveBeenCalled();
  await user.type(screen.getByLabelText('Passphrase of the copies'), 'wrong word');
  await user.click(screen.getByRole('button', { name: 'Open it' }));
  expect(await screen.findByText('That is not its passphrase.')).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Open it' }));
  expect(await screen.findByRole('table')).toBeInTheDocument();
  expect(look).toHaveBeenLastCalledWith({ name: 'sealed', passphrase: 'wrong word' });
});

it('shows the last few first, and all of them on asking', async () => {
  const many = Array.from({ length: 9 }, (_, day) => line(`d${day}`, Date.UTC(2026, 0, 1 + day)));
  const { user } = show(many, jest.fn());
  expect(screen.getAllByRole('listitem')).toHaveLength(6);
  await user.click(screen.getByRole('button', { name: 'All 9 copies' }));
  expect(screen.getAllByRole('listitem')).toHaveLength(9);
  expect(within(screen.getAllByRole('listitem')[8]!).getByText(/at night/)).toBeInTheDocument();
});
