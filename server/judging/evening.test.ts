/** Which evening is the next one. */
import { comingThursday } from '@/demo/course';
import { begin, send, tapsOf } from '@/features/testing/floor';
import { must, withThrowawayStudio } from '@/features/testing/studio';
import { beginClass } from '../running/floor';
import { today } from '../clock';
import { readClass } from './classViews';
import { readCourse } from './views';

withThrowawayStudio();

const usual = process.env.LEVITAR_DAY;
/** The day the course meets on. */
beforeEach(() => {
  process.env.LEVITAR_DAY = comingThursday(today());
});
afterEach(() => {
  process.env.LEVITAR_DAY = usual;
});

it('is tonight until tonight has ended, and the one after it from then on', () => {
  const { uid } = begin();
  expect(readClass(1)!.meeting.date).toBe(today());
  send(uid, tapsOf([{ kind: 'end' }]));
  const next = readClass(1)!.meeting;
  expect(next.date > today()).toBe(true);
  expect(next.week).toBe(6);
  expect(readCourse()!.meeting.date > today()).toBe(true);
  // Tonight's class is still the one that is opened on the floor.
  expect(must(beginClass(1))).toBe(uid);
});
