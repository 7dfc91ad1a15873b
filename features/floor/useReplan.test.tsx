import { act, renderHook, waitFor } from '@testing-library/react';
import { composeClass } from '@/core/compose/composeClass';
import { prepareClass } from '@/core/compose/prepared';
import { usualSolve } from '@/core/compose/solve';
import { toPlanFile } from '@/core/files/planFile';
import type { FloorAct } from '@/core/running/tap';
import { inventClass } from '@/core/testing/inventClass';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';
import { fakeBundle, fakeFloor } from './testing/fakeFloor';
import { useReplan } from './useReplan';

type Asked = Extract<ComposeQuestion, { kind: 'compose' }>;
const mockAsked: { question: Asked; answer: (answer: ComposeAnswer) => void }[] = [];
/** What each composer that was begun was asked, in order. */
const mockBegun: ComposeQuestion['kind'][][] = [];
jest.mock('@/features/evening/composer', () => ({
  beginComposer: () => {
    const kinds: ComposeQuestion['kind'][] = [];
    mockBegun.push(kinds);
    return {
      ask: (question: ComposeQuestion, answer: (answer: ComposeAnswer) => void) => {
        kinds.push(question.kind);
        if (question.kind === 'compose') mockAsked.push({ question, answer });
      },
      end: () => undefined,
    };
  },
}));
beforeEach(() => {
  mockAsked.length = 0;
  mockBegun.length = 0;
});

const { input, wishes } = inventClass(6, 10);
const prepared = prepareClass(input);
const planOf = (asked = wishes) =>
  toPlanFile(composeClass(null, prepared, asked, usualSolve), prepared, asked, {
    binding: [],
    relief: null,
  });
const plan = planOf();
const [one, two] = prepared.people.map(({ id }) => id) as [string, string];
const isAway: FloorAct = { kind: 'absent', person: one, isAbsent: true };

function begin(before: readonly FloorAct[], isTeacher = true, more: object = {}) {
  const fake = fakeFloor(before);
  const bundle = fakeBundle({ plan, prepared, revision: 3, ...more });
  const { result } = renderHook(() => useReplan(fake.floor, bundle, isTeacher));
  return { fake, result };
}
const proofOf = (question: Asked): ComposeAnswer => ({
  kind: 'proved',
  plan: planOf(question.wishes),
  milliseconds: 1,
});
const quickOf = (question: Asked): ComposeAnswer =>
  ({ ...proofOf(question), kind: 'quick' }) as never;
const failed: ComposeAnswer = { kind: 'failed', words: 'No.' };

const firstAsked = async () => {
  await waitFor(() => expect(mockAsked).toHaveLength(1));
  return mockAsked[0]!;
};

it('plans the rounds anew with whoever is away, and says by which judgement', async () => {
  const { fake, result } = begin([isAway]);
  const { question, answer } = await firstAsked();
  expect(question.wishes.absent).toEqual([one]);
  await waitFor(() => expect(result.current.status).toBe('working'));
  act(() => answer(quickOf(question)));
  // The proof is a moment away: one plan, not two.
  expect(fake.said).toEqual([]);
  act(() => answer(proofOf(question)));
  expect(fake.said).toMatchObject([{ kind: 'plan', plan: { judged: 3 } }]);
  expect(result.current.status).toBe('standing');
});

it('asks another composer where one is busy, and lets that compose nothing before', async () => {
  const bundle = fakeBundle({ plan, prepared, revision: 3 });
  const { rerender } = renderHook(
    ({ acts }: { acts: readonly FloorAct[] }) => useReplan(fakeFloor(acts).floor, bundle, true),
    { initialProps: { acts: [isAway] } },
  );
  await firstAsked();
  rerender({ acts: [isAway, { kind: 'absent', person: two, isAbsent: true }] });
  await waitFor(() => expect(mockAsked).toHaveLength(2));
  expect(mockAsked[1]!.question.wishes.absent).toEqual([one, two].sort());
  expect(mockBegun).toEqual([['warm', 'compose'], ['compose']]);
});

it('goes by the quick plan where the solver does not come, and says so where there is none', async () => {
  const { fake, result } = begin([isAway]);
  const { question, answer } = await firstAsked();
  act(() => answer(quickOf(question)));
  act(() => answer(failed));
  const [said] = fake.said;
  const people = said?.kind === 'plan' ? said.plan.rounds.flatMap((round) => round.people) : [];
  expect(people.length).toBeGreaterThan(0);
  expect(people.map(({ id }) => id)).not.toContain(one);
  expect(result.current.status).toBe('standing');

  mockAsked.length = 0;
  const other = begin([isAway]);
  const again = await firstAsked();
  act(() => again.answer(failed));
  expect([other.fake.said, other.result.current.status]).toEqual([[], 'failed']);
});

it('asks for a plan where care has let go of something since the last one, and else for none', async () => {
  begin([], true, { openedAt: 3 });
  const { question } = await firstAsked();
  expect(question.wishes).toMatchObject({ absent: wishes.absent, done: 0 });
});

it.each([
  ['nothing was said', [], true],
  ['it is an assistant’s', [isAway], false],
  ['the class is over', [isAway, { kind: 'end' }], true],
] as const)('asks for none where %s', async (_, before, isTeacher) => {
  begin(before, isTeacher);
  // Longer than it waits for a second mark.
  await act(() => new Promise((resolve) => setTimeout(resolve, 400)));
  expect(mockAsked).toEqual([]);
});
