import { byName } from '@/core/units/byName';
import { asc, eq, inArray, isNull } from 'drizzle-orm';
import type { BodyInput } from '@/core/body/body';
import { bodyOfTaken, type TakenId } from '@/core/body/taken';
import type { CautionId } from '@/core/catalog/cautions';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import type { Care, Clearance, PainReport, SignReport } from '@/core/caution/care';
import type { Consent } from '@/core/ladder/case';
import type { KeptDistance } from '@/core/setups/kept';
import { keptFromSaved } from '@/core/setups/saved';
import type { Day } from '@/core/units/day';
import { isSettled, type Db } from './open';
import {
  clearance,
  enrolment,
  painReport,
  person,
  personCaution,
  personLength,
  personPlacing,
  personRung,
  savedSetup,
  stopSign,
} from './schema';

export interface StoredClearance extends Clearance {
  readonly id: number;
}

export interface StoredSign extends SignReport {
  readonly id: number;
}

export interface PersonRow {
  readonly id: number;
  readonly uid: string;
  readonly revision: number;
  readonly name: string;
  readonly body: BodyInput;
  readonly heightTyped: string;
  /** Measured lengths as typed. */
  readonly typedLengths: Readonly<Partial<Record<TakenId, string>>>;
  readonly consent: Consent;
  /** Pictures that are kept. */
  readonly pictureConsent: Consent;
  readonly cautions: readonly CautionId[];
  readonly otherWords: readonly string[];
  readonly clearances: readonly StoredClearance[];
  readonly signs: readonly StoredSign[];
  /** Pain reported in class, outside a check. */
  readonly pains: readonly PainReport[];
  readonly painClearedOn: Day | null;
  readonly screenedOn: Day | null;
  readonly archivedOn: Day | null;
  /** Distances found by trying, oldest first. */
  readonly kept: readonly KeptDistance[];
  /** One rung on each ladder they have begun. */
  readonly present: Readonly<Partial<Record<LadderId, StageKey>>>;
  /** The teacher's word, by ladder; without a stage: never seen. */
  readonly placings: Readonly<Partial<Record<LadderId, StoredPlacing>>>;
}

export interface StoredPlacing {
  readonly stage: StageKey | null;
  readonly on: Day;
}

/** What the cautions look at. */
export function careOf(row: PersonRow): Care {
  return {
    reports: row.cautions,
    otherWords: row.otherWords,
    clearances: row.clearances,
    signs: row.signs,
    pains: row.pains,
    ...(row.painClearedOn === null ? {} : { painClearedOn: row.painClearedOn }),
    ...(isNeverScreened(row) ? { isNeverScreened: true as const } : {}),
  };
}

/** Never asked, and nothing that they said by themselves. */
const isNeverScreened = ({ screenedOn, cautions, otherWords }: PersonRow) =>
  screenedOn === null && cautions.length === 0 && otherWords.length === 0;

type PersonRecord = typeof person.$inferSelect;

function byPerson<T extends { readonly personId: number }>(rows: readonly T[]): Map<number, T[]> {
  const map = new Map<number, T[]>();
  for (const row of rows) {
    const list = map.get(row.personId);
    if (list === undefined) map.set(row.personId, [row]);
    else list.push(row);
  }
  return map;
}

// One file, one memory. What a transaction may yet take back is never remembered.
let rowsOf = new WeakMap<Db, Map<number, PersonRow>>();

/** Where somebody was deleted, nothing of them stays in memory either. */
export function forgetPeople(): void {
  rowsOf = new WeakMap();
}

/**
 * Everything that hangs on people, read again only for those whose revision has moved: triggers
 * count it up with every change of anything that belongs to them.
 */
function assemble(db: Db, rows: readonly PersonRecord[]): PersonRow[] {
  if (!isSettled(db)) return assembleAnew(db, rows);
  const known = rowsOf.get(db) ?? new Map<number, PersonRow>();
  rowsOf.set(db, known);
  const isKnown = ({ id, uid, revision }: PersonRecord) => {
    const row = known.get(id);
    return row?.revision === revision && row.uid === uid;
  };
  for (const row of assembleAnew(
    db,
    rows.filter((row) => !isKnown(row)),
  )) {
    known.set(row.id, row);
  }
  return rows.map(({ id }) => known.get(id)!);
}

function assembleAnew(db: Db, rows: readonly PersonRecord[]): PersonRow[] {
  const ids = rows.map(({ id }) => id);
  if (ids.length === 0) return [];
  const lengths = byPerson(
    db.select().from(personLength).where(inArray(personLength.personId, ids)).all(),
  );
  const cautions = byPerson(
    db
      .select()
      .from(personCaution)
      .where(inArray(personCaution.personId, ids))
      .orderBy(asc(personCaution.notedOn), asc(personCaution.caution))
      .all(),
  );
  const rungs = byPerson(
    db.select().from(personRung).where(inArray(personRung.personId, ids)).all(),
  );
  const placings = byPerson(
    db.select().from(personPlacing).where(inArray(personPlacing.personId, ids)).all(),
  );
  const words = byPerson(
    db.select().from(clearance).where(inArray(clearance.personId, ids)).orderBy(clearance.id).all(),
  );
  const signs = byPerson(
    db.select().from(stopSign).where(inArray(stopSign.personId, ids)).orderBy(stopSign.id).all(),
  );
  const pains = byPerson(
    db
      .select()
      .from(painReport)
      .where(inArray(painReport.personId, ids))
      .orderBy(painReport.id)
      .all(),
  );
  const setups = byPerson(
    db
      .select()
      .from(savedSetup)
      .where(inArray(savedSetup.personId, ids))
      .orderBy(savedSetup.id)
      .all(),
  );
  return rows.map((row) => {
    const own = lengths.get(row.id) ?? [];
    return {
      id: row.id,
      uid: row.uid,
      revision: row.revision,
      name: row.name,
      body: {
        heightM: row.heightM,
        ...(row.heightTyped === '' ? { isHeightGuessed: true as const } : {}),
        ...(row.massKg === null ? {} : { massKg: row.massKg }),
        ...(row.forearmHands === null ? {} : { forearmHands: row.forearmHands }),
        ...bodyOfTaken(own),
      },
      heightTyped: row.heightTyped,
      typedLengths: Object.fromEntries(own.map(({ length, typed }) => [length, typed])),
      consent: row.consent,
      pictureConsent: row.pictureConsent,
      cautions: (cautions.get(row.id) ?? []).map(({ caution }) => caution),
      otherWords: row.otherWords,
      clearances: (words.get(row.id) ?? []).map(
        ({ id, about, covers, ladders, notedOn, until }) => ({
          id,
          about,
          covers,
          ...(ladders === null ? {} : { ladders }),
          notedOn,
          until,
        }),
      ),
      signs: (signs.get(row.id) ?? []).map(({ id, sign, date }) => ({ id, sign, date })),
      pains: (pains.get(row.id) ?? []).map(({ place, date }) => ({ place, date })),
      painClearedOn: row.painClearedOn,
      screenedOn: row.screenedOn,
      archivedOn: row.archivedOn,
      kept: keptFromSaved(setups.get(row.id) ?? []),
      present: Object.fromEntries(
        (rungs.get(row.id) ?? []).map(({ family, stage }) => [family, stage]),
      ),
      placings: Object.fromEntries(
        (placings.get(row.id) ?? []).map(({ family, stage, on }) => [family, { stage, on }]),
      ),
    };
  });
}

export function findPerson(db: Db, id: number): PersonRow | null {
  return assemble(db, db.select().from(person).where(eq(person.id, id)).all())[0] ?? null;
}

/** Several people by id; those that are gone are left out. */
export function listPeopleById(db: Db, ids: readonly number[]): PersonRow[] {
  if (ids.length === 0) return [];
  const rows = db
    .select()
    .from(person)
    .where(inArray(person.id, [...ids]))
    .orderBy(asc(person.id))
    .all();
  return assemble(db, rows.sort(byName));
}

/** Everyone, by name; those put away only when asked for. */
export function listPeople(db: Db, withArchived = false): PersonRow[] {
  const rows = db
    .select()
    .from(person)
    .where(withArchived ? undefined : isNull(person.archivedOn))
    .orderBy(asc(person.id))
    .all();
  return assemble(db, rows.sort(byName));
}

/** Everyone enrolled in a course and not put away, by name. */
export function listCoursePeople(db: Db, courseId: number): PersonRow[] {
  const rows = db
    .select({ person })
    .from(enrolment)
    .innerJoin(person, eq(person.id, enrolment.personId))
    .where(eq(enrolment.courseId, courseId))
    .orderBy(asc(person.id))
    .all()
    .map((row) => row.person)
    .filter(({ archivedOn }) => archivedOn === null);
  return assemble(db, rows.sort(byName));
}
