import { addDays, daysBetween, type Day } from './day';

export interface Meeting {
  readonly date: Day;
  /** 1 for the first week. */
  readonly week: number;
}

const daysPerWeek = 7;

/** The next weekly meeting on or after a day; the first one where the course has not begun. */
export function comingMeeting(startsOn: Day, today: Day): Meeting {
  const since = Math.max(0, daysBetween(startsOn, today));
  const index = Math.ceil(since / daysPerWeek);
  return { date: addDays(startsOn, index * daysPerWeek), week: index + 1 };
}
