import { showProblem } from '@/design/notices';
import type { ComposeAnswer } from '@/workers/compose.worker';
import { keepPlanAction, prepareAgainAction } from './actions';
import type { PlannerParts } from './plannerEngine';

/** What a plan of a course has besides: people judged anew, and a place to be kept. */
type CourseParts = PlannerParts & {
  readonly prepareAgain: NonNullable<PlannerParts['prepareAgain']>;
  readonly keep: NonNullable<PlannerParts['keep']>;
};

/** The parts as a browser has them. */
export function browserParts(courseId: number, day: string): CourseParts;
export function browserParts(courseId: number | null, day: string): PlannerParts;
export function browserParts(courseId: number | null, day: string): PlannerParts {
  return {
    ask: (question, onAnswer) => {
      const worker = new Worker(new URL('../../workers/compose.worker.ts', import.meta.url), {
        type: 'module',
      });
      worker.addEventListener('message', ({ data }: MessageEvent<ComposeAnswer>) => onAnswer(data));
      worker.postMessage(question);
      return () => worker.terminate();
    },
    prepareAgain: courseId === null ? null : (wishes) => prepareAgainAction(courseId, wishes),
    keep:
      courseId === null
        ? null
        : ({ wishes, plan }, seen) => keepPlanAction(courseId, day, { wishes, plan, seen }),
    tell: showProblem,
  };
}
