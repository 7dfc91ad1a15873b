/** What is said of the plan on the screen is where it stands, and nothing better. */
import { screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import type { PlanFile } from '@/core/files/planFile';
import { renderUi } from '@/design/testing/renderUi';
import type { PlanKeeping, PlanStatus } from './plannerEngine';
import { PlanStatusLine } from './PlanStatusLine';
import type { Planner } from './usePlanner';

const plan = {
  gapPercent: 0.4,
  objective: 10,
  bound: 10.04,
  stoppedBy: 'optimal',
} as unknown as PlanFile;

function show(status: PlanStatus, keeping: PlanKeeping, gained: readonly string[] = []) {
  const keepAgain = jest.fn();
  const again = jest.fn();
  const planner = { status, keeping, plan, keepAgain, again, asked: null, gapPercent: null };
  renderUi(
    <PlanStatusLine planner={planner as unknown as Planner} outdated={[]} gained={gained} />,
  );
  return { again, keepAgain, words: screen.getByRole('status').textContent };
}

it('says that a plan is kept once it is, and not before', () => {
  expect(show('done', 'coming').words).not.toContain('Kept for Tonight');
});

it.each([
  ['kept', 'Kept for Tonight: at most 0.4 %'],
  ['refused', 'Not kept, another plan stands'],
  ['lost', 'Not kept'],
  ['nowhere', 'On this screen alone'],
] as const)('says of a plan that is %s: %s', (keeping, words) => {
  expect(show('done', keeping).words).toContain(words);
});

it('says of a plan that was stopped that it is not kept', () => {
  expect(show('stopped', 'refused').words).toContain('it is not kept');
});

it('keeps it once more where no answer came, and offers the kept one where another stands', async () => {
  const { keepAgain } = show('done', 'lost');
  await userEvent.click(screen.getByRole('button', { name: 'Keep it now' }));
  expect(keepAgain).toHaveBeenCalledTimes(1);
  expect(screen.queryByRole('button', { name: 'See the kept one' })).toBeNull();
});

it('says what has come since the plan was kept, and composes again when asked to', async () => {
  const { again, words } = show('kept', 'kept', ['the cupboard has more: 6 chairs']);
  expect(words).toContain(
    'Kept for Tonight. Since it was planned, the cupboard has more: 6 chairs',
  );
  await userEvent.click(screen.getByRole('button', { name: 'Compose again' }));
  expect(again).toHaveBeenCalledTimes(1);
});

it('says nothing of it once the plan is being composed again', () => {
  expect(show('proving', 'coming', ['the room is larger']).words).not.toContain('larger');
});
