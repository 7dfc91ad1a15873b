/** What the list of classes shows. */
import { listFloorClasses, listReviews } from '@/db/floor';
import { listCourses } from '@/db/courses';
import { listCoursePeople } from '@/db/people';
import type { Day } from '@/core/units/day';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { findEvening } from '@/server/judging/classViews';
import type { ComingMeeting } from '@/server/judging/views';

export interface FloorLine {
  readonly course: { readonly id: number; readonly name: string };
  readonly people: number;
  readonly coming: ComingMeeting | null;
  readonly classes: readonly {
    readonly uid: string;
    readonly day: Day;
    readonly isToday: boolean;
    readonly hasEnded: boolean;
    /** People whose evening was looked through. */
    readonly reviewed: number;
  }[];
}

const shown = 6;

export function readFloorLines(): { readonly today: Day; readonly lines: readonly FloorLine[] } {
  const db = database();
  const day = today();
  return {
    today: day,
    lines: listCourses(db).map(({ id, name }): FloorLine => ({
      course: { id, name },
      people: listCoursePeople(db, id).length,
      coming: findEvening(db, id, day)?.meeting ?? null,
      classes: listFloorClasses(db, id)
        .slice(0, shown)
        .map((row) => ({
          uid: row.uid,
          day: row.day,
          isToday: row.day === day,
          hasEnded: row.endedMs !== null,
          reviewed: listReviews(db, row.id).length,
        })),
    })),
  };
}
