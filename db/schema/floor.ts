/** Classes on the floor with their taps, and the devices that are let in. */
import { randomUUID } from 'node:crypto';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { course } from './course';

/** A class that was begun on the floor. Its taps are its truth; the rest is read from them. */
export const floorClass = sqliteTable(
  'floor_class',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    /** Its address; says nothing about anybody. */
    uid: text('uid')
      .notNull()
      .unique()
      .$defaultFn(() => randomUUID()),
    courseId: integer('course_id')
      .notNull()
      .references(() => course.id, { onDelete: 'cascade' }),
    day: text('day').notNull(),
    startedMs: integer('started_ms').notNull(),
    endedMs: integer('ended_ms'),
    /** Plan, people and set-ups as they were when it began. */
    bundle: text('bundle', { mode: 'json' }).$type<unknown>().notNull(),
  },
  (table) => [uniqueIndex('floor_class_course_day').on(table.courseId, table.day)],
);

/** One tap as it arrived; `device` and `seq` are its name, so that it is kept once. */
export const floorTap = sqliteTable(
  'floor_tap',
  {
    id: integer('id').primaryKey({ autoIncrement: true }),
    classId: integer('class_id')
      .notNull()
      .references(() => floorClass.id, { onDelete: 'cascade' }),
    device: text('device').notNull(),
    seq: integer('seq').notNull(),
    kind: text('kind').notNull(),
    payload: text('payload', { mode: 'json' }).$type<unknown>().notNull(),
  },
  (table) => [
    uniqueIndex('floor_tap_name').on(table.classId, table.device, table.seq),
    index('floor_tap_class').on(table.classId, table.id),
  ],
);

const deviceRoles = ['teacher', 'assistant'] as const;

/** A tablet or phone on the studio's network that was let in. */
export const device = sqliteTable('device', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  name: text('name').notNull(),
  role: text('role', { enum: deviceRoles }).notNull(),
  /** A digest; the token itself is on the device alone. */
  tokenMark: text('token_mark').notNull().unique(),
  addedOn: text('added_on').notNull(),
  seenMs: integer('seen_ms'),
});

/** A pairing code on the teacher's screen: for one device, for a few minutes. */
export const pairing = sqliteTable('pairing', {
  id: integer('id').primaryKey({ autoIncrement: true }),
  codeMark: text('code_mark').notNull(),
  role: text('role', { enum: deviceRoles }).notNull(),
  expiresMs: integer('expires_ms').notNull(),
  /** Wrong tries while it was on the screen. */
  tries: integer('tries').notNull().default(0),
});

/**
 * Whose taps these are: the name under which a browser taps, bound at its first delivery to the
 * device that was let in, or to the desk. Nobody else sends under it afterwards.
 */
export const tapDevice = sqliteTable('tap_device', {
  name: text('name').primaryKey(),
  /** Absent: the desk. Stays when the device is put out. */
  deviceId: integer('device_id'),
  role: text('role', { enum: deviceRoles }).notNull(),
});
