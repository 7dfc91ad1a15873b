import type { Highs } from 'highs';
import { findBinding } from '../compose/binding';
import { poseClass } from '../compose/pose';
import { prepareClass, type PreparedClass, type Wishes } from '../compose/prepared';
import { findRelief } from '../compose/relief';
import { solveRounds, usualSolve } from '../compose/solve';
import { writePlan } from '../compose/writePlan';
import { readClassFile, type ClassFile } from '../files/classFile';
import { toPlanFile, type PlanFile } from '../files/planFile';

/** Composes a prepared class with everything that belongs to its plan. */
export function planPrepared(highs: Highs, prepared: PreparedClass, wishes: Wishes): PlanFile {
  const options = { ...usualSolve, seed: wishes.seed };
  const posed = poseClass(highs, prepared, wishes);
  const solved = solveRounds(highs, posed.problem, options);
  const plan = writePlan(posed, solved, prepared, wishes);
  return toPlanFile(plan, prepared, wishes, {
    binding: findBinding(highs, posed, solved, options, { prepared, wishes }),
    relief: findRelief(highs, posed.problem, solved.assignment),
  });
}

/** Composes a class file. @throws InputProblem with the path of what cannot be */
export function runCompose(input: ClassFile, highs: Highs): PlanFile {
  const { classInput, wishes } = readClassFile(input);
  return planPrepared(highs, prepareClass(classInput), wishes);
}
