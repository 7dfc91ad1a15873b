import { and, asc, desc, eq, inArray } from 'drizzle-orm';
import type { Db } from './open';
import { decision, review, type DecisionGrounds } from './schema';

export type { DecisionGrounds };
export type DecisionRow = typeof decision.$inferSelect;
export type NewDecision = Omit<DecisionRow, 'id' | 'by'> & { readonly by?: string };

/** @returns the id of the new decision; there is no way to change one */
export function addDecision(db: Db, values: NewDecision): number {
  return db.insert(decision).values(values).returning({ id: decision.id }).get().id;
}

/** A person's decisions, newest first. */
export function listDecisions(db: Db, personId: number): DecisionRow[] {
  return db
    .select()
    .from(decision)
    .where(eq(decision.personId, personId))
    .orderBy(desc(decision.id))
    .all();
}

/**
 * Takes back what was just decided. The review that led to it is open again, unless something else
 * was decided in it.
 */
export function removeDecision(db: Db, id: number): void {
  const made = findDecision(db, id);
  if (made === null) return;
  for (const one of db.select().from(review).where(eq(review.personId, made.personId)).all()) {
    if (one.decisionId !== id && !one.besideIds.includes(id)) continue;
    const decisionId = one.decisionId === id ? null : one.decisionId;
    const besideIds = one.besideIds.filter((beside) => beside !== id);
    const isThis = and(eq(review.classId, one.classId), eq(review.personId, one.personId));
    if (decisionId === null && besideIds.length === 0) db.delete(review).where(isThis).run();
    else db.update(review).set({ decisionId, besideIds }).where(isThis).run();
  }
  db.delete(decision).where(eq(decision.id, id)).run();
}

export function findDecision(db: Db, id: number): DecisionRow | null {
  return db.select().from(decision).where(eq(decision.id, id)).get() ?? null;
}

/** Decisions about several people, oldest first. */
export function listDecisionsOf(db: Db, personIds: readonly number[]): DecisionRow[] {
  if (personIds.length === 0) return [];
  return db
    .select()
    .from(decision)
    .where(inArray(decision.personId, [...personIds]))
    .orderBy(asc(decision.id))
    .all();
}
