/** Courses, their evenings and the arc of the weeks. */
import { createEvents, type EventAttributes } from 'ics';
import { getStageIn, type School } from '@/core/catalog/school';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { opensStage } from '@/core/ladder/verdictKinds';
import type { Day } from '@/core/units/day';
import {
  findCourse,
  getSettings,
  listAttendance,
  listCourses,
  listEnrolments,
  listMeetings,
  type CourseRow,
  type MeetingRow,
} from '@/db/courses';
import { listCoursePeople, listPeople } from '@/db/people';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readGroup } from '@/features/ladders/read';
import { listProfileChoices, readSchool, type ProfileChoice } from '@/server/judging/schools';

export type { CourseRow };

export interface CourseLine {
  readonly course: CourseRow;
  readonly enrolled: number;
  readonly meetings: number;
  readonly next: Day | null;
}

export interface CoursesView {
  readonly studio: string;
  readonly lines: readonly CourseLine[];
  readonly profiles: readonly ProfileChoice[];
  readonly people: number;
  readonly today: Day;
}

export function readCourses(): CoursesView {
  const db = database();
  const day = today();
  const enrolments = listEnrolments(db);
  return {
    studio: getSettings(db).studio,
    profiles: listProfileChoices(db),
    people: listPeople(db).length,
    today: day,
    lines: listCourses(db).map((course) => {
      const meetings = listMeetings(db, course.id);
      return {
        course,
        enrolled: enrolments.filter(({ courseId }) => courseId === course.id).length,
        meetings: meetings.length,
        next: meetings.find(({ date }) => date >= day)?.date ?? null,
      };
    }),
  };
}

export interface StageChoice {
  readonly stage: StageKey;
  readonly label: string;
  readonly family: LadderId;
}

/** A family and peak worth a week, from where the group stands. */
export interface ArcSuggestion {
  readonly family: LadderId;
  readonly peak: StageKey;
  readonly peakLabel: string;
  readonly why: string;
}

export interface MeetingView extends MeetingRow {
  readonly came: readonly number[];
  readonly absent: readonly number[];
  readonly peakLabel: string | null;
}

export interface CoursePageView {
  readonly course: CourseRow;
  readonly meetings: readonly MeetingView[];
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly others: readonly { readonly id: number; readonly name: string }[];
  readonly profiles: readonly ProfileChoice[];
  readonly stages: readonly StageChoice[];
  readonly suggestions: readonly ArcSuggestion[];
  readonly today: Day;
}

/**
 * Families in the order in which the group gains from them: the stage that opens to most people
 * now, or would with one more check. Two weeks of one family are followed by another.
 */
export function suggestArc(courseId: number): ArcSuggestion[] {
  const group = readGroup(database(), courseId);
  const { school, people, standings } = group;
  return ladderIds
    .flatMap((family) => {
      const votes = new Map<StageKey, { open: number; near: number }>();
      let begun = 0;
      for (const { id } of people) {
        const stand = standings.get(id)?.standings.find((one) => one.family === family);
        if (!stand?.present || stand.next === null) continue;
        begun += 1;
        const { stage, kind, obstacles } = stand.next;
        const vote = votes.get(stage) ?? { open: 0, near: 0 };
        if (opensStage(kind)) vote.open += 1;
        else if (kind === 'stay' && obstacles.length <= 2) vote.near += 1;
        votes.set(stage, vote);
      }
      const best = [...votes].sort(
        ([, a], [, b]) => b.open + 0.5 * b.near - (a.open + 0.5 * a.near),
      )[0];
      return best === undefined ? [] : [{ family, best, begun }];
    })
    .sort((a, b) => worth(b) - worth(a))
    .map(({ family, best, begun }) => {
      const [peak, { open, near }] = best;
      return {
        family,
        peak,
        peakLabel: getStageIn(school, peak).spec.label,
        why: `opens to ${open}${near > 0 ? `, nearly to ${near} more,` : ''} of the ${begun} on this ladder`,
      };
    });
}

const worth = ({
  best,
  begun,
}: {
  best: [string, { open: number; near: number }];
  begun: number;
}) => best[1].open + 0.5 * best[1].near + begun / 100;

const listStages = (school: School): StageChoice[] =>
  ladderIds.flatMap((family) =>
    school.ladders[family].map((stage) => ({
      stage,
      label: getStageIn(school, stage).spec.label,
      family,
    })),
  );

export function readCoursePage(id: number): CoursePageView | null {
  const db = database();
  const course = findCourse(db, id);
  if (course === null) return null;
  const school = readSchool(db, course.profile);
  const meetings = listMeetings(db, id);
  const attended = listAttendance(
    db,
    meetings.map((meeting) => meeting.id),
  );
  const people = listCoursePeople(db, id).map(({ id: who, name }) => ({ id: who, name }));
  const inside = new Set(people.map((person) => person.id));
  return {
    course,
    people,
    others: listPeople(db)
      .filter((person) => !inside.has(person.id))
      .map(({ id: who, name }) => ({ id: who, name })),
    profiles: listProfileChoices(db),
    stages: listStages(school),
    suggestions: people.length === 0 ? [] : suggestArc(id),
    today: today(),
    meetings: meetings.map((meeting) => {
      const own = attended.filter(({ meetingId }) => meetingId === meeting.id);
      return {
        ...meeting,
        came: own.filter(({ came }) => came).map(({ personId }) => personId),
        absent: own.filter(({ came }) => !came).map(({ personId }) => personId),
        peakLabel:
          meeting.peak === null
            ? null
            : (school.stages.get(meeting.peak)?.spec.label ?? meeting.peak),
      };
    }),
  };
}

/** The course as a calendar file; the week's family is said, nobody's name is. */
export function writeCalendar(id: number): { name: string; text: string } | null {
  const db = database();
  const course = findCourse(db, id);
  if (course === null) return null;
  const events = listMeetings(db, id).map((meeting, index): EventAttributes => {
    const [year, month, date] = meeting.date.split('-').map(Number);
    const [hour, minute] = meeting.startsAt.split(':').map(Number);
    const family =
      meeting.family === null ? '' : `: ${ladderTable[meeting.family].label.toLowerCase()}`;
    return {
      uid: `course-${course.id}-meeting-${meeting.id}@levitar`,
      productId: 'levitar',
      title: `${course.name}, week ${index + 1}${family}`,
      start: [year!, month!, date!, hour!, minute!],
      // Wall-clock time of the place, whatever zone the calendar stands in.
      startInputType: 'local',
      startOutputType: 'local',
      duration: { minutes: meeting.minutes },
      ...(meeting.room === '' && course.place === ''
        ? {}
        : { location: meeting.room || course.place }),
    };
  });
  const name = `course-${course.id}.ics`;
  if (events.length === 0) return { name, text: emptyCalendar };
  const { value, error } = createEvents(events, { calName: course.name });
  if (error || !value) throw error ?? new Error('the calendar came out empty');
  return { name, text: value };
}

/** A course without evenings is still a calendar. */
const emptyCalendar = 'BEGIN:VCALENDAR\r\nVERSION:2.0\r\nPRODID:levitar\r\nEND:VCALENDAR\r\n';
