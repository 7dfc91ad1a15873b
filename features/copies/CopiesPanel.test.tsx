import { screen, waitFor } from '@testing-library/react';
import * as fakes from '@/design/testing/fakeActions';
import { renderUi } from '@/design/testing/renderUi';
import type { CopiesView } from '@/server/copies/schedule';
import { CopiesPanel } from './CopiesPanel';

jest.mock('./actions', () =>
  jest.requireActual<typeof fakes>('@/design/testing/fakeActions').fakeActions({
    changeKeepingAction: 'keeping',
    dropCopiesAction: 'drop',
    lookAtCopyAction: 'look',
    makeCopyAction: 'copy',
    restoreCopyAction: 'restore',
  }),
);
const mockRefresh = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: mockRefresh }) }));

beforeEach(() => {
  fakes.beginAsking();
  mockRefresh.mockClear();
  fakes.answerWith((what) => Promise.resolve({ ok: true, value: what === 'drop' ? 2 : undefined }));
});

const nowMs = Date.UTC(2031, 2, 4, 18);
const view = (more: object = {}) =>
  ({
    copies: [],
    lastGoodMs: nowMs - 2 * 86_400_000,
    warning: null,
    folder: null,
    days: 14,
    months: 6,
    isSealed: false,
    ...more,
  }) as unknown as CopiesView;

const open = (more: object = {}) => renderUi(<CopiesPanel view={view(more)} nowMs={nowMs} />);

it('says how old the last good copy is, and what is wrong', () => {
  open({ warning: 'The folder for the copies is not there.' });
  expect(screen.getByText('2 days ago')).toBeInTheDocument();
  expect(screen.getByRole('alert')).toHaveTextContent('is not there');
});

it('copies now, and says why not', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Copy now' }));
  expect(await screen.findByText('Copied and checked.')).toBeInTheDocument();
  fakes.refuse({ form: 'The disk is full.' });
  await user.click(screen.getByRole('button', { name: 'Copy now' }));
  expect(await screen.findByText('The disk is full.')).toBeInTheDocument();
  expect(mockRefresh).toHaveBeenCalledTimes(2);
});

it('drops no copy that is not there, and keeps a passphrase on the page until it is kept', async () => {
  fakes.refuse({ passphrase: 'At least ten signs.' });
  const { user } = open();
  expect(screen.getByRole('button', { name: 'Drop all copies' })).toBeDisabled();
  await user.click(screen.getByLabelText('Seal them with a passphrase'));
  await user.type(screen.getByLabelText('Passphrase'), 'short');
  await user.click(screen.getByRole('button', { name: 'Keep and try' }));
  expect(await screen.findByText('At least ten signs.')).toBeInTheDocument();
  expect(screen.getByLabelText('Passphrase')).toHaveValue('short');
  fakes.agree();
  await user.type(screen.getByLabelText('Passphrase'), ' but longer now');
  await user.click(screen.getByRole('button', { name: 'Keep and try' }));
  await waitFor(() => expect(screen.getByLabelText('Passphrase')).toHaveValue(''));
  expect(fakes.asked.at(-1)).toEqual([
    'keeping',
    { folder: '', days: 14, months: 6, isSealed: true, passphrase: 'short but longer now' },
  ]);
});
