import { screen, waitFor } from '@testing-library/react';
import type { Offer } from '@/core/plumb/feeds';
import { renderUi } from '@/design/testing/renderUi';
import { OfferList } from './OfferList';
import { plumbViewOf } from './testing';

const kept: object[] = [];
let mockAnswer: () => object = () => ({ ok: true, value: 1 });
jest.mock('@/features/person/actions', () => ({
  recordCheckAction: (_: number, form: object) => {
    kept.push(form);
    return Promise.resolve(mockAnswer());
  },
  undoRecordAction: () => Promise.resolve({ ok: true, value: undefined }),
}));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: jest.fn() }) }));

const raise: Offer = {
  check: 'straight-leg-raise',
  base: null,
  measure: 'straightLegRaise',
  value: 71.4,
  error: 2,
};
const view = plumbViewOf({
  checks: [
    {
      check: 'straight-leg-raise',
      label: 'Straight-leg raise',
      bar: 70,
      sides: ['left', 'right', 'both'],
    },
  ],
});
const headView = plumbViewOf({
  checks: [{ check: 'head-clearance', label: 'Head clearance in dolphin', bar: 3, sides: [] }],
});
const show = () =>
  renderUi(<OfferList view={view} offers={[raise]} by="picture" faults={[]} isPainted={false} />);
const keep = () => screen.getByRole('button', { name: 'Keep it' });

beforeEach(() => {
  kept.length = 0;
  mockAnswer = () => ({ ok: true, value: 1 });
});

it('keeps a range of neither side before it was said which, and asks anew for the next', async () => {
  const { user } = show();
  expect(keep()).toBeDisabled();
  await user.click(screen.getByRole('radio', { name: 'right' }));
  await user.click(keep());
  await waitFor(() => expect(kept).toMatchObject([{ side: 'right', value: '71.4' }]));
  await waitFor(() => expect(screen.getByRole('radio', { name: 'right' })).not.toBeChecked());
  await waitFor(() => expect(keep()).toBeDisabled());
  await user.click(screen.getByRole('radio', { name: 'both' }));
  await user.click(keep());
  await waitFor(() => expect(kept[1]).toMatchObject({ side: null }));
});

it('keeps the side where nothing was kept', async () => {
  mockAnswer = () => ({ ok: false, problems: { form: 'Too far back.' } });
  const { user } = show();
  await user.click(screen.getByRole('radio', { name: 'left' }));
  await user.click(keep());
  expect(await screen.findByText('Too far back.')).toBeInTheDocument();
  expect(screen.getByRole('radio', { name: 'left' })).toBeChecked();
});

it('keeps the same once, however often it is tapped, and again once it was taken back', async () => {
  const clearance: Offer = {
    ...raise,
    check: 'head-clearance',
    measure: 'headClearance',
    value: 4,
  };
  const show = (value: number) => (
    <OfferList view={headView} offers={[{ ...clearance, value }]} by="picture" faults={[]} />
  );
  const { user, rerender } = renderUi(show(4));
  await user.click(keep());
  expect(await screen.findByRole('button', { name: 'Kept' })).toBeDisabled();
  expect(kept).toHaveLength(1);
  // Marks that were moved since say something new.
  rerender(show(5.2));
  expect(keep()).toBeEnabled();
  rerender(show(4));
  expect(screen.getByRole('button', { name: 'Kept' })).toBeDisabled();
  await user.click(screen.getByRole('button', { name: 'Undo' }));
  await waitFor(() => expect(keep()).toBeEnabled());
});
