/** What people did and what was decided: records, tries, minutes, evenings. */
import {
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
} from 'drizzle-orm/sqlite-core';
import { baseIds, type CheckKey, type FaultId } from '@/core/catalog/checks';
import { tryKinds } from '@/core/catalog/tries';
import { wayUpIds } from '@/core/catalog/waysUp';
import { trySupports } from '@/core/running/tap';
import { painPlaces } from '@/core/catalog/regions';
import { readings } from '@/core/readiness/record';
import { ladderIds, type StageKey } from '@/core/catalog/stage';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import { course, meeting } from './course';
import { person } from './person';
import { floorClass } from './floor';

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

/** Who came, and a line about their evening. */
export const attendance = sqliteTable(
  'attendance',
  {
    meetingId: integer('meeting_id')
      .notNull()
      .references(() => meeting.id, { onDelete: 'cascade' }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    came: integer('came', { mode: 'boolean' }).notNull().default(true),
    note: text('note').notNull().default(''),
  },
  (table) => [
    primaryKey({ columns: [table.meetingId, table.personId] }),
    index('attendance_person').on(table.personId),
  ],
);

/** What a teacher saw. Ids rise, so they keep the order in which a day's records were entered. */
export const checkRecord = sqliteTable(
  'check_record',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    /** A shipped check or a teacher's own. */
    check: text('check').$type<CheckKey>().notNull(),
    date: text('date').notNull(),
    /** Seconds, repetitions, 1 or 0, or the measure. */
    value: real('value').notNull(),
    /** Set when the teacher counted breaths: what was typed. */
    breaths: real('breaths'),
    stoppedByTeacher: integer('stopped_by_teacher', { mode: 'boolean' }).notNull().default(false),
    faults: text('faults', { mode: 'json' }).$type<string[]>().notNull(),
    pain: integer('pain', { mode: 'boolean' }).notNull().default(false),
    painPlace: text('pain_place', { enum: painPlaces }),
    side: text('side', { enum: ['left', 'right'] }),
    base: text('base', { enum: baseIds }),
    /** The class and what in it this was read from; absent: recorded by hand. */
    classId: integer('class_id').references(() => floorClass.id, { onDelete: 'set null' }),
    originKey: text('origin_key'),
    /** Read off a picture, a clip or the camera; absent: by eye, by tape, by clock. */
    readBy: text('read_by', { enum: readings }),
    /** Which of its measures, and its error of one standard deviation in the unit of the check. */
    measure: text('measure'),
    readingError: real('reading_error'),
  },
  (table) => [
    index('check_record_person').on(table.personId, table.check, table.date),
    uniqueIndex('check_record_origin').on(table.classId, table.originKey),
  ],
);

/** What the suggestion stood on when it was judged; kept whole, so that it can be explained later. */
export interface DecisionGrounds {
  readonly reasons: readonly string[];
  readonly figures: readonly {
    readonly label: string;
    readonly status: string;
    readonly text: string;
  }[];
  readonly profileLabel: string;
  /** Where somebody stood before a decision moved them; null: nowhere on this ladder. */
  readonly stoodAt?: { readonly stage: StageKey; readonly since: string } | null;
}

/** Suggestion and decision side by side. A trigger refuses every later change. */
export const decision = sqliteTable(
  'decision',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    family: text('family', { enum: ladderIds }).notNull(),
    stage: text('stage').$type<StageKey>().notNull(),
    madeOn: text('made_on').notNull(),
    suggested: text('suggested', { enum: verdictKinds }).notNull(),
    grounds: text('grounds', { mode: 'json' }).$type<DecisionGrounds>().notNull(),
    profileKey: text('profile_key').notNull(),
    profileVersion: integer('profile_version').notNull(),
    decided: text('decided', { enum: verdictKinds }).notNull(),
    reason: text('reason').notNull().default(''),
    /** The earlier decision that this one corrects. */
    corrects: integer('corrects'),
    /** Who decided: the name of the device or of the teacher at the desk; empty: not known. */
    by: text('by').notNull().default(''),
  },
  (table) => [index('decision_person').on(table.personId)],
);

/** A hop, a kick or a lift that somebody counted. */
export const attempt = sqliteTable(
  'attempt',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    classId: integer('class_id').references(() => floorClass.id, { onDelete: 'set null' }),
    originKey: text('origin_key'),
    date: text('date').notNull(),
    what: text('what', { enum: tryKinds }).notNull(),
    stage: text('stage').$type<StageKey>(),
    base: text('base', { enum: baseIds }),
    leg: text('leg', { enum: ['left', 'right'] }),
    reached: integer('reached', { mode: 'boolean' }).notNull(),
    blocksKept: integer('blocks_kept', { mode: 'boolean' }),
    landing: text('landing', { enum: ['soft', 'heavy'] }),
    isAssisted: integer('is_assisted', { mode: 'boolean' }).notNull().default(false),
    wayUp: text('way_up', { enum: wayUpIds }),
    support: text('support', { enum: trySupports }),
    /** Seconds on the way up and on the way down; absent: not timed. */
    liftS: real('lift_s'),
    exitS: real('exit_s'),
    faults: text('faults', { mode: 'json' }).$type<FaultId[]>().notNull().default([]),
  },
  (table) => [
    uniqueIndex('attempt_origin').on(table.classId, table.originKey),
    index('attempt_person').on(table.personId, table.date),
  ],
);

/** Seconds upside down that were timed or counted, one row for a person and a class. */
export const upsideTime = sqliteTable(
  'upside_time',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    classId: integer('class_id').references(() => floorClass.id, { onDelete: 'set null' }),
    date: text('date').notNull(),
    seconds: real('seconds').notNull(),
  },
  (table) => [
    uniqueIndex('upside_time_class').on(table.classId, table.personId),
    index('upside_time_person').on(table.personId, table.date),
  ],
);

/** Somebody's evening was looked through after the class. */
export const review = sqliteTable(
  'review',
  {
    classId: integer('class_id')
      .notNull()
      .references(() => floorClass.id, { onDelete: 'cascade' }),
    personId: integer('person_id')
      .notNull()
      .references(() => person.id, { onDelete: 'cascade' }),
    doneOn: text('done_on').notNull(),
    /** The decision that came of it; absent: nothing to decide. */
    decisionId: integer('decision_id').references(() => decision.id, { onDelete: 'set null' }),
    /** Decisions on the evening's other ladders. */
    besideIds: text('beside_ids', { mode: 'json' })
      .$type<readonly number[]>()
      .notNull()
      .default([]),
  },
  (table) => [primaryKey({ columns: [table.classId, table.personId] })],
);
