import { InputProblem, type ProblemPath } from '../problem';

/** A calendar day as `YYYY-MM-DD`. Days carry no clock and no time zone. */
export type Day = string;

const millisecondsPerDay = 86_400_000;
const shape = /^(\d{4})-(\d{2})-(\d{2})$/;

/** Whole days since 1970-01-01, or `null` when the text is not a day of the calendar. */
export function findDayNumber(day: string): number | null {
  const match = shape.exec(day);
  if (!match) return null;
  const time = Date.UTC(Number(match[1]), Number(match[2]) - 1, Number(match[3]));
  return new Date(time).toISOString().slice(0, 10) === day ? time / millisecondsPerDay : null;
}

/** @throws InputProblem `invalid` when the text is not a day of the calendar */
export function dayNumber(day: Day, path: ProblemPath = []): number {
  const found = findDayNumber(day);
  if (found === null) {
    throw new InputProblem('invalid', `"${day}" is not a date; write it as YYYY-MM-DD.`, path);
  }
  return found;
}

/** The day so many days later (or earlier, when negative). */
export function addDays(day: Day, days: number): Day {
  return new Date((dayNumber(day) + days) * millisecondsPerDay).toISOString().slice(0, 10);
}

/** Days from one day to another; negative when the second comes first. */
export function daysBetween(from: Day, to: Day): number {
  return dayNumber(to) - dayNumber(from);
}
