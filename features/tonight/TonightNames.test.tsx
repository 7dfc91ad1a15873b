import { act, screen, waitFor } from '@testing-library/react';
import type { PlanFile } from '@/core/files/planFile';
import type { WishesFile } from '@/core/files/classFile';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';
import { renderUi } from '@/design/testing/renderUi';
import { TonightNames } from './TonightNames';

const asked: { question: ComposeQuestion; answer: (one: ComposeAnswer) => void }[] = [];
const kept: PlanFile[] = [];
const refresh = jest.fn();
const mockRouter = { refresh };
jest.mock('next/navigation', () => ({ useRouter: () => mockRouter }));
jest.mock('@/features/plan/browserParts', () => ({
  browserParts: () => ({
    ask: (question: ComposeQuestion, answer: (one: ComposeAnswer) => void) => {
      asked.push({ question, answer });
      return () => undefined;
    },
    prepareAgain: () => Promise.resolve({ ok: true, value: {} }),
    keep: ({ plan }: { plan: PlanFile }) => {
      kept.push(plan);
      return Promise.resolve({ ok: true, value: kept.length });
    },
    tell: () => undefined,
  }),
}));

const mat = { kind: 'mat', x: 1, y: 1, isAcross: false };

const plan = (second: string): PlanFile =>
  ({
    checks: [],
    wishes: { absent: [] },
    rounds: [1, 2].map((round) => ({
      round,
      people: [
        {
          id: '1',
          option: round === 2 ? second : 'dog',
          label: round === 2 ? second : 'Dog',
          place: mat,
        },
        { id: '2', option: 'dog', label: 'Dog', place: mat },
      ],
    })),
    timeline: [],
    stations: [{ letter: 'A', option: 'dog', label: 'Dog', people: [] }],
  }) as unknown as PlanFile;

const wishes = {
  absent: [],
  late: [],
  sore: [],
  feetDown: [],
  pins: [],
  families: ['forearm-stand'],
} as unknown as WishesFile;

const show = (of: PlanFile = plan('Hop')) =>
  renderUi(
    <TonightNames
      courseId={1}
      day="2026-11-26"
      wishes={wishes}
      revision={0}
      plan={of}
      members={[
        { id: '1', name: 'Ada' },
        { id: '2', name: 'Bo' },
      ]}
    />,
  );

beforeEach(() => {
  asked.length = 0;
  kept.length = 0;
  refresh.mockClear();
});

it('takes two taps to say that somebody is away, and answers with what that changes', async () => {
  const { user } = show();
  expect(asked).toEqual([]);
  await user.click(screen.getByRole('button', { name: 'Bo' }));
  await user.click(await screen.findByRole('menuitem', { name: 'Away' }));
  await waitFor(() => expect(asked).toHaveLength(1));
  const { question, answer } = asked[0]!;
  // As little as can be moves, and letters stay.
  expect(question).toMatchObject({
    wishes: { absent: ['2'] },
    before: { '1': { options: ['dog', 'Hop'] } },
    letters: [{ letter: 'A' }],
  });
  await act(async () => {
    answer({ kind: 'proved', milliseconds: 1, plan: plan('Kick') });
    await Promise.resolve();
  });
  expect(screen.getByText(/This changes:/).closest('p')).toHaveTextContent(
    'This changes: Ada: Kick in round 2.',
  );
  expect(kept).toHaveLength(1);
  expect(refresh).toHaveBeenCalled();
  expect(screen.getByRole('button', { name: 'Bo: away' })).toBeInTheDocument();
});

it('says nothing on the screen of where it is sore', async () => {
  const { user } = show();
  await user.click(screen.getByRole('button', { name: 'Ada' }));
  await user.click(await screen.findByRole('menuitem', { name: 'wrist or hand' }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(asked[0]!.question).toMatchObject({ wishes: { sore: [{ person: '1', place: 'wrist' }] } });
  expect(screen.getByRole('button', { name: 'Ada: spared' })).toBeInTheDocument();
});

it('offers the drills to be missed only where there are drills', async () => {
  const { user, unmount } = show();
  await user.click(screen.getByRole('button', { name: 'Bo' }));
  await screen.findByRole('menuitem', { name: 'Late: from round 2' });
  expect(screen.queryByRole('menuitem', { name: 'Late: after the drills' })).toBeNull();
  unmount();
  const drilled = { ...plan('Hop'), timeline: [{ kind: 'drill' }] } as unknown as PlanFile;
  const again = show(drilled);
  await again.user.click(screen.getByRole('button', { name: 'Bo' }));
  await again.user.click(await screen.findByRole('menuitem', { name: 'Late: after the drills' }));
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(asked[0]!.question).toMatchObject({ wishes: { late: [{ person: '2', round: 1 }] } });
});
