/** What was wished for an evening, and the plan that was kept. */
import { and, asc, eq, isNotNull } from 'drizzle-orm';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { classPlan } from './schema';

export type ClassPlanRow = typeof classPlan.$inferSelect;

export function findPlan(db: Db, courseId: number, day: Day): ClassPlanRow | null {
  return (
    db
      .select()
      .from(classPlan)
      .where(and(eq(classPlan.courseId, courseId), eq(classPlan.day, day)))
      .get() ?? null
  );
}

/** @returns the revision that now stands */
export function savePlan(
  db: Db,
  courseId: number,
  day: Day,
  values: { readonly wishes: unknown; readonly plan: unknown },
): number {
  const before = findPlan(db, courseId, day);
  const revision = (before?.revision ?? 0) + 1;
  db.insert(classPlan)
    .values({ courseId, day, ...values, revision })
    .onConflictDoUpdate({
      target: [classPlan.courseId, classPlan.day],
      set: { ...values, revision },
    })
    .run();
  return revision;
}

/** The plans that were kept for the evenings of a course, oldest first; whoever reads one checks it. */
export function listPlans(db: Db, courseId: number): unknown[] {
  return db
    .select({ plan: classPlan.plan })
    .from(classPlan)
    .where(and(eq(classPlan.courseId, courseId), isNotNull(classPlan.plan)))
    .orderBy(asc(classPlan.day))
    .all()
    .map(({ plan }) => plan);
}
