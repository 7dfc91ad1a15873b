import { screen, waitFor } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { lengthIds } from '@/core/body/lengths';
import { takenIds } from '@/core/body/taken';
import { tableOf } from '@/core/units/keyed';
import { BodyForm } from './BodyForm';

const saveBodyAction = jest.fn();
jest.mock('./actions', () => ({
  saveBodyAction: (...asked: unknown[]) => saveBodyAction(...asked) as unknown,
}));

const show = () =>
  renderUi(
    <BodyForm
      personId={4}
      units="cm"
      initial={{
        height: '170',
        mass: '',
        forearmHands: '',
        lengths: tableOf(takenIds.map((id) => [id, ''] as const)),
      }}
      current={tableOf(lengthIds.map((id) => [id, '25 cm'] as const)) as never}
      hands={[
        { value: '', label: 'As Prop-led has them: round a block' },
        { value: 'clasped', label: 'clasped: elbows 35 cm from the wall' },
      ]}
      telling={['forearm']}
    />,
  );

beforeEach(() => saveBodyAction.mockReset());

it('keeps the hands that were chosen', async () => {
  saveBodyAction.mockResolvedValue({ ok: true });
  const { user } = show();
  await user.selectOptions(screen.getByLabelText('Hands in a forearm stand'), 'clasped');
  await user.click(screen.getByRole('button', { name: 'Keep measures' }));
  await waitFor(() => expect(saveBodyAction).toHaveBeenCalledTimes(1));
  expect(saveBodyAction.mock.calls[0]![1]).toMatchObject({ forearmHands: 'clasped' });
});

it('unfolds the field that was refused, with the words beside it and what was typed', async () => {
  saveBodyAction.mockResolvedValue({
    ok: false,
    problems: { 'lengths.bellyGirth': 'Belly: 20 cm does not fit.' },
  });
  const { user } = show();
  await user.click(screen.getByRole('button', { name: /more measures/ }));
  const belly = screen.getByLabelText(/^Belly, all round/);
  expect(belly).toHaveAttribute('placeholder', 'taken as usual');
  await user.type(belly, '20');
  await user.click(screen.getByRole('button', { name: 'Fewer measures' }));
  await user.click(screen.getByRole('button', { name: 'Keep measures' }));
  expect(await screen.findByText('Belly: 20 cm does not fit.')).toBeInTheDocument();
  expect(screen.getByRole('button', { name: 'Fewer measures' })).toBeInTheDocument();
  expect(belly).toHaveValue('20');
  // The next one is compared with what was stored, not with what was refused.
  await user.clear(belly);
  saveBodyAction.mockResolvedValue({ ok: true });
  await waitFor(() => expect(screen.getByRole('button', { name: 'Keep measures' })).toBeEnabled());
  await user.click(screen.getByRole('button', { name: 'Keep measures' }));
  await waitFor(() => expect(saveBodyAction).toHaveBeenCalledTimes(2));
  expect(saveBodyAction.mock.calls[1]![2]).toMatchObject({ lengths: {} });
});
