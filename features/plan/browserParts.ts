import { showProblem } from '@/design/notices';
import type { ComposeAnswer } from '@/workers/compose.worker';
import { keepPlanAction, prepareAgainAction } from './actions';
import type { PlannerParts } from './plannerEngine';

/** The parts as a browser has them. */
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
