import { answered } from '@/design/answered';
import { showProblem } from '@/design/notices';
import type { ComposeAnswer } from '@/workers/compose.worker';
import { keepPlanAction, prepareAgainAction } from './actions';
import type { PlannerParts } from './plannerEngine';

const notJudged = 'No answer came: what was changed is taken back. Try again.';

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
      // A class is some hundred kilobytes to hand over: not before what was tapped has been shown.
      const handing = setTimeout(() => worker.postMessage(question));
      return () => {
        clearTimeout(handing);
        worker.terminate();
      };
    },
    prepareAgain:
      courseId === null
        ? null
        : (wishes) => answered(prepareAgainAction(courseId, wishes), notJudged),
    keep:
      courseId === null
        ? null
        : ({ wishes, plan }, seen) => keepPlanAction(courseId, day, { wishes, plan, seen }),
    tell: showProblem,
  };
}
