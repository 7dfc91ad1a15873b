/** Taking in what somebody hands back from home. */
import { z } from 'zod';
import { readDiary, type Diary } from '@/core/home/diary';
import { InputProblem } from '@/core/problem';
import { addDiary } from '@/db/homeReports';
import { done, refuse, type Outcome } from '@/server/result';
import { aPerson, change } from '@/server/useCase';
import { sheetOf } from './sheet';

/** Longer than any diary of a season. */
const mostLetters = 400_000;

export const diaryForm = z.strictObject({ text: z.string().max(mostLetters) });

/** @returns how many entries were new, and whether something is to be asked about */
export const takeDiary = change(
  [aPerson, diaryForm],
  ({ db, today }, person, { text }): Outcome<{ added: number; isToAsk: boolean }> => {
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
    return done({
      added: addDiary(db, person.id, diary.entries),
      isToAsk: diary.entries.some(({ pain, sign }) => pain !== undefined || sign !== undefined),
    });
  },
);
