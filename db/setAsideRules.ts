/** What each table may hold, for rows that came in by no door of ours; see setAside.ts. */
import { mostTryS } from '@/core/running/exit';
import { forearmHandsIds } from '@/core/body/hands';
import { heightRangeM, massRangeKg } from '@/core/body/lengths';
import { findTakenProblem, takenIds, type TakenId } from '@/core/body/taken';
import { cautionIds } from '@/core/catalog/cautions';
import { pieceSpec } from '@/core/catalog/ownPiece';
import { tryKinds } from '@/core/catalog/tries';
import { isOwnPiece, pieceIds, type PieceId } from '@/core/catalog/pieces';
import { profileChangesSchema } from '@/core/catalog/profileChanges';
import { painPlaces, stopSigns } from '@/core/catalog/regions';
import { feltIds } from '@/core/home/felt';
import { savedOfIds } from '@/core/setups/saved';
import { ladderIds } from '@/core/catalog/stage';
import { assertRoom } from '@/core/room/room';
import { roomFile } from '@/core/room/roomFile';
import { findDayNumber } from '@/core/units/day';

export type Row = Readonly<Record<string, unknown>>;

/** `null`: the row is sound. */
export interface Finding {
  readonly words: string;
  /** What takes the place of what cannot be; absent: the row goes. */
  readonly set?: Readonly<Record<string, string | number | null>>;
  /** A restriction in words, for the person it is about. */
  readonly restricts?: string;
}

export interface Rule {
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

export function parseJson(value: unknown): unknown {
  try {
    return JSON.parse(String(value));
  } catch {
    return undefined;
  }
}

const isWords = (value: unknown): boolean => {
  const list = parseJson(value);
  return Array.isArray(list) && list.every((one) => typeof one === 'string');
};

export const rules: readonly Rule[] = [
  {
    table: 'person',
    place: 'person',
    find: ({
      height_m,
      mass_kg,
      forearm_hands,
      consent,
      picture_consent,
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
      if (forearm_hands !== null && !isIn(forearmHandsIds, forearm_hands)) {
        return {
          words:
            'Hands in a forearm stand are in no way we know; they are as the profile has them.',
          set: { forearm_hands: null },
        };
      }
      if (!isIn(['yes', 'ask', 'no'], consent)) {
        return { words: 'A consent is not known; it is “no” until asked.', set: { consent: 'no' } };
      }
      if (!isIn(['yes', 'ask', 'no'], picture_consent)) {
        return {
          words: 'A consent is not known; it is “no” until asked.',
          set: { picture_consent: 'no' },
        };
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
      if (!isIn(takenIds, row.length)) return { words: 'A measured length is of no limb we know.' };
      if (!isRange(row.metres, 0, 5)) return { words: 'A measured length cannot be.' };
      const problem = findTakenProblem(
        row.length as TakenId,
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
    table: 'home_report',
    place: 'report',
    find: ({ on, item, felt, pain, sign }) =>
      isDay(on) &&
      typeof item === 'string' &&
      item !== '' &&
      isIn(feltIds, felt) &&
      (pain === null || isIn(painPlaces, pain)) &&
      (sign === null || isIn(stopSigns, sign))
        ? null
        : { words: 'A report from home could not be read.' },
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
    where: `what NOT IN (${tryKinds.map((kind) => `'${kind}'`).join(', ')}) OR julianday(date) IS NULL
      OR (lift_s IS NOT NULL AND (typeof(lift_s) NOT IN ('real', 'integer') OR lift_s NOT BETWEEN 0 AND ${mostTryS}))
      OR (exit_s IS NOT NULL AND (typeof(exit_s) NOT IN ('real', 'integer') OR exit_s NOT BETWEEN 0 AND ${mostTryS}))`,
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
      const read = parseJson(values);
      const isSound =
        isIn(savedOfIds, family) &&
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
      const parsed = roomFile.safeParse(parseJson(file));
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
      profileChangesSchema.safeParse(parseJson(changes)).success
        ? null
        : { words: 'A profile copy could not be read.' },
  },
];

/** Columns that hold JSON and are read as a whole: what is none there would stop every page. */
export const jsonColumns: readonly (readonly [table: string, column: string, usual: string])[] = [
  ['class_plan', 'wishes', '{}'],
  ['class_plan', 'plan', 'null'],
  ['decision', 'grounds', '{"reasons":[],"figures":[],"profileLabel":""}'],
  ['own_entry', 'spec', '{}'],
];
