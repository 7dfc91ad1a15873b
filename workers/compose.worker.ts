/** Composing off the interface thread: the quick plan at once, then the proof, then what binds. */
import loadHighs, { type Highs } from 'highs';
import { findBinding } from '@/core/compose/binding';
import { composeClass } from '@/core/compose/composeClass';
import { poseClass, type BeforeById } from '@/core/compose/pose';
import type { PreparedClass, Wishes } from '@/core/compose/prepared';
import { findRelief } from '@/core/compose/relief';
import { findPurchases, type CourseClass, type Purchase } from '@/core/compose/shopping';
import type { KeptLetter } from '@/core/compose/stations';
import { solveRounds, usualSolve } from '@/core/compose/solve';
import { writePlan } from '@/core/compose/writePlan';
import { toPlanFile, type PlanFile } from '@/core/files/planFile';

export type ComposeQuestion =
  | {
      readonly kind: 'compose';
      readonly prepared: PreparedClass;
      readonly wishes: Wishes;
      readonly before: BeforeById;
      /** Letters that stay what they are. */
      readonly letters?: readonly KeptLetter[];
      /** Also what one more of each thing would do. */
      readonly withBinding: boolean;
    }
  | { readonly kind: 'shop'; readonly classes: readonly CourseClass[] }
  /** Composes once and answers nothing, so that the first question finds everything loaded. */
  | { readonly kind: 'warm'; readonly prepared: PreparedClass; readonly wishes: Wishes };

export type ComposeAnswer =
  | { readonly kind: 'quick'; readonly plan: PlanFile; readonly milliseconds: number }
  | { readonly kind: 'proving'; readonly gapPercent: number | null }
  | { readonly kind: 'proved'; readonly plan: PlanFile; readonly milliseconds: number }
  | { readonly kind: 'binding'; readonly done: number; readonly of: number }
  | { readonly kind: 'done'; readonly plan: PlanFile }
  | { readonly kind: 'bought'; readonly purchases: readonly Purchase[] }
  | { readonly kind: 'failed'; readonly words: string };

const say = (answer: ComposeAnswer) => self.postMessage(answer);

let solver: Promise<Highs> | null = null;
const loadSolver = (): Promise<Highs> => (solver ??= loadHighs({ locateFile: () => '/solver' }));

async function compose(question: ComposeQuestion & { kind: 'compose' }): Promise<void> {
  const { prepared, wishes, before, letters = [], withBinding } = question;
  const began = performance.now();
  const options = { ...usualSolve, seed: wishes.seed };
  const empty = { binding: [], relief: null, letters };
  const quick = composeClass(null, prepared, wishes, options, before);
  say({
    kind: 'quick',
    plan: toPlanFile(quick, prepared, wishes, empty),
    milliseconds: performance.now() - began,
  });
  const highs = await loadSolver();
  const posed = poseClass(highs, prepared, wishes, before);
  const solved = solveRounds(highs, posed.problem, {
    ...options,
    onProgress: ({ gapPercent }) => say({ kind: 'proving', gapPercent }),
  });
  const plan = writePlan(posed, solved, prepared, wishes);
  const relief = findRelief(highs, posed.problem, solved.assignment);
  const proved = toPlanFile(plan, prepared, wishes, { binding: [], relief, letters });
  say({ kind: 'proved', plan: proved, milliseconds: performance.now() - began });
  if (!withBinding) return;
  const binding = findBinding(highs, posed, solved, options, {
    prepared,
    wishes,
    before,
    onStep: (done, of) => say({ kind: 'binding', done, of }),
  });
  say({ kind: 'done', plan: toPlanFile(plan, prepared, wishes, { binding, relief, letters }) });
}

async function answer(question: ComposeQuestion): Promise<void> {
  if (question.kind === 'compose') return compose(question);
  const highs = await loadSolver();
  if (question.kind === 'warm') {
    const { prepared, wishes } = question;
    // Any plan will do: whoever asks meanwhile waits for it.
    composeClass(highs, prepared, wishes, {
      ...usualSolve,
      seed: wishes.seed,
      gap: 1,
      timeLimitSeconds: 1,
    });
    return;
  }
  const onStep = (done: number, of: number) => say({ kind: 'binding', done, of });
  say({ kind: 'bought', purchases: findPurchases(highs, question.classes, onStep) });
}

self.addEventListener('message', ({ data }: MessageEvent<ComposeQuestion>) => {
  answer(data).catch(() => {
    // A solver that could not be loaded yet is loaded with the first question, or fails there.
    solver = null;
    if (data.kind === 'warm') return;
    say({ kind: 'failed', words: 'Composing stopped with an error. The last plan still stands.' });
  });
});
