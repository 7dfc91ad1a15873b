/** People: their bodies, what restricts them, and what lifts it. */
import { randomUUID } from 'node:crypto';
import {
  blob,
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core';
import type { CautionColumn } from '@/core/catalog/cautionColumns';
import { cautionIds } from '@/core/catalog/cautions';
import { painPlaces, stopSigns } from '@/core/catalog/regions';
import { ladderIds, type LadderId, type StageKey } from '@/core/catalog/stage';
import type { Sheet } from '@/core/plumb/marks';
import { feltIds } from '@/core/home/felt';
import { savedOfIds } from '@/core/setups/saved';
import { forearmHandsIds } from '@/core/body/hands';
import { takenIds } from '@/core/body/taken';
import { floorClass } from './floor';

export const person = sqliteTable('person', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  /** Goes with the person into files, so that the same one is known again. */
  uid: text('uid')
    .notNull()
    .unique()
    .$defaultFn(() => randomUUID()),
  /** Rises with every change to the person or their records (kept by triggers). */
  revision: integer('revision').notNull().default(1),
  name: text('name').notNull(),
  heightM: real('height_m').notNull(),
  /** As typed, so that nobody's 5'6" comes back as 5'5 7/8". */
  heightTyped: text('height_typed').notNull(),
  massKg: real('mass_kg'),
  /** Hands in a forearm stand; absent: as the school has them. */
  forearmHands: text('forearm_hands', { enum: forearmHandsIds }),
  /** Hands-on help: yes, ask each time, no. */
  consent: text('consent', { enum: ['yes', 'ask', 'no'] })
    .notNull()
    .default('ask'),
  /** Pictures that are kept: no, ask each time, yes. Never of anybody under 16 (kept so by triggers). */
  pictureConsent: text('picture_consent', { enum: ['yes', 'ask', 'no'] })
    .notNull()
    .default('no'),
  /** Newest day on which the teacher noted that earlier pain is gone. */
  painClearedOn: text('pain_cleared_on'),
  /** Day of the last screening; absent: never asked. */
  screenedOn: text('screened_on'),
  /** Reports in the teacher's own words, in no list. */
  otherWords: text('other_words', { mode: 'json' }).$type<string[]>().notNull().default([]),
  archivedOn: text('archived_on'),
  importId: integer('import_id'),
});

/** Where a person works now, one rung on each ladder they have begun. */
export const personRung = sqliteTable(
  'person_rung',
  {
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    family: text('family', { enum: ladderIds }).notNull(),
    stage: text('stage').$type<StageKey>().notNull(),
    since: text('since').notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.family] })],
);

/** The teacher's word of a day: where they have seen somebody work. Without a stage: never seen. */
export const personPlacing = sqliteTable(
  'person_placing',
  {
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    family: text('family', { enum: ladderIds }).notNull(),
    stage: text('stage').$type<StageKey>(),
    on: text('on').notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.family] })],
);

/** Marks of a picture that were kept; the picture itself only where that was agreed to. */
export const personPicture = sqliteTable(
  'person_picture',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    /** Goes into files, so that the same one is known again. */
    uid: text('uid')
      .notNull()
      .unique()
      .$defaultFn(() => randomUUID()),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    on: text('on').notNull(),
    width: integer('width').notNull(),
    height: integer('height').notNull(),
    sheet: text('sheet', { mode: 'json' }).$type<Sheet>().notNull(),
    jpeg: blob('jpeg', { mode: 'buffer' }),
  },
  (table) => [index('person_picture_person').on(table.personId)],
);

/** The teacher's note that a clinician has given their word. */
export const clearance = sqliteTable(
  'clearance',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    about: text('about', { enum: [...cautionIds, 'stop-sign'] }).notNull(),
    covers: text('covers', { mode: 'json' }).$type<CautionColumn[]>().notNull(),
    ladders: text('ladders', { mode: 'json' }).$type<LadderId[]>(),
    notedOn: text('noted_on').notNull(),
    until: text('until').notNull(),
  },
  (table) => [index('clearance_person').on(table.personId)],
);

export const stopSign = sqliteTable(
  'stop_sign',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    sign: text('sign', { enum: stopSigns }).notNull(),
    date: text('date').notNull(),
    /** The class and the tap it came from. */
    classId: integer('class_id').references((): AnySQLiteColumn => floorClass.id, {
      onDelete: 'set null',
    }),
    originKey: text('origin_key'),
  },
  (table) => [
    index('stop_sign_person').on(table.personId),
    uniqueIndex('stop_sign_origin').on(table.classId, table.originKey),
  ],
);

/** Pain that somebody reported outside a check; closes what loads the place until noted as gone. */
export const painReport = sqliteTable(
  'pain_report',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    classId: integer('class_id').references(() => floorClass.id, { onDelete: 'set null' }),
    originKey: text('origin_key'),
    place: text('place', { enum: painPlaces }).notNull(),
    date: text('date').notNull(),
  },
  (table) => [
    uniqueIndex('pain_report_origin').on(table.classId, table.originKey),
    index('pain_report_person').on(table.personId),
  ],
);

/** What somebody reported of practice at home: counted, shown beside the record, never evidence. */
export const homeReport = sqliteTable(
  'home_report',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    on: text('on').notNull(),
    /** The row of the sheet: a drill, a check, a stage, an alternative. */
    item: text('item').notNull(),
    felt: text('felt', { enum: feltIds }).notNull(),
    pain: text('pain', { enum: painPlaces }),
    sign: text('sign', { enum: stopSigns }),
  },
  (table) => [index('home_report_person').on(table.personId)],
);

/** Measured lengths only; the rest follow from height. */
export const personLength = sqliteTable(
  'person_length',
  {
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    length: text('length', { enum: takenIds }).notNull(),
    metres: real('metres').notNull(),
    typed: text('typed').notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.length] })],
);

export const personCaution = sqliteTable(
  'person_caution',
  {
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    caution: text('caution', { enum: cautionIds }).notNull(),
    notedOn: text('noted_on').notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.caution] })],
);

/** Set-ups found by experience, newest last; nothing is overwritten. */
export const savedSetup = sqliteTable(
  'saved_setup',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    family: text('family', { enum: [...savedOfIds] }).notNull(),
    values: text('values', { mode: 'json' }).$type<Record<string, number>>().notNull(),
    note: text('note').notNull().default(''),
    savedOn: text('saved_on').notNull(),
  },
  (table) => [index('saved_setup_person').on(table.personId, table.family)],
);

/**
 * Left behind by somebody deleted: a digest of their uid and nothing else, so that a record or a
 * file that arrives later cannot bring them back.
 */
export const removedPerson = sqliteTable('removed_person', {
  mark: text('mark').primaryKey(),
  removedOn: text('removed_on').notNull(),
});

/** One import, so that it can be taken back as a whole. */
export const peopleImport = sqliteTable('people_import', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  importedOn: text('imported_on').notNull(),
  people: integer('people').notNull(),
});
