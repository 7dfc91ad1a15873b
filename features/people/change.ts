/** Adding, putting away, merging and really deleting people; placing them on a rung. */
import { stageKey } from '@/core/catalog/keys';
import { z } from 'zod';
import { getStageIn } from '@/core/catalog/school';
import { ladderIds } from '@/core/catalog/stage';
import { day } from '@/core/files/schemas';
import { findCourse, enrol, getSettings } from '@/db/courses';
import { listPeople } from '@/db/people';
import {
  addPerson,
  findRung,
  saveArchived,
  saveName,
  savePlacing,
  saveRung,
} from '@/db/personChanges';
import { guessedHeight } from '@/core/body/body';
import { mergePeople, removePerson } from '@/db/removal';
import { lineOf } from '@/core/units/text';
import { noteInDiary } from '@/server/network/asking';
import { purgeEverywhere } from '@/server/copies/purge';
import { finishErasing, noteErasing } from '@/server/files/erasing';
import { isInRunningClass, judgeInRunningClasses } from '@/server/running/floorJudge';
import { judge } from '@/core/ladder/verdict';
import { readOwnCase } from '@/server/judging/views';
import { readSchool } from '@/server/judging/schools';
import { readHeight } from '@/features/person/bodyForm';
import { done, refuse, type Outcome } from '@/server/result';
import { aCourse, aPerson, change, field, numberOf, work } from '@/server/useCase';

const number = numberOf(aPerson.gone);
const name = z
  .string()
  .transform(lineOf)
  .pipe(z.string().min(1, 'Write a name.').max(80, 'At most 80 signs.'));

const newPersonForm = z.strictObject({
  name,
  height: z.string().max(40),
  courseId: number.nullable(),
});

const rosterForm = z.strictObject({
  courseId: number,
  lines: z
    .array(z.strictObject({ name, height: z.string().max(40) }))
    .min(1, 'Write a name a line.')
    .max(60, 'At most 60 at a time.'),
});

/**
 * Several people at once, all of them or none. Whoever comes without a height is taken as usual,
 * and everything measured of them says so.
 *
 * @returns how many are new; whoever is here by this name is enrolled and not doubled
 */
export const createRoster = change([rosterForm], ({ db }, { courseId, lines }): Outcome<number> => {
  if (findCourse(db, courseId) === null) return refuse({ form: aCourse.gone });
  const { units } = getSettings(db);
  const problems: Record<string, string> = {};
  const read = lines.map((line, index) => {
    if (line.height.trim() === '') {
      return { name: line.name, heightM: guessedHeight.heightM, heightTyped: '' };
    }
    const height = readHeight(line.height, units);
    if (!height.ok) {
      problems[`lines.${index}`] = `${line.name}: ${height.problems.height ?? 'no height'}`;
      return null;
    }
    return { name: line.name, ...height.value };
  });
  if (Object.keys(problems).length > 0) return refuse(problems);
  const here = new Map(listPeople(db).map((one) => [one.name.toLowerCase(), one.id]));
  let added = 0;
  for (const one of read) {
    if (one === null) continue;
    const known = here.get(one.name.toLowerCase());
    const id = known ?? addPerson(db, one);
    here.set(one.name.toLowerCase(), id);
    if (known === undefined) added += 1;
    enrol(db, courseId, id);
  }
  return done(added);
});

/** Two fields: a name and a height. The course on screen comes with them. */
export const createPerson = change([newPersonForm], ({ db }, form): Outcome<number> => {
  const height = readHeight(form.height, getSettings(db).units);
  if (!height.ok) return height;
  const person = addPerson(db, { name: form.name, ...height.value });
  const { courseId } = form;
  if (courseId !== null && findCourse(db, courseId) !== null) enrol(db, courseId, person);
  return done(person);
});

export const renamePerson = change([aPerson, field('name', name)], ({ db }, person, called) => {
  saveName(db, person.id, called);
  return done(undefined);
});

/** Puts people away, or takes them out again; their records stay. */
export const archivePeople = change(
  [z.array(number).min(1, aPerson.gone).max(5000, aPerson.gone), z.boolean()],
  ({ db, today }, people, isAway) => {
    for (const one of people) saveArchived(db, one, isAway ? today : null);
    return done(undefined);
  },
);

export interface Removal {
  /** Copies that could not be cleaned and still hold the person. */
  readonly copiesLeft: readonly string[];
  /** What the person left on the disk is not overwritten yet: the disk is full, or in use. */
  readonly isErasePending: boolean;
}

/** Deletes a person and everything about them, also in the copies. */
export const deletePerson = work(
  [aPerson],
  async ({ db, today }, row): Promise<Outcome<Removal>> => {
    db.transaction((tx) => {
      removePerson(tx, row.id, row.uid, today);
      noteErasing(tx);
      noteInDiary(tx, 'deleted');
    });
    // The deletion stands from here on; what follows may have to wait, and is said as it is.
    const copiesLeft = await purgeEverywhere([row]);
    return done({ copiesLeft, isErasePending: !finishErasing() });
  },
);

/** Two entries of one person become one; what restricts is united. */
export const mergeInto = work([aPerson, aPerson], ({ db }, { id: kept }, { id: dropped }) => {
  if (kept === dropped) return refuse({ form: 'These are the same entry.' });
  const outcome = db.transaction((tx): Outcome => {
    // The taps of a running class would go on speaking of the entry that is gone.
    if ([kept, dropped].some((one) => isInRunningClass(tx, one))) {
      return refuse({ form: 'One of the two is in a class that is running. End it first.' });
    }
    mergePeople(tx, kept, dropped);
    noteErasing(tx);
    noteInDiary(tx, 'merged');
    return done(undefined);
  });
  if (outcome.ok) finishErasing();
  return outcome;
});

const placingForm = z.strictObject({
  family: z.enum(ladderIds),
  /** `null`: never seen. */
  stage: stageKey.nullable(),
});

/** The teacher's word of today: the shape that they have seen this person do in control. */
export const placeByWord = change(
  [aPerson, placingForm],
  ({ db, today }, person, { family, stage }): Outcome => {
    if (stage !== null) {
      const { school, opened } = readOwnCase(db, person, today);
      if (!school.stages.has(stage) || getStageIn(school, stage).spec.family !== family) {
        return refuse({ stage: 'This stage is not on this ladder.' });
      }
      if (judge(stage, opened).kind === 'stop') {
        return refuse({ stage: 'This shape is closed to them; no word of yours stands for it.' });
      }
    }
    savePlacing(db, person.id, family, stage, today);
    judgeInRunningClasses(db, person.id);
    return done(undefined);
  },
);

const rungForm = z.strictObject({
  family: z.enum(ladderIds),
  stage: stageKey.nullable(),
  /** Since when, where that is known; absent: today. */
  since: day.optional(),
});

/** Where somebody stood, and since when; null: nowhere on this ladder. */
type Stood = ReturnType<typeof findRung>;

/**
 * Where the student works on a ladder, as the teacher sees it; `null` takes them off it.
 *
 * @returns where they worked before, for the way back
 */
export const placeOnRung = change(
  [aPerson, rungForm],
  ({ db, today }, person, form): Outcome<Stood> => {
    const { family, stage, since = today } = form;
    if (since > today) return refuse({ stage: 'This day is still to come.' });
    const stood = findRung(db, person.id, family);
    if (stage !== null) {
      const school = readSchool(db, 'prop-led');
      if (!school.stages.has(stage) || getStageIn(school, stage).spec.family !== family) {
        return refuse({ stage: 'This stage is not on this ladder.' });
      }
    }
    saveRung(db, person.id, family, stage, since);
    judgeInRunningClasses(db, person.id);
    return done(stood);
  },
);
