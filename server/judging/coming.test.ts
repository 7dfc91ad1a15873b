/** Who is judged ahead of a change: whoever comes to something. */
import { addDays } from '@/core/units/day';
import { enrol, listMeetings, removeMeeting } from '@/db/courses';
import { saveArchived } from '@/db/personChanges';
import { addCourse, addPerson, withThrowawayStudio } from '@/features/testing/studio';
import { today } from '../clock';
import { database } from '../database';
import { listComing } from './views';

withThrowawayStudio();

const names = (day = today()) => listComing(database(), day).map(({ name }) => name);

it('is everybody there is before there is a course, and before anybody is in one', () => {
  addPerson('Zelda Marsh');
  addPerson('Abel Moor');
  expect(names()).toEqual(['Abel Moor', 'Zelda Marsh']);
  addCourse();
  expect(names()).toEqual(['Abel Moor', 'Zelda Marsh']);
});

it('is whoever is in a course with an evening to come, once each, and nobody put away', () => {
  const db = database();
  const [zelda, abel, gone] = ['Zelda Marsh', 'Abel Moor', 'Gerda Pine'].map((one) =>
    addPerson(one),
  );
  addPerson('Ulf Reed');
  const [first, second] = [addCourse(), addCourse()];
  for (const course of [first, second]) enrol(db, course, zelda!);
  enrol(db, second, abel!);
  enrol(db, second, gone!);
  saveArchived(db, gone!, today());
  expect(names()).toEqual(['Abel Moor', 'Zelda Marsh']);
  // The last of its evenings is behind: who was in that course alone comes to nothing any more.
  for (const { id } of listMeetings(db, second)) removeMeeting(db, id);
  expect(names()).toEqual(['Zelda Marsh']);
});

it('is the newest course’s where no evening is planned', () => {
  const db = database();
  const abel = addPerson('Abel Moor');
  addPerson('Ulf Reed');
  enrol(db, addCourse(), abel);
  expect(names(addDays(today(), 400))).toEqual(['Abel Moor']);
});
