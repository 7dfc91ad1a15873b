import { screen, waitFor } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { FromHome } from './FromHome';

const take = jest.fn();
const drop = jest.fn();
jest.mock('./actions', () => ({
  takeDiaryAction: (...call: unknown[]) => take(...call) as unknown,
  undoDiaryAction: (...call: unknown[]) => drop(...call) as unknown,
}));

const report = (on: string, more = {}) => ({
  on,
  item: 'boat',
  felt: 'right' as const,
  pain: null,
  sign: null,
  ...more,
});

const taken = { reports: [4, 5], pains: [], signs: [] };

beforeEach(() => {
  take.mockReset();
  take.mockResolvedValue({ ok: true, value: { added: 2, isToAsk: false, taken } });
  drop.mockResolvedValue({ ok: true, value: undefined });
});

describe('what comes from home', () => {
  it('counts days, and keeps where it hurt for the private part', () => {
    renderUi(
      <FromHome
        personId={3}
        reports={[
          report('2026-11-02'),
          report('2026-11-02', { pain: 'wrist' }),
          report('2026-11-05', { item: 'gone' }),
        ]}
        labels={{ boat: 'Boat' }}
      />,
    );
    expect(screen.getByText(/3 times on 2 days/)).toHaveTextContent('it opens nothing');
    expect(screen.getByRole('link', { name: 'to ask about' })).toHaveAttribute('href', '#closed');
    expect(screen.queryByText(/wrist/)).toBeNull();
    // The newest first; what no row is called is shown as it came.
    expect(screen.getAllByRole('listitem')[0]).toHaveTextContent('5 Nov 2026 · gone · about right');
  });

  it('folds the old ones away', () => {
    const many = Array.from({ length: 11 }, (_, index) => report(`2026-11-${10 + index}`));
    renderUi(<FromHome personId={3} reports={many} labels={{}} />);
    expect(screen.getByText('3 earlier')).toBeInTheDocument();
  });

  it('takes a pasted code in, and keeps one that was refused, with the reason', async () => {
    take.mockResolvedValueOnce({ ok: false, problems: { text: 'The code is not whole.' } });
    const { user } = renderUi(<FromHome personId={3} reports={[]} labels={{}} />);
    const field = screen.getByLabelText('Code from the practice file');
    expect(screen.getByRole('button', { name: 'Take it in' })).toBeDisabled();
    await user.type(field, 'LV1.abc');
    await user.click(screen.getByRole('button', { name: 'Take it in' }));
    expect(await screen.findByText('The code is not whole.')).toBeInTheDocument();
    expect(field).toHaveValue('LV1.abc');
    await waitFor(() => expect(screen.getByRole('button', { name: 'Take it in' })).toBeEnabled());
    await user.click(screen.getByRole('button', { name: 'Take it in' }));
    await waitFor(() => expect(field).toHaveValue(''));
    expect(take).toHaveBeenLastCalledWith(3, { text: 'LV1.abc' });
    expect(screen.queryByText('The code is not whole.')).toBeNull();
    await user.click(await screen.findByRole('button', { name: 'Undo' }));
    await waitFor(() => expect(drop).toHaveBeenCalledWith(3, taken));
  });

  it('takes the diary’s file in', async () => {
    const { user, container } = renderUi(<FromHome personId={3} reports={[]} labels={{}} />);
    const file = new File(['{"format":"levitar-diary"}'], 'practice-diary.json', {
      type: 'application/json',
    });
    Object.defineProperty(file, 'text', { value: () => Promise.resolve('{"a":1}') });
    await user.upload(container.querySelector<HTMLInputElement>('input[type=file]')!, file);
    await waitFor(() => expect(take).toHaveBeenCalledWith(3, { text: '{"a":1}' }));
  });
});
