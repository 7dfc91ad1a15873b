import { answered } from '@/design/answered';
import { showProblem } from '@/design/notices';
import { beginComposer } from '@/features/evening/composer';
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
      const composer = beginComposer();
      // A class is some hundred kilobytes to hand over: not before what was tapped has been shown.
      const handing = setTimeout(() => composer.ask(question, onAnswer));
      return () => {
        clearTimeout(handing);
        composer.end();
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
