/**
 * Every column of a person and every table that knows a person by number, with what becomes of it
 * in the file of everything, when a file brings somebody who is here already, and when two entries
 * turn out to be one person. A column or a table that is missing here does not compile.
 */
import type { SQLiteTable } from 'drizzle-orm/sqlite-core';
import { eq, getTableName, sql } from 'drizzle-orm';
import type { StudioPerson } from '@/core/files/studioFile';
import type { Day } from '@/core/units/day';
import type { Db } from './open';
import * as schema from './schema';
import type { person } from './schema';
import { upsideTime } from './schema';

type PersonRecord = typeof person.$inferSelect;

/** What two say: the entry that is kept or is here, and the other. */
type Unite<Value> = (here: Value, other: Value) => Value;

interface Carried<Value> {
  readonly inFile: true;
  /** Two entries of one person. */
  readonly merged: Unite<Value>;
  /** A file brings somebody who is here already: what is here stays, what restricts is united. */
  readonly imported: Unite<Value>;
}

interface Left {
  readonly inFile: false;
  /** Why it stays out of the file and of a merge. */
  readonly why: string;
}

/** A column that the file has is carried, with rules; one that it has not says why. */
type PersonColumns = {
  readonly [Column in keyof PersonRecord]: Column extends keyof StudioPerson
    ? Carried<PersonRecord[Column]>
    : Left;
};

const stays = <Value>(here: Value): Value => here;
const either = <Value>(here: Value | null, other: Value | null): Value | null => here ?? other;
const later = (a: Day | null, b: Day | null) => (a === null ? b : b === null || a > b ? a : b);
const stricter = { no: 0, ask: 1, yes: 2 } as const;
const strictest: Unite<PersonRecord['consent']> = (here, other) =>
  stricter[here] <= stricter[other] ? here : other;
const allWords: Unite<PersonRecord['otherWords']> = (here, other) => [
  ...new Set([...here, ...other]),
];

export const personColumns: PersonColumns = {
  id: { inFile: false, why: 'a number of this studio alone' },
  revision: { inFile: false, why: 'counts the changes of this studio alone' },
  importId: { inFile: false, why: 'says how the entry came here' },
  uid: { inFile: true, merged: stays, imported: stays },
  name: { inFile: true, merged: stays, imported: stays },
  heightM: { inFile: true, merged: stays, imported: stays },
  heightTyped: { inFile: true, merged: stays, imported: stays },
  massKg: { inFile: true, merged: either, imported: stays },
  forearmHands: { inFile: true, merged: either, imported: stays },
  consent: { inFile: true, merged: strictest, imported: strictest },
  pictureConsent: { inFile: true, merged: strictest, imported: strictest },
  // Pain that only one of the two entries knew to be gone is not gone.
  painClearedOn: {
    inFile: true,
    merged: (here, other) => (here === null || other === null ? null : here < other ? here : other),
    imported: stays,
  },
  screenedOn: { inFile: true, merged: later, imported: stays },
  otherWords: { inFile: true, merged: allWords, imported: allWords },
  archivedOn: { inFile: true, merged: stays, imported: stays },
};

type CarriedColumn = Extract<keyof PersonRecord, keyof StudioPerson>;

export const carriedColumns = (Object.keys(personColumns) as (keyof PersonRecord)[]).filter(
  (column): column is CarriedColumn => personColumns[column].inFile,
);

type CarriedRow = Pick<PersonRecord, CarriedColumn>;

/** What the file holds of a row, or what a row takes from the file. */
export const pickCarried = (row: CarriedRow): CarriedRow =>
  Object.fromEntries(carriedColumns.map((column) => [column, row[column]])) as CarriedRow;

/** The columns of two entries made one, by the rule asked for. */
export function unitePeople(
  how: 'merged' | 'imported',
  here: CarriedRow,
  other: CarriedRow,
): CarriedRow {
  return Object.fromEntries(
    carriedColumns.map((column) => {
      const rule = personColumns[column] as Carried<unknown>;
      return [column, rule[how](here[column], other[column])];
    }),
  ) as CarriedRow;
}

/** Tables that know a person by number. */
type PersonTableName = {
  [Name in keyof typeof schema]: (typeof schema)[Name] extends { readonly personId: unknown }
    ? Name
    : never;
}[keyof typeof schema];

/** A list of the file that a table is kept in. */
type ListOfFile = {
  [Name in keyof StudioPerson]: StudioPerson[Name] extends readonly unknown[] ? Name : never;
}[keyof StudioPerson];

interface PersonTable {
  /** The list of the file that holds it. */
  readonly list: ListOfFile;
  /**
   * When two entries become one. `moves`: every row counts for the entry kept. `unites`: rows that
   * it has already stay as they are there. A function where neither is right.
   */
  readonly merged: 'moves' | 'unites' | ((db: Db, keep: number, drop: number) => void);
}

export const personTables: Readonly<Record<PersonTableName, PersonTable>> = {
  checkRecord: { list: 'records', merged: 'moves' },
  savedSetup: { list: 'setups', merged: 'moves' },
  clearance: { list: 'clearances', merged: 'moves' },
  stopSign: { list: 'signs', merged: 'moves' },
  painReport: { list: 'pains', merged: 'moves' },
  attempt: { list: 'attempts', merged: 'moves' },
  personCaution: { list: 'cautions', merged: 'unites' },
  personLength: { list: 'lengths', merged: 'unites' },
  personRung: { list: 'rungs', merged: 'unites' },
  personPlacing: { list: 'placings', merged: 'unites' },
  personPicture: { list: 'pictures', merged: 'moves' },
  homeReport: { list: 'homeReports', merged: 'moves' },
  enrolment: { list: 'enrolled', merged: 'unites' },
  attendance: { list: 'attendance', merged: 'unites' },
  upsideTime: { list: 'upside', merged: addUpsideTime },
  // Before what points to it.
  decision: { list: 'decisions', merged: rewriteDecisions },
  review: { list: 'reviews', merged: moveReviews },
};

const personTableNames = Object.keys(personTables) as PersonTableName[];

/** The names of those tables in the database. */
export const personTableSqlNames = personTableNames.map((name) => getTableName(schema[name]));

function addUpsideTime(db: Db, keep: number, drop: number): void {
  for (const { id: _, ...row } of rowsOf(db, 'upsideTime', drop)) {
    db.insert(upsideTime)
      .values({ ...row, personId: keep })
      .onConflictDoUpdate({
        target: [upsideTime.classId, upsideTime.personId],
        set: { seconds: sql`${upsideTime.seconds} + ${row.seconds}` },
      })
      .run();
  }
}

function moveReviews(db: Db, keep: number, drop: number): void {
  for (const row of rowsOf(db, 'review', drop)) {
    db.insert(schema.review)
      .values({ ...row, personId: keep, decisionId: null, besideIds: [] })
      .onConflictDoNothing()
      .run();
  }
}

/** Decisions are never changed, so they are written again and go with the entry that is dropped. */
function rewriteDecisions(db: Db, keep: number, drop: number): void {
  for (const { id: _, ...row } of rowsOf(db, 'decision', drop)) {
    db.insert(schema.decision)
      .values({ ...row, personId: keep, corrects: null })
      .run();
  }
}

function rowsOf<Name extends PersonTableName>(
  db: Db,
  name: Name,
  personId: number,
): (typeof schema)[Name]['$inferSelect'][] {
  const table = schema[name] as typeof schema.checkRecord;
  return db.select().from(table).where(eq(table.personId, personId)).all() as never;
}

/** Gives the rows of every table from one entry to another of the same person. */
export function mergePersonTables(db: Db, keep: number, drop: number): void {
  for (const name of personTableNames) {
    const { merged } = personTables[name];
    const table = schema[name] as typeof schema.checkRecord;
    if (typeof merged === 'function') merged(db, keep, drop);
    else if (merged === 'moves') {
      db.update(table).set({ personId: keep }).where(eq(table.personId, drop)).run();
    } else {
      for (const row of rowsOf(db, name, drop)) {
        db.insert(table as SQLiteTable)
          .values({ ...row, personId: keep })
          .onConflictDoNothing()
          .run();
      }
    }
  }
}
