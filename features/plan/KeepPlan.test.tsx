import { act, screen, waitFor } from '@testing-library/react';
import { renderUi } from '@/design/testing/renderUi';
import type { PlanFile } from '@/core/files/planFile';
import type { ComposeAnswer, ComposeQuestion } from '@/workers/compose.worker';
import { KeepPlan } from './KeepPlan';

const asked: { question: ComposeQuestion; answer: (one: ComposeAnswer) => void }[] = [];
const kept: { plan: PlanFile; seen: number }[] = [];
let isRefused = false;
let isUnprepared = false;
let isCutOff = false;
const mockRouter = { refresh: jest.fn() };
jest.mock('next/navigation', () => ({ useRouter: () => mockRouter }));
jest.mock('./browserParts', () => ({
  browserParts: () => ({
    ask: (question: ComposeQuestion, answer: (one: ComposeAnswer) => void) => {
      asked.push({ question, answer });
      return () => undefined;
    },
    prepareAgain: () =>
      isCutOff
        ? Promise.reject(new Error('no answer'))
        : Promise.resolve(
            isUnprepared
              ? { ok: false, problems: { form: 'Nobody is enrolled.' } }
              : { ok: true, value: {} },
          ),
    keep: ({ plan }: { plan: PlanFile }, seen: number) => {
      kept.push({ plan, seen });
      return Promise.resolve(
        isRefused
          ? { ok: false, problems: { form: 'Not kept.' } }
          : { ok: true, value: { revision: seen + 1 } },
      );
    },
    tell: () => undefined,
  }),
}));

const plan = (note: string): PlanFile =>
  ({
    rounds: [
      { round: 1, people: [{ id: '1', option: 'dog', label: 'Dog', place: { kind: 'mat' } }] },
    ],
    timeline: [],
    stations: [{ letter: 'Q', option: 'dog', label: 'Dog', people: [] }],
    notes: [note],
    gapPercent: 0,
  }) as unknown as PlanFile;

const wishes = { pins: [], absent: [], late: [], sore: [], feetDown: [] } as never;
const show = (more: object = {}) =>
  renderUi(<KeepPlan courseId={1} day="2026-11-26" wishes={wishes} revision={4} {...more} />);
const isAsked = () => waitFor(() => expect(asked).toHaveLength(1));
const hear = async (answer: ComposeAnswer) => {
  await isAsked();
  await act(async () => {
    asked[0]!.answer(answer);
    await Promise.resolve();
    await Promise.resolve();
  });
};

beforeEach(() => {
  asked.length = 0;
  kept.length = 0;
  isRefused = false;
  isUnprepared = false;
  isCutOff = false;
  mockRouter.refresh.mockClear();
});

it('composes where nothing is kept, and keeps it once, whole', async () => {
  show();
  expect(screen.getByRole('status')).toHaveTextContent('Composing the plan of this evening');
  await hear({ kind: 'proved', milliseconds: 1, plan: plan('proved') });
  // Keeping reads the page anew and would end what is still asked.
  expect(kept).toEqual([]);
  await hear({ kind: 'done', plan: plan('done') });
  expect(kept).toMatchObject([{ plan: { notes: ['done'] }, seen: 4 }]);
  expect(mockRouter.refresh).toHaveBeenCalledTimes(1);
});

it('says what changed, moves as little as can be, and keeps the letters', async () => {
  show({ stale: plan('old'), changes: ['Bo is gone'] });
  expect(screen.getByRole('status')).toHaveTextContent(
    'This changed since the plan was made: Bo is gone. Composing it anew',
  );
  await isAsked();
  expect(asked[0]!.question).toMatchObject({
    before: { '1': { options: ['dog'] } },
    letters: [{ letter: 'Q' }],
  });
});

it('says why people could not be judged for it', async () => {
  isUnprepared = true;
  show();
  expect(await screen.findByText(/Nobody is enrolled\./)).toBeInTheDocument();
  expect(asked).toEqual([]);
});

it('says why a plan could not be kept, shows what stands, and begins from there', async () => {
  isRefused = true;
  const { rerender } = show();
  await hear({ kind: 'done', plan: plan('done') });
  expect(await screen.findByText(/Not kept\./)).toBeInTheDocument();
  expect(mockRouter.refresh).toHaveBeenCalledTimes(1);
  // The page was read anew: another window has come further.
  rerender(<KeepPlan courseId={1} day="2026-11-26" wishes={wishes} revision={6} />);
  isRefused = false;
  await act(async () => {
    screen.getByRole('button', { name: 'Try again' }).click();
    await Promise.resolve();
  });
  await waitFor(() => expect(asked).toHaveLength(2));
  await act(async () => {
    asked[1]!.answer({ kind: 'done', plan: plan('again') } as ComposeAnswer);
    await Promise.resolve();
    await Promise.resolve();
  });
  expect(kept.map(({ seen }) => seen)).toEqual([4, 6]);
});

it('says why nothing could be begun, and tries again when told', async () => {
  isCutOff = true;
  show();
  expect(await screen.findByText(/server did not answer/)).toBeInTheDocument();
  expect(asked).toEqual([]);
  isCutOff = false;
  await act(async () => {
    screen.getByRole('button', { name: 'Try again' }).click();
    await Promise.resolve();
  });
  expect(screen.getByRole('status')).toHaveTextContent('Composing the plan of this evening');
  await hear({ kind: 'done', plan: plan('done') });
  expect(kept).toHaveLength(1);
});
