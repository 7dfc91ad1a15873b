import { screen } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import { SettingsForm } from './SettingsForm';

const mockSave = jest.fn();
jest.mock('./actions', () => ({
  saveSettingsAction: (...call: unknown[]) => mockSave(...call) as unknown,
}));

const show = () =>
  renderUi(
    <SettingsForm
      studio="The Oakum Loft"
      breathSeconds={5}
      paperInk="tones"
      scaleAddress=""
      deskIdleMinutes={10}
      deviceIdleDays={90}
    />,
  );

beforeEach(() => mockSave.mockReset());

it('keeps what was changed, and the rest as it was', async () => {
  mockSave.mockResolvedValue({ ok: true, value: undefined });
  const { user } = show();
  await user.selectOptions(screen.getByLabelText('Drawings on paper'), [
    'In black alone, for a copier or a stencil',
  ]);
  await user.clear(screen.getByLabelText('Seconds in a breath'));
  await user.type(screen.getByLabelText('Seconds in a breath'), '6');
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByText('Kept.')).toBeInTheDocument();
  expect(mockSave).toHaveBeenCalledWith({
    studio: 'The Oakum Loft',
    breathSeconds: 6,
    paperInk: 'one',
    scaleAddress: '',
    deskIdleMinutes: 10,
    deviceIdleDays: 90,
  });
});

it('says at each field what is wrong with it, and takes it back once it is right', async () => {
  mockSave.mockResolvedValueOnce({
    ok: false,
    problems: { scaleAddress: 'That is no address.', form: 'Nothing was kept.' },
  });
  const { user } = show();
  await user.type(screen.getByLabelText(/Load scale/), 'x');
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByText('That is no address.')).toBeInTheDocument();
  expect(screen.getByText('Nothing was kept.')).toBeInTheDocument();
  mockSave.mockResolvedValueOnce({ ok: true, value: undefined });
  await user.clear(screen.getByLabelText(/Load scale/));
  await user.click(screen.getByRole('button', { name: 'Keep' }));
  expect(await screen.findByText('Kept.')).toBeInTheDocument();
  expect(screen.queryByText('That is no address.')).toBeNull();
});
