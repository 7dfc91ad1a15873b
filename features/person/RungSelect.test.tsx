import { screen, waitFor } from '@testing-library/react';
import type { StageKey } from '@/core/catalog/stage';
import { renderUi } from '@/design/testing/renderUi';
import { RungSelect } from './RungSelect';

const placed: [number, object][] = [];
let isRefused = false;
jest.mock('@/features/people/actions', () => ({
  placeOnRungAction: (person: number, form: object) => {
    placed.push([person, form]);
    return Promise.resolve(
      isRefused
        ? { ok: false, problems: { form: 'Not now.' } }
        : { ok: true, value: { stage: 'FS1', since: '2031-02-01' } },
    );
  },
}));

const rungs = [
  { value: 'FS1', label: 'Base' },
  { value: 'FS2', label: 'Plank' },
] as const;
const show = (present: StageKey | null, presentLabel: string | null = null) =>
  renderUi(
    <RungSelect
      personId={7}
      family="forearm-stand"
      present={present}
      presentLabel={presentLabel}
      rungs={rungs}
    />,
  );
const select = () => screen.getByRole('combobox', { name: 'Works at, Forearm stand' });

beforeEach(() => {
  placed.length = 0;
  isRefused = false;
});

it('shows where somebody works, and places them on another rung', async () => {
  const { user } = show('FS1');
  expect(select()).toHaveDisplayValue('Base');
  await user.selectOptions(select(), 'Plank');
  expect(placed).toEqual([[7, { family: 'forearm-stand', stage: 'FS2' }]]);
  // A choice that slipped goes back to the rung, and to the day since when.
  await user.click(await screen.findByRole('button', { name: 'Undo' }));
  expect(placed.at(-1)).toEqual([
    7,
    { family: 'forearm-stand', stage: 'FS1', since: '2031-02-01' },
  ]);
});

it('takes them off the ladder, and keeps a first choice while the page comes anew', async () => {
  const first = show(null);
  await first.user.selectOptions(select(), 'Base');
  expect(select()).toHaveDisplayValue('Base');
  first.unmount();
  const { user } = show('FS2');
  await user.selectOptions(select(), 'not begun');
  expect(placed.at(-1)).toEqual([7, { family: 'forearm-stand', stage: null }]);
});

it('says what was not possible', async () => {
  isRefused = true;
  const { user } = show('FS1');
  await user.selectOptions(select(), 'Plank');
  expect(await screen.findByText('Not now.')).toBeInTheDocument();
});

it('shows nobody on a rung where they could not be placed', async () => {
  isRefused = true;
  const { user } = show(null);
  await user.selectOptions(select(), 'Plank');
  expect(await screen.findByText('Not now.')).toBeInTheDocument();
  await waitFor(() => expect(select()).toHaveDisplayValue('not begun'));
});

it('says where somebody works also where the ladder of their school has it no more', () => {
  show('FS9', 'Kick to the wall');
  expect(select()).toHaveDisplayValue('Kick to the wall');
});
