/** Use cases around a class to come: preparing it anew, keeping its plan, taking files in. */
import { z } from 'zod';
import { composeInput, readClassFile, toWishes, wishesFile } from '@/core/cli/classFile';
import { assertVersion, checkShape, parseJson } from '@/core/cli/parse';
import { composeOutput, type PlanFile } from '@/core/cli/planFile';
import { prepareClass, type PreparedClass, type Wishes } from '@/core/compose/prepared';
import type { CourseClass } from '@/core/compose/shopping';
import { InputProblem } from '@/core/problem';
import type { LadderId } from '@/core/catalog/stage';
import { findCourse, listMeetings } from '@/db/courses';
import { findPlan, savePlan } from '@/db/plans';
import { findEvening, prepareCourse, schoolFor, usualWishes, type ClassMember } from './classViews';
import { today } from './clock';
import { database } from './database';
import { done, refuse, toProblems, type Outcome } from './result';

const id = z.int().positive();
const goneCourse = { form: 'This course is no longer here.' };

/** Everybody judged again for changed minutes, families or school. Nothing is stored. */
export function prepareAgain(course: unknown, input: unknown): Outcome<PreparedClass> {
  const which = id.safeParse(course);
  const wishes = wishesFile.safeParse(input);
  if (!wishes.success) return refuse(toProblems(wishes.error));
  const db = database();
  const found = which.success ? findCourse(db, which.data) : null;
  if (found === null) return refuse(goneCourse);
  const school = schoolFor(db, found, wishes.data);
  return done(prepareCourse(db, { course: found, school, day: today() }, wishes.data));
}

const keepForm = z.strictObject({
  wishes: wishesFile,
  plan: composeOutput,
  /** The revision that was on the screen; another window may have kept a newer one. */
  seen: z.int().min(0),
});

/** @returns the revision that now stands */
export function keepPlan(course: unknown, day: unknown, input: unknown): Outcome<number> {
  const which = id.safeParse(course);
  const when = z.iso.date().safeParse(day);
  const form = keepForm.safeParse(input);
  if (!form.success) return refuse(toProblems(form.error));
  return database().transaction((tx) => {
    if (!which.success || findCourse(tx, which.data) === null) return refuse(goneCourse);
    if (!when.success) return refuse({ form: 'This day is no date.' });
    const now = findPlan(tx, which.data, when.data)?.revision ?? 0;
    if (now !== form.data.seen) {
      return refuse({
        form: 'Another window has kept a plan for this evening meanwhile. Load the page again to see it; nothing was overwritten.',
      });
    }
    const { wishes, plan } = form.data;
    return done(savePlan(tx, which.data, when.data, { wishes, plan }));
  });
}

/** A class from a file, ready to compose; or a plan to look at. Nothing is stored. */
export type Taken =
  | {
      readonly kind: 'class';
      readonly prepared: PreparedClass;
      readonly wishes: Wishes;
      readonly members: readonly ClassMember[];
    }
  | { readonly kind: 'plan'; readonly plan: PlanFile };

const mostSigns = 4_000_000;

/** Reads a class file or a plan file; unknown fields and newer versions are refused by name. */
export function takeFile(text: unknown): Outcome<Taken> {
  if (typeof text !== 'string' || text.length > mostSigns) {
    return refuse({ form: 'This file is too large to be a class.' });
  }
  try {
    const value = parseJson(text);
    const format = (value as { format?: unknown } | null)?.format;
    if (format === 'levitar-plan') {
      assertVersion(value, 'levitar-plan', 1);
      return done({ kind: 'plan', plan: checkShape(composeOutput, value) });
    }
    assertVersion(value, 'levitar-class', 1);
    const file = checkShape(composeInput, value);
    const { classInput, wishes } = readClassFile(file);
    return done({
      kind: 'class',
      wishes,
      prepared: prepareClass(classInput),
      members: file.people.map(({ id: name, body }) => ({ id: name, name, body })),
    } as Taken);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return refuse({ form: error.message });
  }
}

/** The kinds of evening a course still has, for what to get; at most five kinds. */
export function listCourseClasses(course: unknown): Outcome<CourseClass[]> {
  const which = id.safeParse(course);
  const db = database();
  const evening = which.success ? findEvening(db, which.data, today()) : null;
  if (evening === null) return refuse(goneCourse);
  const weeks = new Map<LadderId, number>();
  for (const { date, family } of listMeetings(db, evening.course.id)) {
    if (date >= today() && family !== null) weeks.set(family, (weeks.get(family) ?? 0) + 1);
  }
  if (weeks.size === 0 && evening.family !== null) weeks.set(evening.family, 1);
  const { course: row, school, meeting } = evening;
  return done(
    [...weeks].map(([family, count]): CourseClass => {
      const wishes = usualWishes(school, meeting, family);
      return {
        weeks: count,
        wishes: toWishes(wishes),
        prepared: prepareCourse(db, { course: row, school, day: today() }, wishes),
      };
    }),
  );
}
