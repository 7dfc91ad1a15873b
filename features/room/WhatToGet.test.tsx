import { act, screen } from '@testing-library/react';
import type { Purchase } from '@/core/compose/shopping';
import { renderUi } from '@/design/testing/renderUi';
import { FakeComposer, fakeComposers } from '@/features/testing/fakeComposer';
import { WhatToGet } from './WhatToGet';

beforeAll(fakeComposers);
/** Classes that are on their way, in the order in which they were asked for. */
const mockWaiting: ((outcome: object) => void)[] = [];
jest.mock('@/features/plan/actions', () => ({
  listCourseClassesAction: () => new Promise((resolve) => mockWaiting.push(resolve)),
}));

const arrive = async (outcome: object) => {
  await act(async () => {
    mockWaiting.shift()!(outcome);
    await Promise.resolve();
  });
};
const show = () => renderUi(<WhatToGet courseId={1} people={[{ id: '3', name: 'Ada Poole' }]} />);
const workOut = () => screen.getByRole('button', { name: 'Work it out' });

beforeEach(() => {
  mockWaiting.length = 0;
});

it('says what to get, for whom and in how many weeks', async () => {
  const { user } = show();
  await user.click(workOut());
  await arrive({ ok: true, value: [] });
  FakeComposer.last.answer({ kind: 'binding', done: 1, of: 4 });
  expect(screen.getByRole('progressbar')).toHaveAttribute('aria-valuenow', '25');
  const purchase = { row: 'bolster-rectangular', count: 2, serves: ['3'], weeks: 1 };
  FakeComposer.last.answer({ kind: 'bought', purchases: [purchase as unknown as Purchase] });
  expect(screen.getByRole('listitem')).toHaveTextContent(/1 week gain.*Ada/);
  expect(FakeComposer.last.isEnded).toBe(true);
  expect(workOut()).toBeInTheDocument();
});

it('begins nothing that was stopped while the classes were on their way', async () => {
  const { user } = show();
  const before = FakeComposer.begun;
  await user.click(workOut());
  await user.click(screen.getByRole('button', { name: 'Stop' }));
  await arrive({ ok: true, value: [] });
  expect(FakeComposer.begun).toBe(before);
  expect(workOut()).toBeInTheDocument();
});

it('begins nothing for a page that was left meanwhile', async () => {
  const { user, unmount } = show();
  const before = FakeComposer.begun;
  await user.click(workOut());
  unmount();
  await arrive({ ok: true, value: [] });
  expect(FakeComposer.begun).toBe(before);
});

it('can be asked again where the solver did not come, or no classes did', async () => {
  const { user } = show();
  await user.click(workOut());
  await arrive({ ok: true, value: [] });
  FakeComposer.last.fail();
  expect(await screen.findByText(/The solver did not come/)).toBeInTheDocument();
  await user.click(workOut());
  await arrive({ ok: false, problems: { course: 'This course is gone.' } });
  expect(await screen.findByText('This course is gone.')).toBeInTheDocument();
  expect(workOut()).toBeInTheDocument();
});
