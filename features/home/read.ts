/** Home practice of one person, worked out at the moment it is asked for; page, text, calendar. */
import { counted } from '@/core/units/words';
import { createEvents, type EventAttributes } from 'ics';
import { resolveBody } from '@/core/body/body';
import { listAfterTold, type AfterEach } from '@/core/home/afterTold';
import { tellingOf } from '@/core/home/diary';
import type { HomeItem, HomePractice } from '@/core/home/homeItem';
import { planHomePractice } from '@/core/home/homePractice';
import { listRestful } from '@/core/home/restful';
import { usualHousehold } from '@/core/home/household';
import { keptDistances } from '@/core/setups/registry';
import { addDays, daysBetween, sayDay, type Day } from '@/core/units/day';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { rememberFor } from '@/core/units/remember';
import type { OpenedCase } from '@/core/ladder/case';
import type { Sized } from '@/core/ladder/sized';
import { getSettings, listMeetings } from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import { listHomeReports } from '@/db/homeReports';
import { findPerson } from '@/db/people';
import { readCase } from '@/server/judging/cases';
import { findEvening } from '@/server/judging/classViews';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readSchool } from '@/server/judging/schools';
import { findCourseOf } from '@/server/judging/views';

export interface HomeView {
  readonly id: number;
  readonly uid: string;
  readonly name: string;
  readonly practice: HomePractice;
  readonly today: Day;
  /** The evenings to come, the next one first. */
  readonly evenings: readonly Day[];
  /** The next evening; `null`: none is planned. */
  readonly next: Day | null;
  readonly units: LengthUnits;
  readonly breathSeconds: number;
}

/** What a phone has to know besides, since it can ask nobody. */
export interface PhoneView extends HomeView {
  /** What is left of the sheet after what may be told at home. */
  readonly after: AfterEach;
  /** What is for rest, for whoever has nothing left of it. */
  readonly resting: readonly HomeItem[];
  /** What was told and has come back already, as `tellingOf` says it. */
  readonly heard: readonly string[];
}

const practices = rememberFor<OpenedCase, HomePractice>();

/** @returns `null` when there is no such person */
export const readHome = (personId: number): HomeView | null => findHome(personId)?.view ?? null;

/** @returns `null` when there is no such person */
export function readPhone(personId: number): PhoneView | null {
  const found = findHome(personId);
  if (found === null) return null;
  const { view, opened, sized, families } = found;
  const reports = listHomeReports(database(), personId);
  return {
    ...view,
    after: listAfterTold(opened, sized, families, usualHousehold, view.practice.items),
    resting: listRestful(opened),
    heard: reports.filter(({ pain, sign }) => pain !== null || sign !== null).map(tellingOf),
  };
}

function findHome(personId: number) {
  const db = database();
  const person = findPerson(db, personId);
  if (person === null) return null;
  const day = today();
  const settings = getSettings(db);
  const course = findCourseOf(db, person.id, day);
  const school = readSchool(db, course?.profile ?? 'prop-led');
  const pieces = course === null ? [] : listPieces(db, course.id);
  const opened = readCase(db, person, { school, day, pieces });
  const evening = course === null ? null : findEvening(db, course.id, day);
  const begun = Object.keys(person.present) as (keyof typeof person.present)[];
  const family = evening?.family ?? begun[0] ?? 'forearm-stand';
  const families = [family, ...begun.filter((one) => one !== family).slice(0, 1)];
  const evenings = (course === null ? [] : listMeetings(db, course.id))
    .map(({ date }) => date)
    .filter((date) => date > day);
  const sized: Sized = { body: resolveBody(person.body), kept: keptDistances(person.kept) };
  const view: HomeView = {
    id: person.id,
    uid: person.uid,
    name: person.name,
    // A gate somebody stands before on another ladder counts as well, after the course's own.
    practice: practices(opened, families.join(), () =>
      planHomePractice(opened, sized, families, usualHousehold),
    ),
    today: day,
    evenings,
    next: evenings[0] ?? null,
    units: settings.units,
    breathSeconds: settings.breathSeconds,
  };
  return { view, opened, sized, families };
}

export const homeCaution =
  'No medical advice. Stop at any pain, tingling, pressure in the neck or dizziness, and ask a doctor or physiotherapist first where you are unsure.';

/** Plain text to paste into a message. */
export function writeHomeText({ name, practice, next, units }: HomeView): string {
  const lines = [`Practice for ${name.split(' ')[0]}`, ''];
  if (practice.instead !== null) lines.push(practice.instead, '');
  practice.items.forEach((item, index) => {
    lines.push(`${index + 1}. ${item.label}: ${item.dose}, ${counted(item.days, 'day')} a week`);
    lines.push(`   ${item.how}`);
    if (item.firstSide) lines.push(`   Begin with the ${item.firstSide} side.`);
    if (item.wall) {
      const found = item.wall.isFound ? ', found by trying' : '';
      lines.push(`   ${item.wall.label}: ${formatLength(item.wall.metres, units)}${found}`);
    }
    for (const { words } of item.standIns) lines.push(`   Take ${words}.`);
    for (const words of item.watch) lines.push(`   Watch: ${words}.`);
  });
  if (practice.notAlone.length > 0) {
    lines.push('', 'Not alone:');
    for (const { label, why } of practice.notAlone) lines.push(`- ${label} (${why})`);
  }
  if (next !== null) lines.push('', `Next time: ${sayDay(next)}`);
  lines.push('', homeCaution, '');
  return lines.join('\n');
}

/** A calendar reaches to the next evening, and at least and at most so many days. */
const calendarDays = { least: 7, most: 14 } as const;
const daysOfWeek = 7;
/** Which days of a week are practised on first: spread, and those of fewer days among those of more. */
const preferred = [1, 3, 5, 6, 2, 4, 7] as const;

/** Days from today on which to practise: so many of every seven, none of them an evening. */
function practiceDays(perWeek: number, until: number, isFree: (offset: number) => boolean) {
  const chosen = new Set<number>();
  for (let week = 0; week * daysOfWeek < until; week += 1) {
    preferred
      .map((day) => week * daysOfWeek + day)
      .filter(isFree)
      .slice(0, perWeek)
      .filter((offset) => offset <= until)
      .forEach((offset) => chosen.add(offset));
  }
  return chosen;
}

/** The practice as a calendar, one entry a day; none on an evening of the course. */
export function writeHomeCalendar(view: HomeView): string {
  const { practice, today: from, next, evenings, uid } = view;
  const { least, most } = calendarDays;
  const until = next === null ? most : Math.min(most, Math.max(least, daysBetween(from, next) - 1));
  const isFree = (offset: number) => !evenings.includes(addDays(from, offset));
  const events: EventAttributes[] = [];
  for (let offset = 1; offset <= until; offset += 1) {
    const own = practice.items.filter(({ days }) => practiceDays(days, until, isFree).has(offset));
    if (own.length === 0) continue;
    const date = addDays(from, offset);
    const [year = 0, month = 1, day = 1] = date.split('-').map(Number);
    events.push({
      uid: `${date}-${uid}@levitar`,
      title: 'Practice',
      start: [year, month, day],
      // A whole day ends where the next begins: no duration to be written in two ways.
      end: addDays(date, 1).split('-').map(Number) as [number, number, number],
      description: own.map(({ label, dose }) => `${label}: ${dose}`).join('\n'),
      productId: 'levitar/home-practice',
    });
  }
  const { value, error } = createEvents(events, { calName: 'Practice' });
  if (error || !value) throw error ?? new Error('the calendar came out empty');
  return value;
}
