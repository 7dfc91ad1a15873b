import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import type { WishesFile } from '@/core/files/classFile';
import { renderUi } from '@/design/testing/renderUi';
import { findStandingPlan, readClass } from '@/server/judging/classViews';
import { fillWithDemo, withThrowawayStudio } from '@/features/testing/studio';
import type { Taken } from './change';
import type * as Changes from './PlanChanges';
import { PlanScreen } from './PlanScreen';
import type { Planner } from './usePlanner';

const push = jest.fn();
jest.mock('next/navigation', () => ({ useRouter: () => ({ push, refresh: () => undefined }) }));
// The planner and its worker have tests of their own: here it stands still and is told things.
const change = jest.fn();
let mockPlanner: Planner | null = null;
const started: { courseId: number | null }[] = [];
jest.mock('./usePlanner', () => ({
  usePlanner: (start: { courseId: number | null }) => {
    started.push(start);
    return mockPlanner;
  },
}));
jest.mock('./later', () => ({
  PlanChanges: jest.requireActual<typeof Changes>('./PlanChanges').PlanChanges,
  layBy: () => undefined,
  WhyPanel: ({ name, onClose }: { name: string; onClose: () => void }) => (
    <section aria-label={`Why ${name}`}>
      <button onClick={onClose}>Close</button>
    </section>
  ),
}));
let taken: Taken | null = null;
jest.mock('./FilesMenu', () => ({
  FilesMenu: ({ onTaken }: { onTaken: (file: Taken) => void }) => (
    <button onClick={() => onTaken(taken!)}>A file</button>
  ),
}));
jest.mock('./ComparePanel', () => ({ ComparePanel: () => null }));

withThrowawayStudio();

function readDemo() {
  fillWithDemo();
  const view = readClass(null)!;
  return { view, plan: findStandingPlan(view) };
}

/** Nothing here changes it: it is read once. */
let demo: ReturnType<typeof readDemo> | undefined;
function show(more: Partial<WishesFile> = {}) {
  demo ??= readDemo();
  const { view, plan } = demo;
  const { prepared } = view;
  const wishes = { ...view.wishes, ...more };
  const still: Planner = {
    wishes,
    prepared,
    plan,
    picture: plan,
    stood: null,
    status: 'done',
    keeping: 'kept',
    gapPercent: null,
    asked: null,
    canUndo: false,
    change,
    undo: jest.fn(),
    stop: jest.fn(),
    again: jest.fn(),
    keepAgain: jest.fn(),
  };
  mockPlanner = still;
  jest.clearAllMocks();
  started.length = 0;
  return { view, plan, ...renderUi(<PlanScreen view={view} />) };
}

const roundShown = () =>
  within(screen.getByRole('radiogroup', { name: 'Round' })).getByRole('radio', { checked: true });

it('steps through the rounds by keys, and stays at the last', () => {
  const { plan } = show();
  expect(plan.rounds.length).toBeGreaterThan(1);
  expect(roundShown()).toHaveAccessibleName('Round 1');
  for (let press = 0; press < plan.rounds.length + 2; press += 1) {
    fireEvent.keyDown(document.documentElement, { key: ']', code: 'BracketRight' });
  }
  expect(roundShown()).toHaveAccessibleName(`Round ${plan.rounds.length}`);
  fireEvent.keyDown(document.documentElement, { key: '[', code: 'BracketLeft' });
  expect(roundShown()).toHaveAccessibleName(`Round ${plan.rounds.length - 1}`);
});

it('asks why of whom is chosen, and goes back to what binds', async () => {
  const { user, plan } = show();
  expect(screen.queryByRole('region', { name: /^Why / })).not.toBeInTheDocument();
  const lanes = await screen.findByRole('region', { name: 'Running order and lanes' });
  const somebody = await waitFor(() =>
    within(lanes)
      .getAllByRole('button', { name: /Anselm/ })
      .at(0),
  );
  expect(plan.rounds[0]!.people.length).toBeGreaterThan(3);
  await user.click(somebody!);
  const why = await screen.findByRole('region', { name: /^Why Anselm/ });
  await user.click(within(why).getByRole('button', { name: 'Close' }));
  expect(screen.queryByRole('region', { name: /^Why / })).not.toBeInTheDocument();
});

it('gives an own order back to the composer', async () => {
  const { user } = show({ order: [{ drill: 'hollow', minutes: 4 }] });
  await user.click(screen.getByRole('button', { name: 'Let the composer order it again' }));
  expect(change).toHaveBeenCalledWith({ order: undefined });
});

it('has no such button where the order is the composer’s, and goes to another course', async () => {
  const { user, view } = show();
  expect(screen.queryByRole('button', { name: /order it again/ })).not.toBeInTheDocument();
  const other = view.courses.find(({ id }) => id !== view.course.id)!;
  await user.selectOptions(screen.getByLabelText('Course'), other.name);
  expect(push).toHaveBeenCalledWith(`/plan?course=${other.id}`);
});

it('shows a class from a file without keeping or printing it, and comes back from it', async () => {
  const { user, view, plan } = show();
  expect(started.at(-1)!.courseId).toBe(view.course.id);
  expect(screen.getByRole('link', { name: 'Print' })).toBeInTheDocument();
  taken = { kind: 'plan', plan };
  await user.click(screen.getByRole('button', { name: 'A file' }));
  expect(await screen.findByRole('heading', { name: 'A class from a file' })).toBeInTheDocument();
  expect(started.at(-1)!.courseId).toBeNull();
  expect(screen.queryByRole('link', { name: 'Print' })).not.toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Back to the course' }));
  expect(screen.getByRole('heading', { level: 1, name: view.course.name })).toBeInTheDocument();
});
