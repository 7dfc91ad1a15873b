/** Adding, putting away, merging and really deleting people; placing them on a rung. */
import { z } from 'zod';
import { getStageIn } from '@/core/catalog/school';
import { ladderIds } from '@/core/catalog/stage';
import { findCourse, enrol, getSettings } from '@/db/courses';
import { addPerson, findPerson, saveArchived, saveName, saveRung } from '@/db/people';
import { mergePeople, removePerson } from '@/db/removal';
import { lineOf } from '@/core/units/text';
import { today } from './clock';
import { noteInDiary } from './asking';
import { purgeEverywhere } from './copies/purge';
import { database } from './database';
import { finishErasing, noteErasing } from './erasing';
import { isInRunningClass } from './floorJudge';
import { readSchool } from './schools';
import { readHeight } from './bodyForm';
import { done, refuse, toProblems, type Outcome } from './result';

const gone = { form: 'This person is no longer here. Go back to the list of people.' };
const id = z.int().positive();
const name = z
  .string()
  .transform(lineOf)
  .pipe(z.string().min(1, 'Write a name.').max(80, 'At most 80 signs.'));

const newPersonForm = z.strictObject({
  name,
  height: z.string().max(40),
  courseId: id.nullable(),
});

/** Two fields: a name and a height. The course on screen comes with them. */
export function createPerson(input: unknown): Outcome<number> {
  const parsed = newPersonForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  return database().transaction((tx) => {
    const { units } = getSettings(tx);
    const height = readHeight(parsed.data.height, units);
    if (!height.ok) return height;
    const person = addPerson(tx, { name: parsed.data.name, ...height.value });
    const { courseId } = parsed.data;
    if (courseId !== null && findCourse(tx, courseId) !== null) enrol(tx, courseId, person);
    return done(person);
  });
}

export function renamePerson(person: unknown, input: unknown): Outcome {
  const parsed = name.safeParse(input);
  if (!parsed.success) return refuse({ name: parsed.error.issues[0].message });
  return database().transaction((tx) => {
    const who = id.safeParse(person);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    saveName(tx, who.data, parsed.data);
    return done(undefined);
  });
}

/** Puts people away, or takes them out again; their records stay. */
export function archivePeople(people: unknown, isAway: unknown): Outcome {
  const ids = z.array(id).min(1).max(5000).safeParse(people);
  const away = z.boolean().safeParse(isAway);
  if (!ids.success || !away.success) return refuse(gone);
  database().transaction((tx) => {
    for (const one of ids.data) saveArchived(tx, one, away.data ? today() : null);
  });
  return done(undefined);
}

export interface Removal {
  /** Copies that could not be cleaned and still hold the person. */
  readonly copiesLeft: readonly string[];
  /** What the person left on the disk is not overwritten yet: the disk is full, or in use. */
  readonly isErasePending: boolean;
}

/** Deletes a person and everything about them, also in the copies. */
export async function deletePerson(person: unknown): Promise<Outcome<Removal>> {
  const who = id.safeParse(person);
  const db = database();
  const row = who.success ? findPerson(db, who.data) : null;
  if (row === null) return refuse(gone);
  db.transaction((tx) => {
    removePerson(tx, row.id, row.uid, today());
    noteErasing(tx);
    noteInDiary(tx, 'deleted');
  });
  // The deletion stands from here on; what follows may have to wait, and is said as it is.
  const copiesLeft = await purgeEverywhere([row]);
  return done({ copiesLeft, isErasePending: !finishErasing() });
}

/** Two entries of one person become one; what restricts is united. */
export function mergeInto(keep: unknown, drop: unknown): Outcome {
  const [kept, dropped] = [id.safeParse(keep), id.safeParse(drop)];
  if (!kept.success || !dropped.success) return refuse(gone);
  if (kept.data === dropped.data) return refuse({ form: 'These are the same entry.' });
  const outcome = database().transaction((tx): Outcome => {
    if (findPerson(tx, kept.data) === null || findPerson(tx, dropped.data) === null) {
      return refuse(gone);
    }
    // The taps of a running class would go on speaking of the entry that is gone.
    if ([kept.data, dropped.data].some((one) => isInRunningClass(tx, one))) {
      return refuse({ form: 'One of the two is in a class that is running. End it first.' });
    }
    mergePeople(tx, kept.data, dropped.data);
    noteErasing(tx);
    noteInDiary(tx, 'merged');
    return done(undefined);
  });
  if (outcome.ok) finishErasing();
  return outcome;
}

const rungForm = z.strictObject({
  family: z.enum(ladderIds),
  stage: z.string().max(60).nullable(),
});

/** Where the student works on a ladder, as the teacher sees it; `null` takes them off it. */
export function placeOnRung(person: unknown, input: unknown): Outcome {
  const parsed = rungForm.safeParse(input);
  if (!parsed.success) return refuse(toProblems(parsed.error));
  const { family, stage } = parsed.data;
  return database().transaction((tx) => {
    const who = id.safeParse(person);
    if (!who.success || findPerson(tx, who.data) === null) return refuse(gone);
    if (stage !== null) {
      const school = readSchool(tx, 'prop-led');
      if (!school.stages.has(stage) || getStageIn(school, stage).spec.family !== family) {
        return refuse({ stage: 'This stage is not on this ladder.' });
      }
    }
    saveRung(tx, who.data, family, stage, today());
    return done(undefined);
  });
}
