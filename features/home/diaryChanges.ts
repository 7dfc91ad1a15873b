/** Taking in what somebody hands back from home. */
import { z } from 'zod';
import { readDiary, type Diary } from '@/core/home/diary';
import { InputProblem } from '@/core/problem';
import { addDiary, dropDiary, type TakenDiary } from '@/db/homeReports';
import { noteErasing } from '@/server/files/erasing';
import { done, refuse, type Outcome } from '@/server/result';
import { judgeInRunningClasses } from '@/server/running/floorJudge';
import { aPerson, change } from '@/server/useCase';
import { sheetOf } from './sheet';

/** Longer than any diary of a season. */
const mostLetters = 400_000;

const diaryForm = z.strictObject({ text: z.string().max(mostLetters) });

interface TakenIn {
  readonly added: number;
  readonly isToAsk: boolean;
  readonly taken: TakenDiary;
}

/** @returns how many entries were new, and whether something is to be asked about */
export const takeDiary = change(
  [aPerson, diaryForm],
  ({ db, today }, person, { text }): Outcome<TakenIn> => {
    let diary: Diary;
    try {
      diary = readDiary(text);
    } catch (error) {
      if (!(error instanceof InputProblem)) throw error;
      return refuse({ text: error.message });
    }
    if (diary.sheet !== sheetOf(person.uid)) {
      return refuse({
        text: 'This is the diary of another person’s practice; nothing was taken in.',
      });
    }
    if (diary.entries.some(({ on }) => on > today)) {
      return refuse({
        text: 'The diary has a day that is still to come: is the phone’s date right?',
      });
    }
    const taken = addDiary(db, person.id, diary.entries);
    const isToAsk = diary.entries.some(
      ({ pain, sign }) => pain !== undefined || sign !== undefined,
    );
    // In a class that is running it counts from now on.
    if (isToAsk) judgeInRunningClasses(db, person.id);
    return done({
      added: taken.reports.length,
      taken,
      isToAsk,
    });
  },
);

const ids = z.array(z.int().positive()).max(5000);
const takenForm = z.strictObject({ reports: ids, pains: ids, signs: ids });

/** The way back: what a diary brought goes, with what it closed. */
export const undoDiary = change([aPerson, takenForm], ({ db }, person, taken): Outcome => {
  noteErasing(db);
  dropDiary(db, person.id, taken);
  judgeInRunningClasses(db, person.id);
  return done(undefined);
});
