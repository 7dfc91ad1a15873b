/** The weeks of a course, and of one person on the floor. Every chart has its figures beside it. */
import { writeTable } from '@/server/files/csv';
import { composeOutput } from '@/core/files/planFile';
import { getStageIn } from '@/core/catalog/school';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { findFlow, type Climber, type Flow } from '@/core/course/flow';
import { opensStage } from '@/core/ladder/verdictKinds';
import { addDays, type Day } from '@/core/units/day';
import { findCourse, listAttendance, listCourses, listMeetings } from '@/db/courses';
import { listDecisionsOf, type DecisionRow } from '@/db/decisions';
import { listAttempts, listUpsideTime } from '@/db/floor';
import { listRecords } from '@/db/records';
import { listPlans } from '@/db/plans';
import type { PersonRow } from '@/db/people';
import type { School } from '@/core/catalog/school';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readForecasts, type ForecastLine } from './forecasts';
import { readLadders, type Bottleneck } from '@/features/ladders/read';
import { readGroup } from '@/features/ladders/read';
import { asSeenChecks, countSeen, countSlow, type SeenInTries } from './seenInTries';

export interface RecordWeek {
  readonly date: Day;
  readonly came: number;
  readonly of: number;
  /** Minutes upside down that were timed, all people together. */
  readonly upsideMinutes: number;
  readonly tries: number;
  readonly reached: number;
  readonly soft: number;
  readonly landings: number;
}

export interface Limit {
  readonly words: string;
  /** Evenings on which one more of it would have served somebody better. */
  readonly evenings: number;
  readonly people: number;
}

export interface CourseRecord {
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly course: { readonly id: number; readonly name: string };
  readonly family: LadderId;
  readonly families: readonly { readonly id: LadderId; readonly label: string }[];
  readonly people: number;
  readonly weeks: readonly RecordWeek[];
  readonly flow: Flow;
  readonly labels: Readonly<Record<string, string>>;
  readonly names: Readonly<Record<string, string>>;
  /** What tries showed. */
  readonly seen: SeenInTries;
  readonly bottlenecks: readonly Bottleneck[];
  readonly forecasts: readonly ForecastLine[];
  readonly limits: readonly Limit[];
  /** Evenings whose plan was kept: what the limits are read from. */
  readonly plannedEvenings: number;
}

const mostWeeks = 12;

/** What a decision means for where somebody works. */
function toMove(
  { decided, stage, madeOn }: DecisionRow,
  before: StageKey | null,
  school: School,
): { on: Day; stage: StageKey | null } | null {
  if (opensStage(decided)) return { on: madeOn, stage };
  if (decided !== 'step-back' || before === null) return null;
  return { on: madeOn, stage: school.stages.get(before)?.spec.after[0] ?? before };
}

/** Decisions tell the moves; before the first of them somebody stood where they had to come from. */
function toClimber(
  person: PersonRow,
  family: LadderId,
  decisions: readonly DecisionRow[],
  school: School,
): Climber {
  const own = decisions
    .filter((one) => one.personId === person.id && one.family === family)
    .sort((a, b) => a.id - b.id);
  const first = own.find(({ decided }) => opensStage(decided));
  const present = person.present[family] ?? null;
  const start =
    first === undefined ? present : (school.stages.get(first.stage)?.spec.after[0] ?? null);
  const moves: { on: Day; stage: StageKey | null }[] = [];
  let at = start;
  for (const one of own) {
    const move = toMove(one, at, school);
    if (move === null) continue;
    moves.push(move);
    at = move.stage;
  }
  // Placed by hand since: today's rung is what the ladder shows.
  if (at !== present) moves.push({ on: today(), stage: present });
  return { id: String(person.id), start, moves };
}

/** @returns `null` when there is no course at all */
export function readCourseRecord(
  courseId: number | undefined,
  asked: string | undefined,
): CourseRecord | null {
  const db = database();
  const group = readGroup(db, courseId);
  const { course, school, people } = group;
  if (course === null) return null;
  const day = today();
  const ids = people.map(({ id }) => id);
  const past = listMeetings(db, course.id)
    .filter(({ date }) => date <= day)
    .slice(-mostWeeks);
  const attendance = listAttendance(
    db,
    past.map(({ id }) => id),
  );
  const from = past[0]?.date;
  const tries = from === undefined ? [] : listAttempts(db, ids, addDays(from, -1));
  const upside = from === undefined ? [] : listUpsideTime(db, ids, addDays(from, -1));
  const weeks = past.map(({ id, date }): RecordWeek => {
    const rows = attendance.filter(({ meetingId }) => meetingId === id);
    const own = tries.filter((one) => one.date === date);
    const landed = own.filter(({ landing }) => landing !== null);
    return {
      date,
      came: rows.filter(({ came }) => came).length,
      of: rows.length,
      upsideMinutes:
        upside.filter((one) => one.date === date).reduce((sum, { seconds }) => sum + seconds, 0) /
        60,
      tries: own.length,
      reached: own.filter(({ reached }) => reached).length,
      soft: landed.filter(({ landing }) => landing === 'soft').length,
      landings: landed.length,
    };
  });
  const decisions = listDecisionsOf(db, ids);
  const counts = new Map<LadderId, number>();
  for (const { family } of past) if (family) counts.set(family, (counts.get(family) ?? 0) + 1);
  const usual = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0] ?? 'forearm-stand';
  const family = ladderIds.find((id) => id === asked) ?? usual;
  const climbers = people.map((person) => toClimber(person, family, decisions, school));
  const flow = findFlow(
    climbers,
    past.map(({ date }) => date),
    school.ladders[family],
  );
  const plans = listPlans(db, course.id);
  return {
    courses: listCourses(db).map(({ id, name }) => ({ id, name })),
    course: { id: course.id, name: findCourse(db, course.id)!.name },
    family,
    families: ladderIds.map((id) => ({ id, label: ladderTable[id].label })),
    people: people.length,
    weeks,
    flow,
    labels: Object.fromEntries(
      school.ladders[family].map((stage) => [stage, getStageIn(school, stage).spec.label]),
    ),
    names: Object.fromEntries(people.map(({ id, name }) => [String(id), name])),
    seen: countSeen(
      tries,
      past.map(({ date }) => date),
      asSeenChecks(from === undefined ? [] : listRecords(db, ids, from), school.checks),
    ),
    bottlenecks: readLadders(course.id).bottlenecks,
    forecasts: readForecasts(db, group),
    limits: findLimits(plans),
    plannedEvenings: plans.length,
  };
}

/** What bound the kept plans: each thing, on how many evenings, for how many people at most. */
function findLimits(plans: readonly unknown[]): Limit[] {
  const found = new Map<string, { evenings: number; people: Set<string> }>();
  for (const one of plans) {
    const plan = composeOutput.safeParse(one);
    if (!plan.success) continue;
    for (const { words, gain, serves } of plan.data.binding) {
      if (gain === null || gain <= 0) continue;
      const known = found.get(words) ?? { evenings: 0, people: new Set<string>() };
      known.evenings += 1;
      for (const id of serves) known.people.add(id);
      found.set(words, known);
    }
  }
  return [...found]
    .map(([words, { evenings, people }]) => ({ words, evenings, people: people.size }))
    .sort((a, b) => b.evenings - a.evenings || b.people - a.people);
}

export interface FloorDay {
  readonly date: Day;
  readonly upsideSeconds: number;
  readonly tries: number;
  readonly reached: number;
  readonly left: number;
  readonly right: number;
  readonly leftReached: number;
  readonly rightReached: number;
  readonly soft: number;
  readonly heavy: number;
  /** Timed up and down, and those who came down as slowly. */
  readonly timed: number;
  readonly asSlow: number;
}

/** One person on the floor, evening by evening. */
export function readFloorDays(personId: number): FloorDay[] {
  const db = database();
  const tries = listAttempts(db, [personId]);
  const upside = listUpsideTime(db, [personId]);
  const dates = [...new Set([...tries, ...upside].map(({ date }) => date))].sort();
  return dates.map((date): FloorDay => {
    const own = tries.filter((one) => one.date === date);
    const count = (is: (one: (typeof own)[number]) => boolean) => own.filter(is).length;
    return {
      date,
      upsideSeconds: upside
        .filter((one) => one.date === date)
        .reduce((sum, { seconds }) => sum + seconds, 0),
      tries: own.length,
      reached: count(({ reached }) => reached),
      left: count(({ leg }) => leg === 'left'),
      right: count(({ leg }) => leg === 'right'),
      leftReached: count(({ leg, reached }) => leg === 'left' && reached),
      rightReached: count(({ leg, reached }) => leg === 'right' && reached),
      soft: count(({ landing }) => landing === 'soft'),
      heavy: count(({ landing }) => landing === 'heavy'),
      ...countSlow(own),
    };
  });
}

const round1 = (value: number) => Math.round(value * 10) / 10;

export const floorDaysCsv = (days: readonly FloorDay[]): string =>
  writeTable(
    days.map(({ upsideSeconds, ...day }) => ({
      ...day,
      upsideMinutes: round1(upsideSeconds / 60),
    })),
  );

export const recordKinds = ['weeks', 'rungs', 'tries', 'checks', 'forecasts', 'limits'] as const;
export type RecordKind = (typeof recordKinds)[number];

/** The figures behind one chart of the course. */
export function recordCsv(record: CourseRecord, kind: RecordKind): string {
  switch (kind) {
    case 'weeks':
      return writeTable(
        record.weeks.map((week) => ({ ...week, upsideMinutes: round1(week.upsideMinutes) })),
      );
    case 'rungs':
      return writeTable(
        record.flow.weeks.flatMap(({ on, rungs }) =>
          rungs.map(({ stage, people }) => ({
            date: on,
            stage: stage ?? '',
            label: stage === null ? 'not begun' : (record.labels[stage] ?? stage),
            people: people.length,
            names: people.map((id) => record.names[id]).join('; '),
          })),
        ),
      );
    case 'tries':
      return writeTable(
        (['faults', 'inChecks'] as const).flatMap((list) =>
          record.seen[list].flatMap(({ label, counts, of }) =>
            record.seen.dates.map((date, at) => ({
              date,
              fault: label,
              in: list === 'faults' ? 'tries' : 'checks',
              seen: counts[at]!,
              of: of[at]!,
            })),
          ),
        ),
      );
    case 'checks':
      return writeTable(
        record.bottlenecks.map(({ label, people, rungs }) => ({
          check: label,
          people: people.length,
          rungs,
          names: people.map(({ name }) => name).join('; '),
        })),
      );
    case 'forecasts':
      return writeTable(record.forecasts.map(({ name, label, words }) => ({ name, label, words })));
    case 'limits':
      return writeTable([...record.limits]);
  }
}
