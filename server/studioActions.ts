'use server';

import {
  changeAttendance,
  changeCourse,
  changeEnrolment,
  changeMeeting,
  createCourse,
  createMeeting,
  dropCourse,
  dropMeeting,
} from './courseChanges';
import { copyBefore, copyBeforeIfPossible } from './copies/copies';
import {
  importPeople,
  previewImport,
  undoImport,
  type Imported,
  type RowReading,
} from './importPeople';
import {
  archivePeople,
  createPerson,
  deletePerson,
  mergeInto,
  renamePerson,
  type Removal,
} from './peopleChanges';
import {
  changeProfile,
  copyProfile,
  dropEntry,
  importEntries,
  importProfile,
  keepEntry,
  previewProfile,
  retireProfile,
  type ProfilePreview,
} from './profileEdits';
import type { Outcome } from './result';
import { run } from './run';

export async function createPersonAction(form: unknown): Promise<Outcome<number>> {
  return run(() => createPerson(form));
}

export async function renamePersonAction(id: number, name: unknown): Promise<Outcome> {
  return run(() => renamePerson(id, name));
}

export async function archivePeopleAction(ids: number[], isAway: boolean): Promise<Outcome> {
  return run(() => archivePeople(ids, isAway));
}

export async function deletePersonAction(id: number): Promise<Outcome<Removal>> {
  return run(() => deletePerson(id));
}

export async function mergePeopleAction(keep: number, drop: number): Promise<Outcome> {
  return run(async () => {
    await copyBefore('merge');
    return mergeInto(keep, drop);
  });
}

export async function previewImportAction(rows: unknown): Promise<Outcome<readonly RowReading[]>> {
  return run(() => previewImport(rows));
}

export async function importPeopleAction(form: unknown): Promise<Outcome<Imported>> {
  return run(async () => {
    await copyBefore('import');
    return importPeople(form);
  });
}

export async function undoImportAction(
  id: number,
): Promise<Outcome<{ removed: number; kept: number }>> {
  return run(async () => {
    await copyBeforeIfPossible('deletion');
    return undoImport(id);
  });
}

export async function createCourseAction(form: unknown): Promise<Outcome<number>> {
  return run(() => createCourse(form));
}

export async function changeCourseAction(id: number, form: unknown): Promise<Outcome> {
  return run(() => changeCourse(id, form));
}

export async function dropCourseAction(id: number): Promise<Outcome> {
  return run(() => dropCourse(id));
}

export async function changeEnrolmentAction(
  course: number,
  person: number,
  isIn: boolean,
): Promise<Outcome> {
  return run(() => changeEnrolment(course, person, isIn));
}

export async function createMeetingAction(course: number, form: unknown): Promise<Outcome<number>> {
  return run(() => createMeeting(course, form));
}

export async function changeMeetingAction(id: number, form: unknown): Promise<Outcome> {
  return run(() => changeMeeting(id, form));
}

export async function dropMeetingAction(id: number): Promise<Outcome> {
  return run(() => dropMeeting(id));
}

export async function changeAttendanceAction(
  meeting: number,
  person: number,
  form: unknown,
): Promise<Outcome> {
  return run(() => changeAttendance(meeting, person, form));
}

export async function copyProfileAction(from: string, label: string): Promise<Outcome<string>> {
  return run(() => copyProfile(from, label));
}

export async function changeProfileAction(key: string, form: unknown): Promise<Outcome<number>> {
  return run(() => changeProfile(key, form));
}

export async function retireProfileAction(key: string): Promise<Outcome> {
  return run(() => retireProfile(key));
}

export async function previewProfileAction(
  key: string,
  changes: unknown,
): Promise<Outcome<ProfilePreview>> {
  return run(() => previewProfile(key, changes));
}

export async function importProfileAction(text: string): Promise<Outcome<string>> {
  return run(() => importProfile(text));
}

export async function keepEntryAction(kind: string, key: string, spec: unknown): Promise<Outcome> {
  return run(() => keepEntry(kind, key, spec));
}

export async function dropEntryAction(kind: string, key: string): Promise<Outcome> {
  return run(() => dropEntry(kind, key));
}

export async function importEntriesAction(text: string): Promise<Outcome<number>> {
  return run(() => importEntries(text));
}
