/** Use cases around a class to come: preparing it anew, keeping its plan, taking files in. */
import { isDeepStrictEqual } from 'node:util';
import { z } from 'zod';
import { composeInput, readClassFile, wishesFile, type WishesFile } from '@/core/files/classFile';
import { toWishes } from '@/core/files/toWishes';
import { assertVersion, checkShape, parseJson } from '@/core/files/parse';
import { composeOutput, type PlanFile } from '@/core/files/planFile';
import { prepareClass, type PreparedClass } from '@/core/compose/prepared';
import type { CourseClass } from '@/core/compose/shopping';
import { InputProblem } from '@/core/problem';
import type { LadderId } from '@/core/catalog/stage';
import { listMeetings } from '@/db/courses';
import { findPlan, savePlan } from '@/db/plans';
import {
  findEvening,
  prepareCourse,
  schoolFor,
  usualWishes,
  type ClassMember,
} from '@/server/judging/classViews';
import { done, refuse, type Outcome } from '@/server/result';
import { aCourse, change, reading, work } from '@/server/useCase';

/** Everybody judged again for changed minutes, families or school. Nothing is stored. */
export const prepareAgain = work(
  [aCourse, wishesFile],
  ({ db, today: day }, course, wishes): Outcome<PreparedClass> => {
    const school = schoolFor(db, course, wishes);
    return done(prepareCourse(db, { course, school, day }, wishes));
  },
);

const keepForm = z.strictObject({
  wishes: wishesFile,
  plan: composeOutput,
  /** The revision that was on the screen; another window may have kept a newer one. */
  seen: z.int().min(0),
});

/** What stands for an evening after a plan was given in. */
export interface Standing {
  readonly revision: number;
  /** Another screen has kept one for the same wishes meanwhile: it stands, and there is but one. */
  readonly plan?: PlanFile;
}

/** @returns what now stands */
export const keepPlan = change(
  [aCourse, z.iso.date('This day is no date.'), keepForm],
  ({ db }, course, day, form): Outcome<Standing> => {
    const before = findPlan(db, course.id, day);
    const now = before?.revision ?? 0;
    if (now !== form.seen) {
      const standing = composeOutput.safeParse(before?.plan);
      if (standing.success && isDeepStrictEqual(before?.wishes, form.wishes)) {
        return done({ revision: now, plan: standing.data });
      }
      return refuse({
        form: 'Another window has kept a plan for this evening meanwhile. Load the page again to see it; nothing was overwritten.',
      });
    }
    const { wishes, plan } = form;
    return done({ revision: savePlan(db, course.id, day, { wishes, plan }) });
  },
);

/** A class from a file, ready to compose; or a plan to look at. Nothing is stored. */
export type Taken =
  | {
      readonly kind: 'class';
      readonly prepared: PreparedClass;
      readonly wishes: WishesFile;
      readonly members: readonly ClassMember[];
    }
  | { readonly kind: 'plan'; readonly plan: PlanFile };

const tooLarge = 'This file is too large to be a class.';
const fileText = z.string(tooLarge).max(4_000_000, tooLarge);

/** Reads a class file or a plan file; unknown fields and newer versions are refused by name. */
export const takeFile = reading([fileText], (text): Outcome<Taken> => {
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
      wishes: wishesFile.parse({ ...wishes, families: classInput.families }),
      prepared: prepareClass(classInput),
      members: file.people.map(({ id: name, body }) => ({ id: name, name, body })),
    } as Taken);
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return refuse({ form: error.message });
  }
});

/** The kinds of evening a course still has, for what to get; at most five kinds. */
export const listCourseClasses = work(
  [aCourse],
  ({ db, today }, { id }): Outcome<CourseClass[]> => {
    const evening = findEvening(db, id, today);
    if (evening === null) return refuse({ form: aCourse.gone });
    const weeks = new Map<LadderId, number>();
    for (const { date, family } of listMeetings(db, evening.course.id)) {
      if (date >= today && family !== null) weeks.set(family, (weeks.get(family) ?? 0) + 1);
    }
    if (weeks.size === 0 && evening.family !== null) weeks.set(evening.family, 1);
    const { course: row, school, meeting } = evening;
    return done(
      [...weeks].map(([family, count]): CourseClass => {
        const wishes = usualWishes(school, meeting, family);
        return {
          weeks: count,
          wishes: toWishes(wishes),
          prepared: prepareCourse(db, { course: row, school, day: today }, wishes),
        };
      }),
    );
  },
);
