/** What is written of a person, each change by itself. */
import { and, eq } from 'drizzle-orm';
import type { ForearmHandsId } from '@/core/body/hands';
import type { TakenId } from '@/core/body/taken';
import type { CautionId } from '@/core/catalog/cautions';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import type { Clearance, SignReport } from '@/core/caution/care';
import type { Consent } from '@/core/ladder/case';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import {
  clearance,
  person,
  personCaution,
  personLength,
  personPlacing,
  personRung,
  stopSign,
} from './schema';

/** What the body form saves: every measured length, as a whole. */
export interface BodyChange {
  readonly heightM: number;
  readonly heightTyped: string;
  readonly massKg: number | null;
  /** Absent: as it is; `null`: as the school has them. */
  readonly forearmHands?: ForearmHandsId | null;
  readonly lengths: readonly { length: TakenId; metres: number; typed: string }[];
}

export interface NewPerson {
  readonly name: string;
  readonly heightM: number;
  readonly heightTyped: string;
  readonly massKg?: number | null;
  readonly consent?: Consent;
  readonly importId?: number;
  readonly uid?: string;
}

/** @returns the id of the new person */
export function addPerson(db: Db, values: NewPerson): number {
  return db.insert(person).values(values).returning({ id: person.id }).get().id;
}

export function saveName(db: Db, id: number, name: string): void {
  db.update(person).set({ name }).where(eq(person.id, id)).run();
}

export function saveBody(db: Db, id: number, change: BodyChange): void {
  const { heightM, heightTyped, massKg, forearmHands } = change;
  db.update(person)
    .set({ heightM, heightTyped, massKg, forearmHands })
    .where(eq(person.id, id))
    .run();
  db.delete(personLength).where(eq(personLength.personId, id)).run();
  const rows = change.lengths.map((length) => ({ personId: id, ...length }));
  if (rows.length > 0) db.insert(personLength).values(rows).run();
}

export interface CareChange {
  readonly consent: Consent;
  /** Absent: as it is. */
  readonly pictureConsent?: Consent;
  readonly cautions: readonly CautionId[];
  readonly otherWords: readonly string[];
  readonly on: Day;
}

/** Keeps the day on which a caution was first noted; drops those no longer reported. */
export function saveCare(db: Db, id: number, change: CareChange): void {
  const { consent, pictureConsent, otherWords } = change;
  db.update(person)
    .set({ consent, pictureConsent, otherWords: [...otherWords] })
    .where(eq(person.id, id))
    .run();
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

export function saveScreened(db: Db, id: number, on: Day | null): void {
  db.update(person).set({ screenedOn: on }).where(eq(person.id, id)).run();
}

export function saveArchived(db: Db, id: number, on: Day | null): void {
  db.update(person).set({ archivedOn: on }).where(eq(person.id, id)).run();
}

/** Where somebody works on a ladder, and since when. */
export const findRung = (
  db: Db,
  id: number,
  family: LadderId,
): { readonly stage: StageKey; readonly since: Day } | null =>
  db
    .select({ stage: personRung.stage, since: personRung.since })
    .from(personRung)
    .where(and(eq(personRung.personId, id), eq(personRung.family, family)))
    .get() ?? null;

/** `null` takes the person off the ladder. */
export function saveRung(
  db: Db,
  id: number,
  family: LadderId,
  stage: StageKey | null,
  since: Day,
): void {
  if (stage === null) {
    db.delete(personRung)
      .where(and(eq(personRung.personId, id), eq(personRung.family, family)))
      .run();
    return;
  }
  db.insert(personRung)
    .values({ personId: id, family, stage, since })
    .onConflictDoUpdate({
      target: [personRung.personId, personRung.family],
      set: { stage, since },
    })
    .run();
}

export function addClearance(db: Db, personId: number, note: Clearance): number {
  const row = {
    personId,
    about: note.about,
    covers: [...note.covers],
    ladders: note.ladders ? [...note.ladders] : null,
    notedOn: note.notedOn,
    until: note.until,
  };
  return db.insert(clearance).values(row).returning({ id: clearance.id }).get().id;
}

export function removeClearance(db: Db, personId: number, id: number): boolean {
  const own = db.select().from(clearance).where(eq(clearance.id, id)).get();
  if (own?.personId !== personId) return false;
  return db.delete(clearance).where(eq(clearance.id, id)).run().changes > 0;
}

export function addSign(db: Db, personId: number, sign: SignReport): number {
  return db
    .insert(stopSign)
    .values({ personId, ...sign })
    .returning({ id: stopSign.id })
    .get().id;
}

export function removeSign(db: Db, personId: number, id: number): boolean {
  const own = db.select().from(stopSign).where(eq(stopSign.id, id)).get();
  if (own?.personId !== personId) return false;
  return db.delete(stopSign).where(eq(stopSign.id, id)).run().changes > 0;
}

/**
 * The teacher's word: it makes its stage the present one; `null` says that nothing was ever seen.
 */
export function savePlacing(
  db: Db,
  id: number,
  family: LadderId,
  stage: StageKey | null,
  on: Day,
): void {
  db.insert(personPlacing)
    .values({ personId: id, family, stage, on })
    .onConflictDoUpdate({
      target: [personPlacing.personId, personPlacing.family],
      set: { stage, on },
    })
    .run();
  saveRung(db, id, family, stage, on);
}

/** Takes a word back, and the rung that stood on it alone. */
export function dropPlacing(db: Db, id: number, family: LadderId): void {
  db.delete(personPlacing)
    .where(and(eq(personPlacing.personId, id), eq(personPlacing.family, family)))
    .run();
}
