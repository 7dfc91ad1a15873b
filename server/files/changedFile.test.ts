/**
 * Files of a studio with one thing in them changed at random: each is refused with words, or taken in
 * and then everything is read. Over the network, page by page: e2e/drills/mutated.spec.ts.
 */
import { randomUUID } from 'node:crypto';
import type { StudioFile } from '@/core/files/studioFile';
import { seededRandom } from '@/core/random';
import { saysWhere, withOddCourse, withOddPerson } from '@/core/testing/changeOnce';
import { ofMany } from '@/core/testing/depth';
import { listPeople } from '@/db/people';
import { readCoursePage, readCourses } from '@/features/courses/read';
import { readFloorLines } from '@/features/floor/read';
import { readHome, writeHomeText } from '@/features/home/read';
import { readChecks, readLadders, readPeople } from '@/features/ladders/read';
import { readPersonPage } from '@/features/person/read';
import { readCourseRecord } from '@/features/record/read';
import { readRoomView } from '@/features/room/read';
import { readSetAside } from '@/features/settings/setAside';
import { fillWithDemo, readStudio, withThrowawayStudio } from '@/features/testing/studio';
import { database } from '../database';
import { readClass } from '../judging/classViews';
import { takeStudioFile, writeStudioFile } from './studioFile';

withThrowawayStudio();

/** As the pages do; a page that cannot be read throws. */
function readEverything(): void {
  readPeople();
  readChecks(20);
  readFloorLines();
  for (const { course } of readCourses().lines) {
    const { id } = course;
    expect(readCoursePage(id)).not.toBeNull();
    expect(readClass(id)).not.toBeNull();
    readLadders(id);
    readCourseRecord(id, undefined);
    readRoomView(id);
  }
  for (const { id } of listPeople(database())) {
    expect(readPersonPage(id)).not.toBeNull();
    expect(writeHomeText(readHome(id)!)).toContain('No medical advice');
  }
}

it('what is taken in can be read, and what is refused is refused with its place', () => {
  fillWithDemo();
  const random = seededRandom(8);
  const whole = readStudio([...writeStudioFile()].join(''));
  const taken = { people: 0, courses: 0, refused: 0 };
  const take = (kind: 'people' | 'courses', file: StudioFile) => {
    const outcome = takeStudioFile(JSON.stringify(file), true);
    if (outcome.ok) taken[kind] += 1;
    else {
      taken.refused += 1;
      expect(Object.values(outcome.problems).join(' ')).toMatch(saysWhere);
    }
  };
  for (let index = 0; index < ofMany(2000, 70); index += 1) {
    take('people', withOddPerson(whole, randomUUID(), random));
  }
  for (let index = 0; index < ofMany(800, 40); index += 1) {
    take('courses', withOddCourse(whole, 900 + index, random));
  }
  expect(taken.people).toBeGreaterThan(ofMany(150, 5));
  expect(taken.courses).toBeGreaterThan(ofMany(30, 1));
  expect(taken.refused).toBeGreaterThan(ofMany(500, 20));
  readEverything();
  // Nothing has to be set aside: the door is as strict as the pages.
  expect(readSetAside()).toEqual([]);
});
