import { screen } from '@testing-library/react';
import type { PlanFile } from '@/core/files/planFile';
import { renderUi } from '@/design/testing/renderUi';
import { PlanChanges } from './PlanChanges';
import type { PlanStatus } from './plannerEngine';

const plan = (option: string): PlanFile =>
  ({
    checks: [],
    wishes: { absent: [] },
    rounds: [{ round: 1, people: [{ id: '1', option, label: option }] }],
    timeline: [],
  }) as unknown as PlanFile;
const members = [{ id: '1', name: 'Ada Berg' }] as never;

const show = (status: PlanStatus, stood: PlanFile | null) =>
  renderUi(<PlanChanges planner={{ plan: plan('Hop'), stood, status }} members={members} />);

it('says what the newest word changed, once it is known', () => {
  show('done', plan('Dog'));
  expect(screen.getByRole('status')).toHaveTextContent('This changes: Ada Berg: Hop in round 1.');
});

it('says that it changes nothing, and is silent while nobody knows or nothing was said', () => {
  const { unmount } = show('asking', plan('Hop'));
  expect(screen.getByRole('status')).toHaveTextContent('This changes: nothing.');
  unmount();
  show('proving', plan('Dog'));
  show('done', null);
  expect(screen.queryByRole('status')).not.toBeInTheDocument();
});
