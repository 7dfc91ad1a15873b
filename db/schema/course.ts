/** The studio, its courses, rooms and cupboards, and what is planned. */
import { integer, primaryKey, real, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { pieceKinds } from '@/core/catalog/pieceKinds';
import type { PieceId } from '@/core/catalog/pieces';
import { ladderIds, type StageKey } from '@/core/catalog/stage';
import { paperInks } from '@/core/drawing/palette';

/** One row: how this teacher reads lengths and counts breaths. */
export const settings = sqliteTable('settings', {
  id: integer('id').primaryKey(),
  units: text('units', { enum: ['cm', 'in'] })
    .notNull()
    .default('cm'),
  breathSeconds: real('breath_seconds').notNull().default(5),
  /** What the printer has. */
  paperInk: text('paper_ink', { enum: paperInks }).notNull().default('tones'),
  studio: text('studio').notNull().default(''),
  /** Address of a load scale on the studio's network that the teacher has allowed; absent: none. */
  scaleAddress: text('scale_address'),
  /** What the teacher at the desk is called, in decisions and in the diary. */
  deskName: text('desk_name').notNull().default(''),
  /** The desk locks itself after so many minutes without a key or a finger. */
  deskIdleMinutes: integer('desk_idle_minutes').notNull().default(10),
  /** A device that was not heard of for so long is no longer let in. */
  deviceIdleDays: integer('device_idle_days').notNull().default(90),
  /** Changes whenever a copy is taken back: devices then agree anew on their numbers. */
  era: text('era').notNull().default(''),
  /** Somebody was deleted, and what they left on the disk is not overwritten yet. */
  erasePending: integer('erase_pending', { mode: 'boolean' }).notNull().default(false),
});

export const course = sqliteTable('course', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  name: text('name').notNull(),
  place: text('place').notNull(),
  /** Day of the first meeting; the course meets every seventh day from there. */
  startsOn: text('starts_on').notNull(),
  startsAt: text('starts_at').notNull(),
  minutes: integer('minutes').notNull(),
  /** A shipped profile or the key of a copy. */
  profile: text('profile').notNull(),
  stage: text('stage').$type<StageKey>().notNull(),
  /** How many weekly meetings it was planned for. */
  weeks: integer('weeks').notNull().default(10),
});

/** One evening of a course, as it is planned or was. */
export const meeting = sqliteTable(
  'meeting',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    courseId: integer('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    date: text('date').notNull(),
    startsAt: text('starts_at').notNull(),
    minutes: integer('minutes').notNull(),
    room: text('room').notNull().default(''),
    /** The week's family and, where one was chosen, its peak. */
    family: text('family', { enum: ladderIds }),
    peak: text('peak').$type<StageKey>(),
  },
  (table) => [uniqueIndex('meeting_course_date').on(table.courseId, table.date)],
);

/** What the cupboard holds, per course. A count of 0 means none. */
export const cupboard = sqliteTable(
  'cupboard',
  {
    courseId: integer('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    /** A shipped piece, or `own-` and the id of an own one. */
    piece: text('piece').$type<PieceId>().notNull(),
    count: integer('count').notNull(),
    /** Not fit for use just now: torn, lent out, in the wash. */
    worn: integer('worn').notNull().default(0),
  },
  (table) => [primaryKey({ columns: [table.courseId, table.piece] })],
);

/** Pieces a teacher added, with their faces and the height under load. */
export const ownPiece = sqliteTable('own_piece', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  label: text('label').notNull(),
  kind: text('kind', { enum: pieceKinds }).notNull(),
  lengthM: real('length_m').notNull(),
  widthM: real('width_m').notNull(),
  thicknessM: real('thickness_m').notNull(),
  loadedM: real('loaded_m').notNull(),
  isFirm: integer('is_firm', { mode: 'boolean' }).notNull(),
  standsOnEdge: integer('stands_on_edge', { mode: 'boolean' }).notNull(),
  refolds: integer('refolds', { mode: 'boolean' }).notNull(),
  stacks: integer('stacks', { mode: 'boolean' }).notNull(),
});

/** The room a course meets in, as its file; checked against the format when read. */
export const room = sqliteTable('room', {
  courseId: integer('course_id')
    .primaryKey()
    .references(() => course.id, { onDelete: 'cascade' }),
  file: text('file', { mode: 'json' }).$type<unknown>().notNull(),
});

/** What a teacher wants of one evening, and the plan that came of it. */
export const classPlan = sqliteTable(
  'class_plan',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    courseId: integer('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    day: text('day').notNull(),
    /** Minutes, families, who comes, pins: as the Plan screen keeps them. */
    wishes: text('wishes', { mode: 'json' }).$type<unknown>().notNull(),
    /** The plan file; null until one was kept. */
    plan: text('plan', { mode: 'json' }).$type<unknown>(),
    /** Rises with every change, so that a second window is told. */
    revision: integer('revision').notNull().default(1),
  },
  (table) => [uniqueIndex('class_plan_course_day').on(table.courseId, table.day)],
);
