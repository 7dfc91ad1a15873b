/**
 * What a copy must not undo when it is taken back: who was deleted stays deleted, who was put out
 * stays out, the passphrase and the diary stay, and a class of today goes on with all its taps.
 */
import { randomUUID } from 'node:crypto';
import { eq, sql } from 'drizzle-orm';
import type { Day } from '@/core/units/day';
import { forgetInClasses } from './classPeople';
import { saveSettings } from './courses';
import type { Db } from './open';
import { forgetSetAside, markOf } from './removal';
import {
  course,
  deskLock,
  device,
  diary,
  floorClass,
  floorTap,
  pairing,
  person,
  removedPerson,
  setAside,
  tapDevice,
} from './schema';

/** Leaves out of a copy everybody who was deleted, here or there. */
export function dropRemoved(copy: Db): void {
  const marks = new Set(
    copy
      .select()
      .from(removedPerson)
      .all()
      .map(({ mark }) => mark),
  );
  for (const { id, uid } of copy.select({ id: person.id, uid: person.uid }).from(person).all()) {
    if (!marks.has(markOf(uid))) continue;
    forgetSetAside(copy, id, uid);
    forgetInClasses(copy, String(id));
    copy.delete(person).where(eq(person.id, id)).run();
  }
  dropSetAsidePeople(copy, marks);
}

/** Whoever was set aside as a whole is in no list of people. */
function dropSetAsidePeople(copy: Db, marks: ReadonlySet<string>): void {
  for (const { id, row } of copy.select().from(setAside).all()) {
    const { uid } = row as { readonly uid?: unknown };
    if (typeof uid === 'string' && marks.has(markOf(uid))) {
      copy.delete(setAside).where(eq(setAside.id, id)).run();
    }
  }
}

/** @param now the studio as it is; the copy becomes what takes its place */
export function carryOver(now: Db, copy: Db, today: Day): void {
  for (const row of now.select().from(removedPerson).all()) {
    copy.insert(removedPerson).values(row).onConflictDoNothing().run();
  }
  copy.delete(device).run();
  for (const row of now.select().from(device).all()) copy.insert(device).values(row).run();
  copy.delete(deskLock).run();
  for (const row of now.select().from(deskLock).all()) copy.insert(deskLock).values(row).run();
  for (const row of now.select().from(tapDevice).all()) {
    copy.insert(tapDevice).values(row).onConflictDoNothing().run();
  }
  copy.delete(diary).run();
  for (const row of now.select().from(diary).all()) copy.insert(diary).values(row).run();
  carryClasses(now, copy, today);
}

/** The course of a class in a copy, added where the copy is older than the course. */
function courseIn(copy: Db, { id, ...values }: typeof course.$inferSelect): number {
  const own = copy.select().from(course).where(eq(course.id, id)).get();
  if (own === undefined)
    return copy
      .insert(course)
      .values({ id, ...values })
      .returning()
      .get().id;
  if (own.name === values.name) return id;
  const twin = copy.select().from(course).where(eq(course.name, values.name)).get();
  return twin?.id ?? copy.insert(course).values(values).returning().get().id;
}

/** Of today's classes every tap that the copy does not have. */
function carryClasses(now: Db, copy: Db, today: Day): void {
  for (const { id, ...row } of now
    .select()
    .from(floorClass)
    .where(eq(floorClass.day, today))
    .all()) {
    const courseId = courseIn(
      copy,
      now.select().from(course).where(eq(course.id, row.courseId)).get()!,
    );
    const here =
      copy.select().from(floorClass).where(eq(floorClass.uid, row.uid)).get() ??
      copy
        .insert(floorClass)
        .values({ ...row, courseId })
        .onConflictDoNothing()
        .returning()
        .get();
    if (here === undefined) continue;
    const taps = now.select().from(floorTap).where(eq(floorTap.classId, id)).all();
    for (const { id: _, classId: _c, ...tap } of taps) {
      copy
        .insert(floorTap)
        .values({ ...tap, classId: here.id })
        .onConflictDoNothing()
        .run();
    }
    copy.update(floorClass).set({ endedMs: row.endedMs }).where(eq(floorClass.id, here.id)).run();
  }
}

/** Nobody is let in or signed in by what a copy says, and devices agree anew on their numbers. */
export function beginEra(copy: Db, { withDevices }: { readonly withDevices: boolean }): void {
  copy.delete(pairing).run();
  if (!withDevices) copy.delete(device).run();
  keepDeviceNumbers(copy);
  saveSettings(copy, { era: randomUUID(), erasePending: true });
}

/** A number that a device had is not given to another one: the names it tapped under are its own. */
function keepDeviceNumbers(copy: Db): void {
  copy.run(sql`insert into sqlite_sequence (name, seq) select 'device', 0
    where not exists (select 1 from sqlite_sequence where name = 'device')`);
  copy.run(sql`update sqlite_sequence
    set seq = max(seq, coalesce((select max(device_id) from tap_device), 0)) where name = 'device'`);
}

/** People by uid, with the names that the page shows. */
export const listUids = (db: Db): ReadonlyMap<string, string> =>
  new Map(
    db
      .select({ uid: person.uid, name: person.name })
      .from(person)
      .all()
      .map(({ uid, name }) => [uid, name]),
  );
