import {
  hiddenWords,
  isHiddenCheck,
  screeningKey,
  type askedAside,
} from '@/core/catalog/hiddenCheck';
import type { CheckInClass } from '@/core/catalog/keys';
import type { FloorBundle } from '@/server/running/floorBundle';

/** The check that a label of the plan stands for, as this device calls it. */
export const keyOfLabel =
  ({ checks, questions = [] }: Pick<FloorBundle, 'checks' | 'questions'>) =>
  (label: string): CheckInClass =>
    questions.find((one) => one.label === label)?.key ??
    checks.find((one) => one.label === label)?.check ??
    // An assistant's device has no other name for it than this one.
    (isHiddenCheck(label) ? label : hiddenWords);

/** How something is asked; `undefined` on an assistant's device, and in classes begun earlier. */
export const questionFor = ({ questions = [] }: Pick<FloorBundle, 'questions'>, label: string) =>
  questions.find((one) => one.label === label);

/** What is asked aside, where this device knows of it. */
export const asideFor = (
  { questions = [] }: Pick<FloorBundle, 'questions'>,
  key: (typeof askedAside)[number],
) => questions.find((one) => one.key === key);

/** The first questions, as this device calls them. */
export const screeningOn = (bundle: Pick<FloorBundle, 'questions'>): CheckInClass =>
  asideFor(bundle, screeningKey)?.key ?? hiddenWords;
