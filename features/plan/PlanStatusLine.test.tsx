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

function show(status: PlanStatus, keeping: PlanKeeping) {
  const keepAgain = jest.fn();
  const planner = { status, keeping, plan, keepAgain, asked: null, gapPercent: null };
  renderUi(<PlanStatusLine planner={planner as unknown as Planner} outdated={[]} />);
  return { keepAgain, words: screen.getByRole('status').textContent };
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
