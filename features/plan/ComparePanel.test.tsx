import { screen } from '@testing-library/react';
import type { ComposeAnswer } from '@/workers/compose.worker';
import type { PlanFile } from '@/core/files/planFile';
import { renderUi } from '@/design/testing/renderUi';
import { FakeComposer, fakeComposers } from '@/features/testing/fakeComposer';
import { ComparePanel } from './ComparePanel';
import type { Planner } from './usePlanner';

beforeAll(fakeComposers);

const plan = (labels: readonly (readonly [string, string])[], objective: number, bound = 9) =>
  ({
    objective,
    bound,
    leastShare: 0.8,
    rounds: [0, 1].map((round) => ({
      people: labels.map((own, index) => ({ id: String(index + 1), label: own[round] })),
    })),
  }) as unknown as PlanFile;

const now = plan(
  [
    ['Dolphin', 'Dolphin'],
    ['L', 'L'],
  ],
  9,
);
const members = [
  { id: '1', name: 'Ada Poole' },
  { id: '2', name: 'Bo Lind' },
] as never;
const prepared = { people: [] };

const planner = (wishes: object) =>
  ({
    prepared,
    wishes: { minutes: 75, rounds: 2, helpers: 0, pins: [], ...wishes },
  }) as unknown as Pick<Planner, 'wishes' | 'prepared'>;

const own = planner({});
const open = () => renderUi(<ComparePanel {...own} plan={now} members={members} />);
const proved = (other: PlanFile): ComposeAnswer => ({
  kind: 'proved',
  plan: other,
  milliseconds: 1,
});

it('composes with one thing otherwise, and says who would do something else', async () => {
  const { user } = open();
  await user.selectOptions(screen.getByLabelText('The other plan'), 'with one helper more');
  await user.click(screen.getByRole('button', { name: 'Compose beside' }));
  expect(FakeComposer.last.asked).toMatchObject({ kind: 'compose', wishes: { helpers: 1 } });
  const better = plan(
    [
      ['Dolphin', 'Dolphin'],
      ['L', 'Kick'],
    ],
    9.5,
    9.5,
  );
  FakeComposer.last.answer(proved(better));
  expect(screen.getByRole('row', { name: /Bo/ })).toHaveTextContent('BoLL → Kick');
  expect(screen.queryByRole('row', { name: /Ada/ })).toBeNull();
  expect(
    screen.getByText(/helper more: 5\.6 % better for the class\. Whoever gets least/),
  ).toBeInTheDocument();
  expect(FakeComposer.last.isEnded).toBe(true);
});

it('cannot tell where the two are nearer than what is proved', async () => {
  const { user } = open();
  await user.click(screen.getByRole('button', { name: 'Compose beside' }));
  FakeComposer.last.answer(
    proved(
      plan(
        [
          ['Dolphin', 'Dolphin'],
          ['L', 'L'],
        ],
        9.1,
        9.4,
      ),
    ),
  );
  expect(screen.getByText(/cannot tell/)).toBeInTheDocument();
  expect(screen.getByText('Everybody would do the same.')).toBeInTheDocument();
});

it('says nothing any more of what was composed for other wishes', async () => {
  const { user, rerender } = open();
  await user.click(screen.getByRole('button', { name: 'Compose beside' }));
  FakeComposer.last.answer(proved(now));
  expect(screen.getByText(/Whoever gets least/)).toBeInTheDocument();
  rerender(<ComparePanel {...planner({ minutes: 60 })} plan={now} members={members} />);
  expect(screen.queryByText(/Whoever gets least/)).toBeNull();
});

it('says so where there is none, and can be asked again', async () => {
  const { user } = open();
  const ask = screen.getByRole('button', { name: 'Compose beside' });
  await user.click(ask);
  FakeComposer.last.answer({ kind: 'failed', words: 'Composing stopped.' });
  expect(screen.getByRole('alert')).toHaveTextContent('Composing stopped.');
  await user.click(ask);
  FakeComposer.last.fail();
  expect(screen.getByRole('alert')).toHaveTextContent('The solver did not come.');
  expect(ask).toBeEnabled();
});
