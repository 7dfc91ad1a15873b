import { asc, eq } from 'drizzle-orm';
import type { PieceCount } from '@/core/catalog/pieces';
import type { Db } from './open';
import { course, cupboard, settings } from './schema';

export type CourseRow = typeof course.$inferSelect;

/** The first course there is; the opening screen shows it. */
export function findFirstCourse(db: Db): CourseRow | null {
  return db.select().from(course).orderBy(asc(course.id)).limit(1).get() ?? null;
}

export function listPieces(db: Db, courseId: number): PieceCount[] {
  return db
    .select({ piece: cupboard.piece, count: cupboard.count })
    .from(cupboard)
    .where(eq(cupboard.courseId, courseId))
    .all();
}

export interface Settings {
  readonly units: 'cm' | 'in';
  readonly breathSeconds: number;
}

const settingsId = 1;
const defaults: Settings = { units: 'cm', breathSeconds: 5 };

export function getSettings(db: Db): Settings {
  return db.select().from(settings).where(eq(settings.id, settingsId)).get() ?? defaults;
}

export function saveSettings(db: Db, change: Partial<Settings>): void {
  db.insert(settings)
    .values({ id: settingsId, ...defaults, ...change })
    .onConflictDoUpdate({ target: settings.id, set: change })
    .run();
}
