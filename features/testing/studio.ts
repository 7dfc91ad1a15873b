/** A throw-away studio for the tests of the use cases. */
import { copyFileSync, existsSync, mkdtempSync, renameSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { RecordForm } from '@/server/files/recordForm';
import type { CareForm } from '@/features/person/careForm';
import { studioFile } from '@/core/files/studioFile';
import { today } from '@/server/clock';
import { createCourse } from '@/features/courses/change';
import type { Db } from '@/db/open';
import { seedDemo } from '@/demo/course';
import { closeDatabase, database, databaseFile } from '@/server/database';
import { createPerson } from '@/features/people/change';
import { forgetJudged } from '@/server/judging/forget';

interface Holder {
  levitarDatabase?: { close: () => void } | undefined;
}

/** Opens an empty database for each test and throws it away afterwards. */
export function withThrowawayStudio(): { readonly folder: () => string } {
  let folder = '';
  beforeEach(() => {
    folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-studio-'));
    process.env.LEVITAR_DATA = folder;
    forgetJudged();
    database();
  });
  afterEach(() => {
    const holder = globalThis as Holder;
    holder.levitarDatabase?.close();
    holder.levitarDatabase = undefined;
    rmSync(folder, { recursive: true, force: true });
  });
  return { folder: () => folder };
}

/**
 * Fills the throw-away studio with the demo course of today. Making it anew takes a second or more;
 * whoever runs the tests makes it once and copies the file from then on.
 */
export function fillWithDemo(): Db {
  const kept = process.env.LEVITAR_TEST_KEPT;
  const made = kept === undefined ? null : path.join(kept, `demo-${today()}.sqlite`);
  if (made !== null && existsSync(made)) {
    closeDatabase();
    for (const end of ['-wal', '-shm']) rmSync(databaseFile() + end, { force: true });
    copyFileSync(made, databaseFile());
    return database();
  }
  seedDemo(database(), today());
  if (made !== null) {
    // Two that are at it at once each write their own; the last one to be named stays.
    const own = `${made}-${process.pid}`;
    closeDatabase();
    copyFileSync(databaseFile(), own);
    renameSync(own, made);
  }
  return database();
}

/** The value of a change that must have worked. */
export function must<T>(
  outcome:
    { readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: object },
): T {
  if (!outcome.ok) throw new Error(JSON.stringify(outcome.problems));
  return outcome.value;
}

/** A person as the form adds them. */
export const addPerson = (name: string, height = '170') =>
  must(createPerson({ name, height, courseId: null }));

/** A record as the form hands it over, changed as given. */
export const recordForm = (change: Partial<RecordForm> = {}): RecordForm => ({
  check: 'dolphin-hold',
  value: '50',
  unit: 'plain',
  date: today(),
  stoppedByTeacher: false,
  faults: [],
  pain: false,
  painPlace: null,
  side: null,
  base: null,
  ...change,
});

export const careOf = (change: Partial<CareForm> = {}): CareForm => ({
  consent: 'ask',
  pictureConsent: 'no',
  cautions: [],
  otherWords: [],
  ...change,
});

/** A course of three weeks that begins today. */
export const addCourse = (profile = 'prop-led') =>
  must(
    createCourse({
      name: 'Tuesdays',
      place: '',
      startsOn: today(),
      startsAt: '18:00',
      minutes: 60,
      weeks: 3,
      profile,
    }),
  );

export const readStudio = (text: string) => studioFile.parse(JSON.parse(text));

/** A file of a whole studio without the numbers that each studio gives itself. */
export function plainStudio(text: string) {
  const file = readStudio(text);
  const refs = new Map(file.courses.map(({ ref, name }) => [ref, name]));
  return {
    ...file,
    courses: file.courses.map(({ ref: _, ...course }) => course),
    ownPieces: file.ownPieces.map(({ id: _, ...piece }) => piece),
    people: file.people.map(({ enrolled, attendance, ...person }) => ({
      ...person,
      enrolled: enrolled.map((ref) => refs.get(ref)).sort(),
      attendance: attendance
        .map(({ course, ...one }) => ({ ...one, course: refs.get(course) }))
        .sort((a, b) => (a.date < b.date ? -1 : 1)),
    })),
  };
}
