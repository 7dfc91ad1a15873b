/** Rows that nobody of ours would have written: set aside with a sentence, and what restricts stays. */
import { readFileSync } from 'node:fs';
import Database from 'better-sqlite3';
import { findPerson, listCoursePeople, listPeople } from '@/db/people';
import { listRecords } from '@/db/records';
import { markOf } from '@/db/removal';
import { removedPerson } from '@/db/schema';
import { setBadRowsAside } from '@/db/setAside';
import { changeCare, recordCheck } from '@/features/person/change';
import { nowMs, today } from '@/server/clock';
import { listCopies, makeCopyNow } from '@/server/copies/copies';
import { restoreCopy } from '@/server/copies/restore';
import { changeEnrolment } from '@/features/courses/change';
import { closeDatabase, database, databaseFile } from '@/server/database';
import { dropAside, readSetAside, readSetAsideLines, takeBack } from './setAside';
import { finishErasing, isErasePending, noteErasing } from '@/server/files/erasing';
import { deletePerson } from '@/features/people/change';
import {
  addCourse,
  addPerson,
  careOf,
  must,
  recordForm,
  withThrowawayStudio,
} from '@/features/testing/studio';

withThrowawayStudio();

it('sets bad rows aside, one by one, and leaves the sound ones', () => {
  const [ada, bo] = [addPerson('Ada'), addPerson('Bo')];
  const course = addCourse();
  const db = database();
  db.run(
    `INSERT INTO person_length (person_id, length, metres, typed) VALUES (${ada}, 'forearm', -0.3, 'x')`,
  );
  db.run(
    `INSERT INTO person_caution (person_id, caution, noted_on) VALUES (${ada}, 'made-up', '2026-01-01')`,
  );
  db.run(`UPDATE meeting SET minutes = -5, starts_at = '99:99' WHERE course_id = ${course}`);
  db.run(`INSERT INTO cupboard (course_id, piece, count) VALUES (${course}, 'flying-carpet', 2)`);
  db.run(`UPDATE person SET height_m = 17 WHERE id = ${bo}`);
  const count = setBadRowsAside(db, nowMs());
  const aside = readSetAside();
  expect(aside).toHaveLength(count);
  expect(new Set(aside.map(({ place }) => place))).toEqual(
    new Set(['measured length', 'report', 'evening', 'cupboard', 'person']),
  );
  expect(listPeople(db).map(({ name }) => name)).toEqual(['Ada']);
  // An unknown report is no reason to forget that something was reported.
  expect(findPerson(db, ada)).toMatchObject({ cautions: [], otherWords: ['reported: made-up'] });
  expect(aside.find(({ place }) => place === 'person')?.row).toMatchObject({
    name: 'Bo',
    height_m: 17,
  });
  expect(setBadRowsAside(db, nowMs())).toBe(0);
});

it('sets aside what belongs to nobody, and lets go of a class that is gone', () => {
  const [ada, bo] = [addPerson('Ada'), addPerson('Bo')];
  const course = addCourse();
  must(changeEnrolment(course, bo, true));
  must(recordCheck(ada, recordForm()));
  must(recordCheck(bo, recordForm()));
  closeDatabase();
  const raw = new Database(databaseFile());
  raw.pragma('foreign_keys = OFF');
  raw.exec(`DELETE FROM person WHERE id = ${bo}`);
  raw.exec(`UPDATE check_record SET class_id = 77 WHERE person_id = ${ada}`);
  raw.close();
  const db = database();
  expect(setBadRowsAside(db, nowMs())).toBeGreaterThanOrEqual(3);
  expect(db.all('PRAGMA foreign_key_check')).toEqual([]);
  // Ada's record stands, without the class.
  expect(listRecords(db, [ada])).toHaveLength(1);
  expect(listRecords(db, [bo])).toEqual([]);
  expect(setBadRowsAside(db, nowMs())).toBe(0);
});

it('takes somebody back whose height was impossible, with all that is known of them', () => {
  const course = addCourse();
  const bo = addPerson('Bo');
  const db = database();
  must(changeCare(bo, careOf({ cautions: ['reflux'] })));
  must(changeEnrolment(course, bo, true));
  must(recordCheck(bo, recordForm()));
  db.run(`UPDATE person SET height_m = 17 WHERE id = ${bo}`);
  setBadRowsAside(db, nowMs());
  expect(findPerson(db, bo)).toBeNull();
  const [line] = readSetAsideLines();
  expect(line).toMatchObject({
    place: 'person',
    isPerson: true,
    words: expect.stringMatching(/^Bo\. /),
  });
  expect(takeBack({ id: line!.id, height: '17 m' })).toMatchObject({ ok: false });
  expect(takeBack({ id: line!.id, height: '' })).toMatchObject({ ok: false });
  expect(must(takeBack({ id: line!.id, height: '171' }))).toBe('Bo');
  expect(findPerson(db, bo)).toMatchObject({
    name: 'Bo',
    body: { heightM: 1.71 },
    cautions: ['reflux'],
  });
  expect(listRecords(db, [bo])).toHaveLength(1);
  expect(listCoursePeople(db, course).map(({ id }) => id)).toContain(bo);
  expect(readSetAsideLines()).toEqual([]);
  expect(takeBack({ id: line!.id, height: '171' })).toMatchObject({ ok: false });
});

it('brings nobody back who was deleted on request, and drops for good when told', async () => {
  const bo = addPerson('Bo');
  const uid = findPerson(database(), bo)!.uid;
  database().run(`UPDATE person SET height_m = 17 WHERE id = ${bo}`);
  setBadRowsAside(database(), nowMs());
  const { id } = readSetAsideLines()[0]!;
  database()
    .insert(removedPerson)
    .values({ mark: markOf(uid), removedOn: today() })
    .run();
  expect(takeBack({ id, height: '171' })).toMatchObject({ ok: false });
  must(await dropAside(id));
  expect(readSetAsideLines()).toEqual([]);
  expect(isErasePending()).toBe(false);
  expect(await dropAside(id)).toMatchObject({ ok: false });
});

it('forgets with somebody who is deleted also what could not be read about them', async () => {
  const [ada, bo] = [addPerson('Ada'), addPerson('Bo')];
  for (const who of [ada, bo]) {
    database().run(
      `INSERT INTO person_caution (person_id, caution, noted_on) VALUES (${who}, 'made-up', '2026-01-01')`,
    );
  }
  setBadRowsAside(database(), nowMs());
  expect(readSetAside()).toHaveLength(2);
  const copy = await makeCopyNow('hand');
  must(await deletePerson(ada));
  expect(readSetAside().map(({ row }) => row)).toMatchObject([{ person_id: bo }]);
  must(await restoreCopy({ name: copy, passphrase: '' }));
  expect(readSetAside().map(({ row }) => row)).toMatchObject([{ person_id: bo }]);
});

it('takes somebody who is dropped while set aside out of the copies as well', async () => {
  const bo = addPerson('Wilhelmine Unverwechselbar');
  const sound = await makeCopyNow('hand');
  database().run(`UPDATE person SET height_m = 17 WHERE id = ${bo}`);
  setBadRowsAside(database(), nowMs());
  const aside = await makeCopyNow('hand');
  must(await dropAside(readSetAsideLines()[0]!.id));
  for (const name of [sound, aside]) {
    const { file } = listCopies().find((one) => one.name === name)!;
    expect(readFileSync(file).includes('Unverwechselbar')).toBe(false);
    must(await restoreCopy({ name, passphrase: '' }));
    expect(listPeople(database())).toEqual([]);
    expect(readSetAside()).toEqual([]);
  }
});

it('says that erasing is pending until it is done', () => {
  expect(isErasePending()).toBe(false);
  database().transaction((tx) => noteErasing(tx));
  expect(isErasePending()).toBe(true);
  expect(finishErasing()).toBe(true);
  expect(isErasePending()).toBe(false);
});
