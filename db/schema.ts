import { index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { baseIds, checkIds } from '@/core/catalog/checks';
import { cautionIds } from '@/core/catalog/cautions';
import { pieceIds } from '@/core/catalog/pieces';
import { profileIds } from '@/core/catalog/profiles';
import { shapeIds } from '@/core/catalog/shapes';
import { stageIds } from '@/core/catalog/stages';
import { lengthIds } from '@/core/body/lengths';

/** One row: how this teacher reads lengths and counts breaths. */
export const settings = sqliteTable('settings', {
  id: integer('id').primaryKey(),
  units: text('units', { enum: ['cm', 'in'] })
    .notNull()
    .default('cm'),
  breathSeconds: real('breath_seconds').notNull().default(5),
});

export const course = sqliteTable('course', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  name: text('name').notNull(),
  place: text('place').notNull(),
  /** Day of the first meeting; the course meets every seventh day from there. */
  startsOn: text('starts_on').notNull(),
  startsAt: text('starts_at').notNull(),
  minutes: integer('minutes').notNull(),
  profile: text('profile', { enum: profileIds }).notNull(),
  stage: text('stage', { enum: stageIds }).notNull(),
});

/** What the cupboard holds, per course. A count of 0 means none. */
export const cupboard = sqliteTable(
  'cupboard',
  {
    courseId: integer('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    piece: text('piece', { enum: pieceIds }).notNull(),
    count: integer('count').notNull(),
  },
  (table) => [primaryKey({ columns: [table.courseId, table.piece] })],
);

export const person = sqliteTable('person', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  name: text('name').notNull(),
  heightM: real('height_m').notNull(),
  /** As typed, so that nobody's 5'6" comes back as 5'5 7/8". */
  heightTyped: text('height_typed').notNull(),
  massKg: real('mass_kg'),
  /** Hands-on help: yes, ask each time, no. */
  consent: text('consent', { enum: ['yes', 'ask', 'no'] })
    .notNull()
    .default('ask'),
  /** Newest day on which the teacher noted that earlier pain is gone. */
  painClearedOn: text('pain_cleared_on'),
  presentStage: text('present_stage', { enum: stageIds }),
});

/** Measured lengths only; the rest follow from height. */
export const personLength = sqliteTable(
  'person_length',
  {
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    length: text('length', { enum: lengthIds }).notNull(),
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

export const enrolment = sqliteTable(
  'enrolment',
  {
    courseId: integer('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
  },
  (table) => [primaryKey({ columns: [table.courseId, table.personId] })],
);

/** What a teacher saw. Ids rise, so they keep the order in which a day's records were entered. */
export const checkRecord = sqliteTable(
  'check_record',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    check: text('check', { enum: checkIds }).notNull(),
    date: text('date').notNull(),
    /** Seconds, repetitions, 1 or 0, or the measure. */
    value: real('value').notNull(),
    /** Set when the teacher counted breaths: what was typed. */
    breaths: real('breaths'),
    stoppedByTeacher: integer('stopped_by_teacher', { mode: 'boolean' }).notNull().default(false),
    faults: text('faults', { mode: 'json' }).$type<string[]>().notNull(),
    pain: integer('pain', { mode: 'boolean' }).notNull().default(false),
    side: text('side', { enum: ['left', 'right'] }),
    base: text('base', { enum: baseIds }),
  },
  (table) => [index('check_record_person').on(table.personId, table.check, table.date)],
);

/** Set-ups found by experience, newest last; nothing is overwritten. */
export const savedSetup = sqliteTable(
  'saved_setup',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    family: text('family', { enum: shapeIds }).notNull(),
    values: text('values', { mode: 'json' }).$type<Record<string, number>>().notNull(),
    note: text('note').notNull().default(''),
    savedOn: text('saved_on').notNull(),
  },
  (table) => [index('saved_setup_person').on(table.personId, table.family)],
);
