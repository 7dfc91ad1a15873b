/**
 * Rows that no form and no file of ours would have let in: written by another program, by an
 * earlier version, or damaged. They are set aside with a sentence, so that every page opens. What
 * restricts somebody is never lost by that: it stays as words of the teacher's own.
 */
import { desc, sql } from 'drizzle-orm';
import { findLengthProblem } from '@/core/body/body';
import { heightRangeM, lengthIds, massRangeKg, type LengthId } from '@/core/body/lengths';
import { cautionIds } from '@/core/catalog/cautions';
import { pieceSpec } from '@/core/catalog/ownPiece';
import { isOwnPiece, pieceIds, type PieceId } from '@/core/catalog/pieces';
import { profileChangesSchema } from '@/core/catalog/profileChanges';
import { painPlaces, stopSigns } from '@/core/catalog/regions';
import { shapeIds } from '@/core/catalog/shapes';
import { ladderIds } from '@/core/catalog/stage';
import { assertRoom, roomFile } from '@/core/room/room';
import { findDayNumber } from '@/core/units/day';
import type { Db } from './open';
import { setAside } from './schema';

type Row = Readonly<Record<string, unknown>>;

/** `null`: the row is sound. */
interface Finding {
  readonly words: string;
  /** What takes the place of what cannot be; absent: the row goes. */
  readonly set?: Readonly<Record<string, string | number | null>>;
  /** A restriction in words, for the person it is about. */
  readonly restricts?: string;
}

interface Rule {
  readonly table: string;
  readonly place: string;
  /** Only rows that may be wrong are read; absent: all. */
  readonly where?: string;
  readonly find: (row: Row) => Finding | null;
}

const isDay = (value: unknown) => typeof value === 'string' && findDayNumber(value) !== null;
const isClock = (value: unknown) =>
  typeof value === 'string' && /^([01]\d|2[0-3]):[0-5]\d$/.test(value);
const isMinutes = (value: unknown) =>
  Number.isInteger(value) && Number(value) >= 10 && Number(value) <= 300;
const isIn = (list: readonly string[], value: unknown) => list.includes(String(value));
const isRange = (value: unknown, low: number, high: number) =>
  typeof value === 'number' && value >= low && value <= high;

function parse(value: unknown): unknown {
  try {
    return JSON.parse(String(value));
  } catch {
    return undefined;
  }
}

const isWords = (value: unknown): boolean => {
  const list = parse(value);
  return Array.isArray(list) && list.every((one) => typeof one === 'string');
};

const rules: readonly Rule[] = [
  {
    table: 'person',
    place: 'person',
    find: ({
      height_m,
      mass_kg,
      consent,
      other_words,
      screened_on,
      pain_cleared_on,
      archived_on,
    }) => {
      if (!isRange(height_m, heightRangeM.low, heightRangeM.high)) {
        // Without a height there is no body, and another one must not be made up.
        return { words: 'An entry has a height that nobody has.' };
      }
      if (mass_kg !== null && !isRange(mass_kg, massRangeKg.low, massRangeKg.high)) {
        return { words: 'A body mass cannot be; it is left open.', set: { mass_kg: null } };
      }
      if (!isIn(['yes', 'ask', 'no'], consent)) {
        return { words: 'A consent is not known; it is “no” until asked.', set: { consent: 'no' } };
      }
      if (!isWords(other_words)) {
        return { words: 'Words of your own could not be read.', set: { other_words: '[]' } };
      }
      for (const [name, day] of Object.entries({ screened_on, pain_cleared_on, archived_on })) {
        if (day !== null && !isDay(day))
          return { words: 'A day is no day.', set: { [name]: null } };
      }
      return null;
    },
  },
  {
    table: 'person_length',
    place: 'measured length',
    find: (row) => {
      if (!isIn(lengthIds, row.length))
        return { words: 'A measured length is of no limb we know.' };
      if (!isRange(row.metres, 0, 5)) return { words: 'A measured length cannot be.' };
      const problem = findLengthProblem(
        row.length as LengthId,
        Number(row.metres),
        Number(row.height_of),
      );
      return problem === null ? null : { words: problem };
    },
  },
  {
    table: 'person_caution',
    place: 'report',
    find: ({ caution }) =>
      isIn(cautionIds, caution)
        ? null
        : { words: 'A report is in no list of ours.', restricts: `reported: ${String(caution)}` },
  },
  {
    table: 'stop_sign',
    place: 'report',
    find: ({ sign, date }) =>
      isIn(stopSigns, sign) && isDay(date)
        ? null
        : {
            words: 'A sign is in no list of ours, or has no day.',
            restricts: `a stop sign: ${String(sign)}`,
          },
  },
  {
    table: 'pain_report',
    place: 'report',
    find: ({ place, date }) =>
      isIn(painPlaces, place) && isDay(date)
        ? null
        : {
            words: 'A report is of no place we know, or has no day.',
            restricts: `pain: ${String(place)}`,
          },
  },
  {
    table: 'clearance',
    place: 'note',
    find: ({ about, covers, ladders, noted_on, until }) =>
      isIn([...cautionIds, 'stop-sign'], about) &&
      isWords(covers) &&
      (ladders === null || isWords(ladders)) &&
      isDay(noted_on) &&
      isDay(until)
        ? null
        : { words: 'A note could not be read; it lifts nothing any more.' },
  },
  {
    table: 'person_rung',
    place: 'rung',
    find: ({ family, since }) =>
      isIn(ladderIds, family) && isDay(since)
        ? null
        : { words: 'A rung is on no ladder we know, or has no day.' },
  },
  {
    table: 'check_record',
    place: 'record',
    where: `typeof(value) NOT IN ('real', 'integer') OR value < 0 OR value > 3600 OR NOT json_valid(faults)
      OR date NOT GLOB '[0-9][0-9][0-9][0-9]-[0-9][0-9]-[0-9][0-9]' OR julianday(date) IS NULL`,
    find: () => ({ words: 'A record cannot be.' }),
  },
  {
    table: 'attempt',
    place: 'try',
    where: `what NOT IN ('hop', 'kick') OR julianday(date) IS NULL`,
    find: () => ({ words: 'A try could not be read.' }),
  },
  {
    table: 'upside_time',
    place: 'time',
    where: `typeof(seconds) NOT IN ('real', 'integer') OR seconds < 0 OR seconds > 86400 OR julianday(date) IS NULL`,
    find: () => ({ words: 'A time upside down cannot be.' }),
  },
  {
    table: 'saved_setup',
    place: 'set-up',
    find: ({ family, values }) => {
      const read = parse(values);
      const isSound =
        isIn(shapeIds, family) &&
        typeof read === 'object' &&
        read !== null &&
        Object.values(read).every((one) => typeof one === 'number' && Number.isFinite(one));
      return isSound ? null : { words: 'A kept set-up could not be read.' };
    },
  },
  {
    table: 'course',
    place: 'course',
    find: ({ minutes, starts_at, starts_on, weeks, name }) => {
      if (!isMinutes(minutes))
        return {
          words: `Course ${String(name)}: its minutes cannot be; now 75.`,
          set: { minutes: 75 },
        };
      if (!isClock(starts_at))
        return {
          words: `Course ${String(name)}: its time is none; now 18:00.`,
          set: { starts_at: '18:00' },
        };
      if (!isDay(starts_on))
        return {
          words: `Course ${String(name)}: its first day is none; now 1 January 2026.`,
          set: { starts_on: '2026-01-01' },
        };
      if (!Number.isInteger(weeks) || !isRange(weeks, 1, 60))
        return {
          words: `Course ${String(name)}: its weeks cannot be; now 10.`,
          set: { weeks: 10 },
        };
      return null;
    },
  },
  {
    table: 'meeting',
    place: 'evening',
    find: ({ minutes, starts_at, date, family }) => {
      if (!isDay(date)) return { words: 'An evening has no day.' };
      if (!isMinutes(minutes))
        return {
          words: `Evening of ${String(date)}: its minutes cannot be; now 75.`,
          set: { minutes: 75 },
        };
      if (!isClock(starts_at))
        return {
          words: `Evening of ${String(date)}: its time is none; now 18:00.`,
          set: { starts_at: '18:00' },
        };
      if (family !== null && !isIn(ladderIds, family))
        return {
          words: `Evening of ${String(date)}: its family is not known.`,
          set: { family: null, peak: null },
        };
      return null;
    },
  },
  {
    table: 'cupboard',
    place: 'cupboard',
    find: ({ piece, count, worn }) => {
      if (!isIn(pieceIds, piece) && !isOwnPiece(String(piece) as PieceId)) {
        return {
          words: `The cupboard holds a piece that is in no list: ${String(piece).slice(0, 40)}.`,
        };
      }
      if (
        !Number.isInteger(count) ||
        !isRange(count, 0, 200) ||
        !Number.isInteger(worn) ||
        !isRange(worn, 0, Number(count))
      ) {
        return { words: 'The cupboard holds a number of pieces that cannot be.' };
      }
      return null;
    },
  },
  {
    table: 'own_piece',
    place: 'piece',
    find: ({ length_m, width_m, thickness_m, loaded_m, label, kind, is_firm }) => {
      const parsed = pieceSpec.safeParse({
        label,
        kind,
        lengthM: length_m,
        widthM: width_m,
        thicknessM: thickness_m,
        loadedM: loaded_m,
        isFirm: is_firm === 1,
      });
      return parsed.success ? null : { words: 'A piece of your own has faces that cannot be.' };
    },
  },
  {
    table: 'room',
    place: 'room',
    find: ({ file }) => {
      const parsed = roomFile.safeParse(parse(file));
      if (!parsed.success) return { words: 'A room could not be read.' };
      try {
        assertRoom(parsed.data);
        return null;
      } catch {
        return { words: 'A room cannot be built as it is drawn.' };
      }
    },
  },
  {
    table: 'profile_version',
    place: 'profile',
    find: ({ changes }) =>
      profileChangesSchema.safeParse(parse(changes)).success
        ? null
        : { words: 'A profile copy could not be read.' },
  },
];

/** Columns that hold JSON and are read as a whole: what is none there would stop every page. */
const jsonColumns: readonly (readonly [table: string, column: string, usual: string])[] = [
  ['class_plan', 'wishes', '{}'],
  ['class_plan', 'plan', 'null'],
  ['decision', 'grounds', '{"reasons":[],"figures":[],"profileLabel":""}'],
  ['own_entry', 'spec', '{}'],
];

const selectOf = ({ table, where = 'true' }: Rule) =>
  table === 'person_length'
    ? `SELECT l.rowid AS rowid_, l.*, p.height_m AS height_of FROM person_length l JOIN person p ON p.id = l.person_id`
    : `SELECT rowid AS rowid_, * FROM "${table}" WHERE ${where}`;

/**
 * Looks through the studio and sets aside what cannot be read.
 *
 * @param nowMs when
 * @returns how many rows or values that was
 */
export function setBadRowsAside(db: Db, nowMs: number): number {
  let count = 0;
  const keep = (place: string, words: string, row: Row) => {
    count += 1;
    db.insert(setAside).values({ place, words, row, onMs: nowMs }).run();
  };
  for (const [table, column, usual] of jsonColumns) {
    const rows = db.all<Row>(
      sql.raw(`SELECT rowid AS rowid_, "${column}" AS held FROM "${table}"
        WHERE "${column}" IS NOT NULL AND NOT json_valid("${column}")`),
    );
    for (const row of rows) {
      keep(table, 'Something that was kept could not be read.', row);
      const value = usual === 'null' ? sql`NULL` : sql`${usual}`;
      db.run(
        sql`UPDATE ${sql.identifier(table)} SET ${sql.identifier(column)} = ${value} WHERE rowid = ${row.rowid_}`,
      );
    }
  }
  for (const rule of rules) {
    // A row may be wrong in several ways: it is looked at until nothing is found.
    for (let round = 0; round < 6; round += 1) {
      let changed = 0;
      for (const row of db.all<Row>(sql.raw(selectOf(rule)))) {
        const finding = rule.find(row);
        if (finding === null) continue;
        changed += 1;
        keep(
          rule.place,
          finding.words,
          rule.table === 'person' && finding.set === undefined ? withStory(db, row) : row,
        );
        if (finding.restricts !== undefined) restrict(db, row, finding.restricts);
        const table = sql.identifier(rule.table);
        if (finding.set === undefined) {
          db.run(sql`DELETE FROM ${table} WHERE rowid = ${row.rowid_}`);
          continue;
        }
        for (const [column, value] of Object.entries(finding.set)) {
          db.run(
            sql`UPDATE ${table} SET ${sql.identifier(column)} = ${value} WHERE rowid = ${row.rowid_}`,
          );
        }
      }
      if (changed === 0) break;
    }
  }
  return count;
}

/** What restricts somebody outlives the row it stood in. */
function restrict(db: Db, { person_id }: Row, words: string): void {
  const now = db.get<{ other_words: string }>(
    sql`SELECT other_words FROM person WHERE id = ${person_id}`,
  );
  const list = parse(now?.other_words);
  const next = [...(Array.isArray(list) ? list : []), words.slice(0, 200)];
  db.run(sql`UPDATE person SET other_words = ${JSON.stringify(next)} WHERE id = ${person_id}`);
}

const ofPerson = [
  'person_length',
  'person_caution',
  'clearance',
  'stop_sign',
  'pain_report',
  'person_rung',
  'check_record',
  'attempt',
  'upside_time',
  'saved_setup',
  'decision',
  'enrolment',
  'attendance',
  'review',
] as const;

/** Everything about somebody whose entry goes. */
const withStory = (db: Db, row: Row): Row => ({
  ...row,
  story: Object.fromEntries(
    ofPerson.map((table) => [
      table,
      db.all(sql`SELECT * FROM ${sql.identifier(table)} WHERE person_id = ${row.id}`),
    ]),
  ),
});

export const listSetAside = (db: Db) => db.select().from(setAside).orderBy(desc(setAside.id)).all();

export const dropSetAside = (db: Db): number => db.delete(setAside).run().changes;
