/** A whole class from what is prepared and what is wished. */
import type { Highs } from 'highs';
import { poseClass, type BeforeById } from './pose';
import type { PreparedClass, Wishes } from './prepared';
import { solveQuickly, solveRounds, type SolveOptions } from './solve';
import { writePlan, type ClassPlan } from './writePlan';

/** The best plan within the limits; without a solver the quick one. */
export function composeClass(
  highs: Highs | null,
  prepared: PreparedClass,
  wishes: Wishes,
  options: SolveOptions,
  before: BeforeById = {},
): ClassPlan {
  const posed = poseClass(highs, prepared, wishes, before);
  const plan =
    highs === null
      ? solveQuickly(posed.problem, options.seed)
      : solveRounds(highs, posed.problem, options);
  return writePlan(posed, plan, prepared, wishes);
}
