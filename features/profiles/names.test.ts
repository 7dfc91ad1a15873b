/** Names of profiles: no two the same, however they come to be. */
import { database } from '@/server/database';
import {
  bringProfileBack,
  changeProfile,
  copyProfile,
  importProfile,
  retireProfile,
} from './change';
import { readProfiles, readProfilePage } from './read';
import { addCourse, must, withThrowawayStudio } from '@/features/testing/studio';
import { changeCourse } from '@/features/courses/change';
import { findCourse } from '@/db/courses';

withThrowawayStudio();

const labels = () => {
  const { shipped, copies } = readProfiles();
  return [...shipped, ...copies].map(({ label }) => label.toLowerCase());
};

it('proposes a free name, and refuses one that is taken in whatever case', () => {
  const [first] = readProfiles().shipped;
  const { nameFor } = readProfiles();
  const proposed = nameFor(first!);
  must(copyProfile(first!.key, proposed));
  expect(readProfiles().nameFor(first!)).toBe(`${proposed} 2`);
  expect(copyProfile(first!.key, proposed.toUpperCase())).toMatchObject({
    ok: false,
    problems: { label: expect.stringContaining('this name already') as unknown },
  });
  expect(copyProfile(first!.key, first!.label).ok).toBe(false);
});

it('renames to nothing that is taken, and keeps its own name', () => {
  const one = must(copyProfile('prop-led', 'One'));
  must(copyProfile('prop-led', 'Two'));
  expect(changeProfile(one, { label: 'two', changes: {}, seen: 1 }).ok).toBe(false);
  expect(changeProfile(one, { label: 'One', changes: {}, seen: 1 }).ok).toBe(true);
});

it('gives a colleague’s file a number where the name is here already', () => {
  const file = JSON.stringify({
    format: 'levitar-profile',
    version: 1,
    label: 'Quiet hour',
    origin: 'prop-led',
    changes: {},
  });
  must(importProfile(file));
  must(importProfile(file));
  must(importProfile(file));
  expect(labels().filter((label) => label.startsWith('quiet hour'))).toEqual([
    'quiet hour',
    'quiet hour 2',
    'quiet hour 3',
  ]);
  expect(new Set(labels()).size).toBe(labels().length);
});

it('says which courses are judged with a profile', () => {
  const course = addCourse();
  const key = must(copyProfile('prop-led', 'One'));
  const { name, place } = findCourse(database(), course)!;
  expect(readProfilePage(key)!.courses).toMatchObject([{ id: course, profile: 'prop-led' }]);
  must(changeCourse(course, { name, place, profile: key }));
  expect(readProfilePage(key)!.courses).toMatchObject([{ id: course, profile: key }]);
});

it('brings a copy back that was put away, unless its name went to another', () => {
  const one = must(copyProfile('prop-led', 'Quiet'));
  const course = addCourse(one);
  must(retireProfile(one));
  expect(labels()).not.toContain('quiet');
  must(bringProfileBack(one));
  expect(labels()).toContain('quiet');
  expect(findCourse(database(), course)!.profile).toBe(one);
  must(retireProfile(one));
  must(copyProfile('prop-led', 'Quiet'));
  expect(bringProfileBack(one)).toMatchObject({ ok: false });
  expect(labels().filter((label) => label === 'quiet')).toHaveLength(1);
});
