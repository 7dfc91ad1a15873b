import { InputProblem, type ProblemPath } from '../problem';

/** A calendar day as `YYYY-MM-DD`. Days carry no clock and no time zone. */
export type Day = string;

const millisecondsPerDay = 86_400_000;
const shape = /^\d{4}-\d{2}-\d{2}$/;

const digits = (text: string, from: number, to: number) => {
  let value = 0;
  for (let at = from; at < to; at += 1) value = value * 10 + text.charCodeAt(at) - 48;
  return value;
};

/**
 * Whole days since 1970-01-01, or `null` when the text is not a day of the calendar.
 * Read by hand, because histories of hundreds of records are read for every verdict.
 */
export function findDayNumber(day: string): number | null {
  if (!shape.test(day)) return null;
  const [year, month, date] = [digits(day, 0, 4), digits(day, 5, 7), digits(day, 8, 10)];
  if (month < 1 || month > 12 || date < 1 || date > daysInMonth(year, month)) return null;
  return Date.UTC(year, month - 1, date) / millisecondsPerDay;
}

function daysInMonth(year: number, month: number): number {
  if (month !== 2) return month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;
  const isLeap = year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0);
  return isLeap ? 29 : 28;
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

const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const;

/**
 * A day as it is said: `3 December 2026`. The figures of a date are for files.
 *
 * @throws InputProblem `invalid` when the text is not a day of the calendar
 */
export function sayDay(day: Day): string {
  dayNumber(day, []);
  const [year, month, date] = day.split('-').map(Number);
  return `${date} ${months[month! - 1]} ${year}`;
}
