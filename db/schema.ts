import { randomUUID } from 'node:crypto';
import {
  index,
  integer,
  primaryKey,
  real,
  sqliteTable,
  text,
  uniqueIndex,
  type AnySQLiteColumn,
} from 'drizzle-orm/sqlite-core';
import { baseIds } from '@/core/catalog/checks';
import { cautionIds } from '@/core/catalog/cautions';
import { pieceKinds } from '@/core/catalog/ownPiece';
import type { PieceId } from '@/core/catalog/pieces';
import { profileIds } from '@/core/catalog/profiles';
import { painPlaces, stopSigns } from '@/core/catalog/regions';
import type { CautionColumn } from '@/core/catalog/cautions';
import type { ProfileChanges } from '@/core/catalog/school';
import { ladderIds, type LadderId } from '@/core/catalog/stage';
import { verdictKinds } from '@/core/ladder/verdict';
import { shapeIds } from '@/core/catalog/shapes';
import { lengthIds } from '@/core/body/lengths';

/** One row: how this teacher reads lengths and counts breaths. */
export const settings = sqliteTable('settings', {
  id: integer('id').primaryKey(),
  units: text('units', { enum: ['cm', 'in'] })
    .notNull()
    .default('cm'),
  breathSeconds: real('breath_seconds').notNull().default(5),
  studio: text('studio').notNull().default(''),
  /** Address of a load scale on the studio's network that the teacher has allowed; absent: none. */
  scaleAddress: text('scale_address'),
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
  stage: text('stage').notNull(),
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
    peak: text('peak'),
  },
  (table) => [uniqueIndex('meeting_course_date').on(table.courseId, table.date)],
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

/** A hop or a kick that somebody counted. */
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
    what: text('what', { enum: ['hop', 'kick'] }).notNull(),
    stage: text('stage'),
    base: text('base', { enum: baseIds }),
    leg: text('leg', { enum: ['left', 'right'] }),
    reached: integer('reached', { mode: 'boolean' }).notNull(),
    blocksKept: integer('blocks_kept', { mode: 'boolean' }),
    landing: text('landing', { enum: ['soft', 'heavy'] }),
    isAssisted: integer('is_assisted', { mode: 'boolean' }).notNull().default(false),
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
  },
  (table) => [primaryKey({ columns: [table.classId, table.personId] })],
);

export const deviceRoles = ['teacher', 'assistant'] as const;

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
  /** Hands-on help: yes, ask each time, no. */
  consent: text('consent', { enum: ['yes', 'ask', 'no'] })
    .notNull()
    .default('ask'),
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
    stage: text('stage').notNull(),
    since: text('since').notNull(),
  },
  (table) => [primaryKey({ columns: [table.personId, table.family] })],
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

/** What the suggestion stood on when it was judged; kept whole, so that it can be explained later. */
export interface DecisionGrounds {
  readonly reasons: readonly string[];
  readonly figures: readonly {
    readonly label: string;
    readonly status: string;
    readonly text: string;
  }[];
  readonly profileLabel: string;
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
    stage: text('stage').notNull(),
    madeOn: text('made_on').notNull(),
    suggested: text('suggested', { enum: verdictKinds }).notNull(),
    grounds: text('grounds', { mode: 'json' }).$type<DecisionGrounds>().notNull(),
    profileKey: text('profile_key').notNull(),
    profileVersion: integer('profile_version').notNull(),
    decided: text('decided', { enum: verdictKinds }).notNull(),
    reason: text('reason').notNull().default(''),
    /** The earlier decision that this one corrects. */
    corrects: integer('corrects'),
  },
  (table) => [index('decision_person').on(table.personId)],
);

/** A teacher's copy of a profile; each saved state is a version of its own and stays. */
export const profileVersion = sqliteTable(
  'profile_version',
  {
    key: text('key').notNull(),
    version: integer('version').notNull(),
    label: text('label').notNull(),
    origin: text('origin', { enum: profileIds }).notNull(),
    changes: text('changes', { mode: 'json' }).$type<ProfileChanges>().notNull(),
    savedOn: text('saved_on').notNull(),
    /** The copy was put away with this version. */
    isRetired: integer('is_retired', { mode: 'boolean' }).notNull().default(false),
  },
  (table) => [primaryKey({ columns: [table.key, table.version] })],
);

/** A teacher's own stages, branches, drills and checks. */
export const ownEntry = sqliteTable('own_entry', {
  key: text('key').primaryKey(),
  kind: text('kind', { enum: ['stages', 'branches', 'drills', 'checks'] }).notNull(),
  spec: text('spec', { mode: 'json' }).$type<unknown>().notNull(),
});

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
    /** A shipped check or a teacher's own. */
    check: text('check').notNull(),
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
  },
  (table) => [
    index('check_record_person').on(table.personId, table.check, table.date),
    uniqueIndex('check_record_origin').on(table.classId, table.originKey),
  ],
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
