import { asc, eq, inArray } from 'drizzle-orm';
import type { BodyInput } from '@/core/body/body';
import type { LengthId } from '@/core/body/lengths';
import type { CautionId } from '@/core/catalog/cautions';
import type { StageId } from '@/core/catalog/stages';
import type { Consent } from '@/core/ladder/verdict';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import { enrolment, person, personCaution, personLength } from './schema';

export interface PersonRow {
  readonly id: number;
  readonly name: string;
  readonly body: BodyInput;
  readonly heightTyped: string;
  /** Measured lengths as typed. */
  readonly typedLengths: Readonly<Partial<Record<LengthId, string>>>;
  readonly consent: Consent;
  readonly cautions: readonly CautionId[];
  readonly painClearedOn: Day | null;
  readonly presentStage: StageId | null;
}

/** What the body form saves: every measured length, as a whole. */
export interface BodyChange {
  readonly heightM: number;
  readonly heightTyped: string;
  readonly massKg: number | null;
  readonly lengths: readonly { length: LengthId; metres: number; typed: string }[];
}

type PersonRecord = typeof person.$inferSelect;

function assemble(db: Db, rows: readonly PersonRecord[]): PersonRow[] {
  const ids = rows.map(({ id }) => id);
  if (ids.length === 0) return [];
  const lengths = db.select().from(personLength).where(inArray(personLength.personId, ids)).all();
  const cautions = db
    .select()
    .from(personCaution)
    .where(inArray(personCaution.personId, ids))
    .orderBy(asc(personCaution.notedOn), asc(personCaution.caution))
    .all();
  return rows.map((row) => {
    const own = lengths.filter(({ personId }) => personId === row.id);
    return {
      id: row.id,
      name: row.name,
      body: {
        heightM: row.heightM,
        ...(row.massKg === null ? {} : { massKg: row.massKg }),
        lengths: Object.fromEntries(own.map(({ length, metres }) => [length, metres])),
      },
      heightTyped: row.heightTyped,
      typedLengths: Object.fromEntries(own.map(({ length, typed }) => [length, typed])),
      consent: row.consent,
      cautions: cautions.filter((c) => c.personId === row.id).map(({ caution }) => caution),
      painClearedOn: row.painClearedOn,
      presentStage: row.presentStage,
    };
  });
}

export function findPerson(db: Db, id: number): PersonRow | null {
  return assemble(db, db.select().from(person).where(eq(person.id, id)).all())[0] ?? null;
}

/** Everyone enrolled in a course, by name. */
export function listCoursePeople(db: Db, courseId: number): PersonRow[] {
  const rows = db
    .select({ person })
    .from(enrolment)
    .innerJoin(person, eq(person.id, enrolment.personId))
    .where(eq(enrolment.courseId, courseId))
    .orderBy(asc(person.name))
    .all();
  return assemble(
    db,
    rows.map((row) => row.person),
  );
}

export function saveBody(db: Db, id: number, change: BodyChange): void {
  const { heightM, heightTyped, massKg } = change;
  db.update(person).set({ heightM, heightTyped, massKg }).where(eq(person.id, id)).run();
  db.delete(personLength).where(eq(personLength.personId, id)).run();
  const rows = change.lengths.map((length) => ({ personId: id, ...length }));
  if (rows.length > 0) db.insert(personLength).values(rows).run();
}

/** Keeps the day on which a caution was first noted; drops those no longer reported. */
export function saveCare(
  db: Db,
  id: number,
  change: { readonly consent: Consent; readonly cautions: readonly CautionId[]; readonly on: Day },
): void {
  db.update(person).set({ consent: change.consent }).where(eq(person.id, id)).run();
  const known = db.select().from(personCaution).where(eq(personCaution.personId, id)).all();
  db.delete(personCaution).where(eq(personCaution.personId, id)).run();
  const rows = change.cautions.map((caution) => ({
    personId: id,
    caution,
    notedOn: known.find((row) => row.caution === caution)?.notedOn ?? change.on,
  }));
  if (rows.length > 0) db.insert(personCaution).values(rows).run();
}

export function savePainCleared(db: Db, id: number, on: Day | null): void {
  db.update(person).set({ painClearedOn: on }).where(eq(person.id, id)).run();
}
