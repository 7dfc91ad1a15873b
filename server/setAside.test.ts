/** Rows that nobody of ours would have written: set aside with a sentence, and what restricts stays. */
import { findPerson, listPeople } from '@/db/people';
import { setBadRowsAside } from '@/db/setAside';
import { nowMs } from './clock';
import { database } from './database';
import { readSetAside } from './diary';
import { finishErasing, isErasePending, noteErasing } from './erasing';
import { addCourse, addPerson, withThrowawayStudio } from './testing';

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

it('says that erasing is pending until it is done', () => {
  expect(isErasePending()).toBe(false);
  database().transaction((tx) => noteErasing(tx));
  expect(isErasePending()).toBe(true);
  expect(finishErasing()).toBe(true);
  expect(isErasePending()).toBe(false);
});
