/** The class on the floor: begun from its plan, its taps taken in, its record written. */
import { z } from 'zod';
import type { CheckKey } from '@/core/catalog/checks';
import {
  toGone,
  toRecords,
  toScreened,
  secondsUpsideDown,
  toPains,
  toSigns,
} from '@/core/running/records';
import { awayFrom } from '@/core/running/follow';
import { replay, type FloorState } from '@/core/running/replay';
import { hideChecks } from '@/core/running/hide';
import { mayTap, tapForAssistant, type FloorRole } from '@/core/running/roles';
import { nothingTap, queueRule, takeIn } from '@/core/running/queue';
import { tap as tapShape, type FloorAct, type Tap } from '@/core/running/tap';
import { aboutPeople } from '@/core/running/taps';
import { getSettings, listMeetings, addMeeting, saveAttendance } from '@/db/courses';
import {
  addFloorClass,
  addTaps,
  findFloorClass,
  findFloorClassOn,
  findTap,
  listTaps,
  newestSeq,
  saveBundle,
  saveClassResult,
  saveEnded,
  type FloorClassRow,
} from '@/db/floor';
import { findTapDevice, saveTapDevice } from '@/db/devices';
import type { Db } from '@/db/open';
import { listPeopleById } from '@/db/people';
import { savePainCleared, saveScreened } from '@/db/personChanges';
import { screeningQuestion } from '@/core/ladder/door';
import { findStandingPlan, readClass } from '../judging/classViews';
import { nowMs } from '../clock';
import { database } from '../database';
import { bundleOf, makeBundle } from './floorBundle';
import { judgeAgain } from './floorJudge';
import { done, refuse, type Outcome, type Problems } from '../result';
import { aCourse, work } from '../useCase';
import { readCatalog } from '../judging/schools';

const goneClass = { form: 'This class is no longer here.' };

/** Begins today's class of a course, or finds the one that was begun. @returns its address */
export const beginClass = work(
  [aCourse],
  ({ db, today, nowMs: startedMs }, { id }): Outcome<string> => {
    const begun = findFloorClassOn(db, id, today);
    if (begun !== null) return done(begun.uid);
    const view = readClass(id);
    if (view === null) return refuse({ form: aCourse.gone });
    if (view.members.length === 0) {
      return refuse({ form: 'Nobody is enrolled yet: add people to the course first.' });
    }
    const plan = findStandingPlan(view);
    return db.transaction((tx) => {
      // Two windows may begin at once: the first one counts.
      const twin = findFloorClassOn(tx, id, today);
      if (twin !== null) return done(twin.uid);
      const bundle = makeBundle(tx, view, plan);
      const row = addFloorClass(tx, { courseId: id, day: today, startedMs, bundle });
      return done(row.uid);
    });
  },
);

export function findClass(uid: unknown): FloorClassRow | null {
  const which = z.string().min(1).max(80).safeParse(uid);
  return which.success ? findFloorClass(database(), which.data) : null;
}

const deliveryShape = z.strictObject({
  /** No point in it: a tap's name is the device's, a point and a number. */
  device: z.string().regex(/^[\w-]{1,40}$/),
  /** Newest tap of the others that this device has. */
  after: z.int().min(0),
  taps: z.array(z.unknown()).max(queueRule.most),
  /** The device begins from nothing: it gets its own taps back as well. */
  fromStart: z.boolean().default(false),
});

export interface Delivered {
  /** Newest tap of this device that is kept. */
  readonly upTo: number;
  readonly after: number;
  /** Taps of the other devices since. */
  readonly taps: readonly Tap[];
  readonly serverMs: number;
  /** Taps that could not be read, or were not this role's to make: kept as nothing. */
  readonly refused: number;
  /** Of what the class goes by: a device with an older one asks for it anew. */
  readonly revision: number;
  /** Another one than before: a copy was taken back, and both sides agree anew on their numbers. */
  readonly era: string;
}

const nameShape = z.looseObject({ seq: z.int().min(1) });

/** Who delivers, and what they may say and see. */
export interface Tapper {
  readonly maySay: FloorRole;
  /** At a locked desk no more than an assistant sees. */
  readonly maySee: FloorRole;
  /** The device that was let in; `null`: the desk. */
  readonly deviceId: number | null;
}

export type Taken =
  | { readonly ok: true; readonly value: Delivered }
  | {
      readonly ok: false;
      readonly reason: 'unreadable' | 'gone' | 'not-yours';
      readonly problems: Problems;
    }
  /** The row of this device ends elsewhere: it goes on from there. */
  | {
      readonly ok: false;
      readonly reason: 'apart';
      readonly problems: Problems;
      readonly upTo: number;
      readonly differs: readonly number[];
      readonly era: string;
    };

const notTaken = (reason: 'unreadable' | 'gone' | 'not-yours', form: string): Taken => ({
  ok: false,
  reason,
  problems: { form },
});

/** Binds the name a browser taps under to the session that used it first; false: it is another's. */
function isOwnName(db: Db, name: string, { maySay, deviceId }: Tapper): boolean {
  const bound = findTapDevice(db, name);
  if (bound === null) {
    saveTapDevice(db, { name, deviceId, role: maySay });
    return true;
  }
  // Also once that session is over: names are no secret among the devices of a class. A browser
  // that was let in anew is told, and goes on under a new one.
  return bound.deviceId === deviceId && bound.role === maySay;
}

/**
 * Takes in what a device sends, in order and once, and answers with what the others tapped. The
 * record is written in the same transaction: what was answered is kept.
 */
export function takeTaps(uid: unknown, input: unknown, tapper: Tapper): Taken {
  const parsed = deliveryShape.safeParse(input);
  if (!parsed.success) return notTaken('unreadable', 'This delivery cannot be read.');
  const { device, after, taps, fromStart } = parsed.data;
  const { maySay, maySee } = tapper;
  return database().transaction((tx): Taken => {
    const row = typeof uid === 'string' ? findFloorClass(tx, uid) : null;
    if (row === null) return notTaken('gone', goneClass.form);
    if (!isOwnName(tx, device, tapper)) {
      return notTaken('not-yours', 'Another device taps under this name.');
    }
    const { members, checks, revision: before } = bundleOf(row);
    let revision = before;
    const { era } = getSettings(tx);
    const hide = hideChecks(checks);
    const known = new Set(members.map((member) => member.id));
    let refused = 0;
    const read = taps.flatMap((one): Tap[] => {
      const found = tapShape.safeParse(one);
      const kept = found.success ? aboutPeople(found.data, known) : null;
      if (kept !== null && kept.device === device && mayTap(maySay, kept)) return [kept];
      const name = nameShape.safeParse(one);
      refused += 1;
      return name.success ? [nothingTap(device, name.data.seq)] : [];
    });
    const taken = takeIn(newestSeq(tx, row.id, device), read, (seq) =>
      findTap(tx, row.id, device, seq),
    );
    if (taken.kind === 'apart') {
      const { upTo, differs } = taken;
      const problems = { form: 'The numbers of this device end elsewhere.' };
      return { ok: false, reason: 'apart', problems, upTo, differs, era };
    }
    addTaps(tx, row.id, taken.fresh);
    if (taken.fresh.some(({ act }) => act.kind !== 'anchor')) {
      const asked = writeResult(tx, row);
      const looked = [...lookedAt(tx, row, taken.fresh, known).map(Number), ...asked];
      if (looked.length > 0) {
        judgeAgain(tx, findFloorClass(tx, row.uid)!, looked);
        ({ revision } = bundleOf(findFloorClass(tx, row.uid)!));
      }
    }
    const others = listTaps(tx, row.id, after);
    const value: Delivered = {
      upTo: taken.upTo,
      after: others.at(-1)?.id ?? after,
      taps: others
        .filter(({ tap }) => tap.device !== device || fromStart)
        .flatMap(({ tap }) =>
          maySee === 'teacher' || tap.device === device
            ? [tap]
            : (tapForAssistant(tap, hide) ?? []),
        ),
      serverMs: nowMs(),
      refused,
      revision,
      era,
    };
    return { ok: true, value };
  });
}

/**
 * On an evening for looking, what is seen counts for the rounds of the same evening: whoever was seen
 * is judged anew as soon as it is noted. What is taken back may have been of anybody: then everybody
 * is.
 */
function lookedAt(
  db: Db,
  row: FloorClassRow,
  fresh: readonly Tap[],
  members: ReadonlySet<string>,
): readonly string[] {
  if (bundleOf(row).prepared.isLooking !== true) return [];
  const { holds } = replay(listTaps(db, row.id).map(({ tap }) => tap));
  const seen = fresh.flatMap(({ act }) => saysOf(act, holds, members));
  return [...new Set(seen)].filter((id) => members.has(id));
}

/** Whose record a tap changes. */
function saysOf(
  act: FloorAct,
  holds: FloorState['holds'],
  members: ReadonlySet<string>,
): readonly string[] {
  switch (act.kind) {
    case 'seen':
    case 'try':
    case 'door':
      return [act.person];
    case 'hold-stop':
    case 'hold-settle':
    case 'hold-down':
    case 'hold-fault': {
      // A clock that runs has written nothing yet; what is said after it has stopped counts as well.
      const hold = holds.find(({ id }) => id === act.hold);
      return hold === undefined || hold.stopped === null
        ? []
        : hold.people.map(({ person }) => person);
    }
    case 'undo':
      return [...members];
    case 'anchor':
    case 'segment':
    case 'hold-start':
    case 'assist':
    case 'sign':
    case 'sore':
    case 'halt':
    case 'absent':
    case 'late':
    case 'feet-down':
    case 'plan':
    case 'end':
      return [];
    default:
      return act satisfies never;
  }
}

/**
 * Reads the whole class again and writes what changed in the record of its people.
 *
 * @returns who counts as asked now and did not before, or the other way round: more is open to them,
 *   or less
 */
export function writeResult(db: Db, row: FloorClassRow): readonly number[] {
  const taps = listTaps(db, row.id).map(({ tap }) => tap);
  const state = replay(taps);
  const { members, plan } = bundleOf(row);
  const ids = members.map((member) => Number(member.id)).filter(Number.isInteger);
  const here = new Set(listPeopleById(db, ids).map((person) => person.id));
  const withId = <T extends { readonly person: string }>(list: readonly T[]) =>
    list
      .map((one) => ({ ...one, personId: Number(one.person) }))
      .filter(({ personId }) => here.has(personId));
  const checks: Parameters<typeof toRecords>[1] = readCatalog(db).checks;
  saveClassResult(db, row.id, {
    date: row.day,
    records: withId(toRecords(state, checks)).filter(({ check, value }) =>
      isPossible(checks, check, value),
    ),
    tries: withId(state.tries),
    signs: withId(toSigns(state)),
    pains: withId(toPains(state)),
    upside: [...secondsUpsideDown(state, checks)]
      .map(([person, seconds]) => ({ personId: Number(person), seconds }))
      .filter(({ personId }) => here.has(personId)),
  });
  const asked = [...saveAsked(db, row, state, taps, here), ...saveGone(db, row, state, here)];
  saveEnded(db, row.id, state.endedMs === null ? null : Math.round(state.endedMs));
  if (state.endedMs !== null) writeAttendance(db, row, [...here], awayFrom(state, plan));
  return asked;
}

/**
 * Whoever was asked the first questions tonight is not asked again. Taken back, or answered with a
 * no: they are, next time.
 *
 * @returns for whom that changed
 */
function saveAsked(
  db: Db,
  { day }: FloorClassRow,
  state: FloorState,
  taps: readonly Tap[],
  here: ReadonlySet<number>,
): number[] {
  const fine = new Set(toScreened(state).flatMap(({ person, isFine }) => (isFine ? [person] : [])));
  const tapped = new Set(
    taps.flatMap(({ act }) =>
      act.kind === 'door' && act.check === screeningQuestion.key ? [act.person] : [],
    ),
  );
  const ids = [...tapped].map(Number).filter((id) => here.has(id));
  return listPeopleById(db, ids).flatMap(({ id, screenedOn }) => {
    const isFine = fine.has(String(id));
    if (isFine ? screenedOn !== null : screenedOn !== day) return [];
    saveScreened(db, id, isFine ? day : null);
    return [id];
  });
}

/**
 * Whoever said at the door that what hurt before is gone has it noted with the day of the class; what
 * hurts tonight is not meant. Taken back, or answered otherwise: it is as it was.
 *
 * @returns for whom that changed
 */
function saveGone(
  db: Db,
  row: FloorClassRow,
  state: FloorState,
  here: ReadonlySet<number>,
): number[] {
  const bundle = bundleOf(row);
  const { goneBefore = [] } = bundle;
  const fine = toGone(state).filter((id) => here.has(Number(id)));
  const fresh = fine.filter((id) => !goneBefore.some(({ person }) => person === id));
  const back = goneBefore.filter(({ person }) => !fine.includes(person));
  if (fresh.length + back.length === 0) return [];
  const ids = [...fresh, ...back.map(({ person }) => person)].map(Number);
  const noted = new Map(
    listPeopleById(db, ids).map(({ id, painClearedOn }) => [String(id), painClearedOn]),
  );
  for (const id of fresh) {
    // What a tablet delivers days later takes back no later word.
    if ((noted.get(id) ?? '') < row.day) savePainCleared(db, Number(id), row.day);
  }
  for (const { person, was } of back) {
    // What was noted at the desk since stands.
    if (noted.get(person) === row.day) savePainCleared(db, Number(person), was);
  }
  saveBundle(db, row.id, {
    ...bundle,
    goneBefore: [
      ...goneBefore.filter((one) => !back.includes(one)),
      ...fresh.map((person) => ({ person, was: noted.get(person) ?? null })),
    ],
  });
  return [...noted.keys()].map(Number);
}

function isPossible(
  checks: Parameters<typeof toRecords>[1],
  check: CheckKey,
  value: number,
): boolean {
  const spec = checks[check];
  return spec !== undefined && Number.isFinite(value) && value >= 0 && value <= spec.most;
}

/** Who came: everybody who was not away. The evening is added where none was planned. */
function writeAttendance(
  db: Db,
  row: FloorClassRow,
  people: readonly number[],
  away: ReadonlySet<string>,
): void {
  const { meeting, plan } = bundleOf(row);
  const planned = listMeetings(db, row.courseId).find(({ date }) => date === row.day);
  const meetingId =
    planned?.id ??
    addMeeting(db, {
      courseId: row.courseId,
      date: row.day,
      startsAt: meeting.startsAt,
      minutes: meeting.minutes,
      room: meeting.room,
      family: plan.families[0] ?? null,
      peak: null,
    });
  for (const person of people) {
    saveAttendance(db, meetingId, person, { came: !away.has(String(person)) });
  }
}
