'use server';

import type { PreparedClass } from '@/core/compose/prepared';
import type { CourseClass } from '@/core/compose/shopping';
import { keepPlan, listCourseClasses, prepareAgain, takeFile, type Taken } from './classChanges';
import type { Outcome } from './result';
import { look, run } from './run';

export async function prepareAgainAction(
  course: number,
  wishes: unknown,
): Promise<Outcome<PreparedClass>> {
  return look(() => prepareAgain(course, wishes));
}

export async function keepPlanAction(
  course: number,
  day: string,
  form: unknown,
): Promise<Outcome<number>> {
  return run(() => keepPlan(course, day, form));
}

export async function takeFileAction(text: string): Promise<Outcome<Taken>> {
  return look(() => takeFile(text));
}

export async function listCourseClassesAction(course: number): Promise<Outcome<CourseClass[]>> {
  return look(() => listCourseClasses(course));
}
