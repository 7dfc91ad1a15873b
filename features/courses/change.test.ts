/** What is dropped from a course, and the way back. */
import { listAttendance, listMeetings } from '@/db/courses';
import { deletePerson } from '@/features/people/change';
import { addCourse, addPerson, must, withThrowawayStudio } from '@/features/testing/studio';
import { database } from '@/server/database';
import { bringMeetingBack, changeAttendance, createMeeting, dropMeeting } from './change';

withThrowawayStudio();

const evening = (date: string) => ({
  date,
  startsAt: '18:30',
  minutes: 75,
  room: 'Upper hall',
  family: 'handstand' as const,
  peak: null,
});

const meetings = (course: number) => listMeetings(database(), course);

/** An evening two came to or did not, dropped again. */
function dropOne() {
  const course = addCourse();
  const [here, away] = [addPerson('Ida Fern'), addPerson('Olaf Reed')];
  const own = must(createMeeting(course, evening('2031-03-04')));
  must(changeAttendance(own, here, { came: true, note: 'slow and light' }));
  must(changeAttendance(own, away, { came: false }));
  const before = meetings(course);
  const dropped = must(dropMeeting(own));
  return { course, here, away, before, dropped };
}

it('brings a dropped evening back with who came and what was noted', () => {
  const { course, here, away, before, dropped } = dropOne();
  expect(meetings(course)).toHaveLength(before.length - 1);
  must(bringMeetingBack(course, dropped));
  const back = meetings(course).find(({ date }) => date === '2031-03-04')!;
  expect(back).toMatchObject(evening('2031-03-04'));
  const came = listAttendance(database(), [back.id]);
  expect(came.find(({ personId }) => personId === here)).toMatchObject({
    came: true,
    note: 'slow and light',
  });
  expect(came.find(({ personId }) => personId === away)).toMatchObject({ came: false, note: '' });
});

it('does not bring it back a second time, nor onto a day that is taken', () => {
  const { course, dropped } = dropOne();
  must(bringMeetingBack(course, dropped));
  expect(bringMeetingBack(course, dropped)).toMatchObject({
    ok: false,
    problems: { form: expect.stringContaining('already meets on this day') as string },
  });
  expect(meetings(course).filter(({ date }) => date === '2031-03-04')).toHaveLength(1);
});

it('leaves out who was deleted meanwhile', async () => {
  const { course, here, away, dropped } = dropOne();
  must(await deletePerson(here));
  must(bringMeetingBack(course, dropped));
  const back = meetings(course).find(({ date }) => date === '2031-03-04')!;
  expect(listAttendance(database(), [back.id]).map(({ personId }) => personId)).toEqual([away]);
});

it('refuses what is no evening', () => {
  const course = addCourse();
  const broken = { form: { ...evening('2031-02-30') }, came: [] };
  expect(bringMeetingBack(course, broken).ok).toBe(false);
});
