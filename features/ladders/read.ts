/** Everyone on their rungs: what the ladders, the people table and tonight's checks read. */
import type { CheckKey } from '@/core/catalog/checks';
import { alternativeTable } from '@/core/catalog/alternatives';
import { describeDemand } from '@/core/catalog/profileChanges';
import { getStageIn, type School } from '@/core/catalog/school';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { isScreeningDue } from '@/core/caution/care';
import { planChecks, type CheckSlot } from '@/core/ladder/checkPlan';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import { daysBetween, type Day } from '@/core/units/day';
import {
  findCourse,
  getSettings,
  listCourses,
  listEnrolments,
  type CourseRow,
  type Settings,
} from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import type { Db } from '@/db/open';
import { listCoursePeople, listPeople, type PersonRow } from '@/db/people';
import { listLastSeen } from '@/db/records';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import type { GateRow } from '@/server/judging/gateRows';
import { readSchool } from '@/server/judging/schools';
import { readStandings, type PersonStanding, type Standing } from '@/server/judging/standings';
import { findNextCourse } from '@/server/judging/views';

/** People of a course, or of the whole studio, with the school they are judged by. */
export interface Group {
  readonly course: CourseRow | null;
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly school: School;
  readonly people: readonly PersonRow[];
  readonly standings: ReadonlyMap<number, PersonStanding>;
  readonly settings: Settings;
  readonly today: Day;
}

/** @param courseId `null` for everyone; absent for the course that meets next */
export function readGroup(db: Db, courseId?: number | null, withWorth = false): Group {
  const day = today();
  const courses = listCourses(db);
  const course =
    courseId === undefined
      ? findNextCourse(db, day)
      : courseId === null
        ? null
        : findCourse(db, courseId);
  const school = readSchool(db, (course ?? courses[0])?.profile ?? 'prop-led');
  const cupboard = course ?? courses[0];
  const pieces = cupboard === undefined ? [] : listPieces(db, cupboard.id);
  const people = course === null ? listPeople(db) : listCoursePeople(db, course.id);
  return {
    course,
    courses: courses.map(({ id, name }) => ({ id, name })),
    school,
    people,
    standings: readStandings(db, people, () => ({ school, day, pieces }), withWorth),
    settings: getSettings(db),
    today: day,
  };
}

/** Up to two letters for a token. */
export function initialsOf(name: string): string {
  const parts = name.trim().split(/\s+/);
  const letters = parts.length > 1 ? [parts[0], parts[parts.length - 1]] : parts;
  return letters.map((part) => [...part!][0]?.toUpperCase() ?? '').join('');
}

export interface Token {
  readonly id: number;
  readonly name: string;
  readonly initials: string;
}

export interface Waiting extends Token {
  readonly kind: VerdictKind;
  /** The weakest check in figures, or where the way is open to. */
  readonly forWhat: string;
  readonly obstacle: GateRow | null;
}

export interface RungView {
  readonly stage: StageKey;
  readonly label: string;
  readonly isAside: boolean;
  readonly branchLabel: string | null;
  readonly isClosed: boolean;
  readonly gate: string;
  readonly here: readonly Token[];
  readonly waiting: readonly Waiting[];
}

export interface LadderView {
  readonly family: LadderId;
  readonly label: string;
  readonly sanskrit: string;
  readonly rungs: readonly RungView[];
  readonly unplaced: readonly Token[];
}

export interface Bottleneck {
  readonly label: string;
  readonly check: CheckKey;
  readonly base: GateRow['base'];
  /** For how many people it keeps some next rung closed. */
  readonly people: readonly Token[];
  readonly rungs: number;
}

export interface LaddersView extends Omit<Group, 'standings' | 'people'> {
  readonly count: number;
  readonly ladders: readonly LadderView[];
  readonly bottlenecks: readonly Bottleneck[];
}

const tokenOf = ({ id, name }: PersonRow): Token => ({ id, name, initials: initialsOf(name) });

/** What a waiting person may be told apart by, without a word about health. */
function forWhat(next: NonNullable<Standing['next']>): string {
  if (next.kind === 'stop') {
    return next.alternative === null ? 'not tonight' : alternativeTable[next.alternative].label;
  }
  const [first] = next.obstacles;
  if (first !== undefined) return `${first.label}: ${first.figures}`;
  return next.atDoor.length > 0 ? `if confirmed: ${next.atDoor.join(', ')}` : 'open';
}

export function readLadders(courseId?: number | null): LaddersView {
  const group = readGroup(database(), courseId);
  const { people, standings, school, ...rest } = group;
  const here = new Map<StageKey, Token[]>();
  const waiting = new Map<StageKey, Waiting[]>();
  const unplaced = new Map<LadderId, Token[]>();
  const bottlenecks = new Map<
    string,
    { row: GateRow; people: Map<number, Token>; rungs: number }
  >();
  const push = <Key, Value>(map: Map<Key, Value[]>, key: Key, value: Value) => {
    const list = map.get(key);
    if (list === undefined) map.set(key, [value]);
    else list.push(value);
  };
  for (const person of people) {
    const token = tokenOf(person);
    for (const { family, present, next } of standings.get(person.id)?.standings ?? []) {
      if (present === null) {
        push(unplaced, family, token);
        continue;
      }
      push(here, present, token);
      if (next === null) continue;
      push(waiting, next.stage, {
        ...token,
        kind: next.kind,
        forWhat: forWhat(next),
        obstacle: next.obstacles[0] ?? null,
      });
      for (const row of next.obstacles) {
        if (row.check === null) continue;
        const known = bottlenecks.get(row.key) ?? { row, people: new Map(), rungs: 0 };
        known.people.set(token.id, token);
        known.rungs += 1;
        bottlenecks.set(row.key, known);
      }
    }
  }
  const branches: Readonly<Record<string, { label: string }>> = school.catalog.branches;
  return {
    ...rest,
    school,
    count: people.length,
    ladders: ladderIds.map((family) => ({
      family,
      label: ladderTable[family].label,
      sanskrit: ladderTable[family].sanskrit,
      unplaced: unplaced.get(family) ?? [],
      rungs: school.ladders[family].map((stage): RungView => {
        const { spec, gate, ways } = getStageIn(school, stage);
        return {
          stage,
          label: spec.label,
          isAside: spec.isAside === true,
          branchLabel: spec.branch === undefined ? null : (branches[spec.branch]?.label ?? null),
          isClosed: ways.length === 0,
          gate: gate.map((demand) => describeDemand(demand, school.catalog)).join(' · '),
          here: here.get(stage) ?? [],
          waiting: waiting.get(stage) ?? [],
        };
      }),
    })),
    bottlenecks: [...bottlenecks.values()]
      .map(({ row, people: who, rungs }) => ({
        label: row.base === null ? row.label : `${row.label} (${row.base})`,
        check: row.check!,
        base: row.base,
        people: [...who.values()],
        rungs,
      }))
      .sort((a, b) => b.people.length - a.people.length || b.rungs - a.rungs),
  };
}

export interface PeopleRow {
  readonly id: number;
  readonly name: string;
  readonly courses: readonly string[];
  readonly heightM: number;
  readonly lastSeen: Day | null;
  readonly daysAway: number | null;
  readonly isScreeningDue: boolean;
  readonly isArchived: boolean;
  readonly consent: PersonRow['consent'];
  readonly rungs: readonly {
    readonly family: LadderId;
    readonly present: string;
    readonly kind: VerdictKind | null;
    readonly isElsewhere: boolean;
  }[];
}

export interface PeopleView {
  readonly rows: readonly PeopleRow[];
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly settings: Settings;
}

/** Everyone, also those put away; each judged by the profile of their own course. */
export function readPeople(): PeopleView {
  const db = database();
  const day = today();
  const courses = listCourses(db);
  const people = listPeople(db, true);
  const lastSeen = listLastSeen(db);
  const courseOf = new Map<number, CourseRow[]>();
  for (const { courseId, personId } of listEnrolments(db)) {
    const course = courses.find(({ id }) => id === courseId);
    if (course) courseOf.set(personId, [...(courseOf.get(personId) ?? []), course]);
  }
  const contexts = new Map(
    [...courses, null].map((course) => [
      course?.id ?? 0,
      {
        school: readSchool(db, course?.profile ?? 'prop-led'),
        day,
        pieces: course === null ? [] : listPieces(db, course.id),
      },
    ]),
  );
  const standings = readStandings(
    db,
    people.filter(({ archivedOn }) => archivedOn === null),
    ({ id }) => contexts.get(courseOf.get(id)?.[0]!.id ?? 0)!,
  );
  return {
    courses: courses.map(({ id, name }) => ({ id, name })),
    settings: getSettings(db),
    rows: people.map((person) => {
      const seen = lastSeen.get(person.id) ?? null;
      return {
        id: person.id,
        name: person.name,
        courses: (courseOf.get(person.id) ?? []).map(({ name }) => name),
        heightM: person.body.heightM,
        lastSeen: seen,
        daysAway: seen === null ? null : daysBetween(seen, day),
        isScreeningDue: isScreeningDue(person.screenedOn, day),
        isArchived: person.archivedOn !== null,
        consent: person.consent,
        rungs: (standings.get(person.id)?.standings ?? []).flatMap(
          ({ family, presentLabel, next }) =>
            presentLabel === null
              ? []
              : [
                  {
                    family,
                    present: presentLabel,
                    kind: next?.kind ?? null,
                    isElsewhere: (next?.alternative ?? null) !== null,
                  },
                ],
        ),
      };
    }),
  };
}

export interface ChecksView extends Omit<Group, 'standings' | 'people'> {
  readonly minutes: number;
  readonly minutesUsed: number;
  readonly slots: readonly (Omit<CheckSlot, 'people'> & {
    readonly row: GateRow | null;
    readonly people: readonly (Token & { readonly why: string })[];
  })[];
  /** Checks of the day that open something if confirmed, by person. */
  readonly door: readonly (Token & { readonly labels: readonly string[] })[];
}

/** The ranked short list for a group and the minutes there are. */
export function readChecks(minutes: number, courseId?: number | null): ChecksView {
  const group = readGroup(database(), courseId, true);
  const { people, standings, ...rest } = group;
  const tokens = new Map(people.map((person) => [person.id, tokenOf(person)]));
  const { slots, minutesUsed } = planChecks(
    group.school,
    people.map(({ id }) => ({ id, ranked: standings.get(id)?.worth ?? [] })),
    minutes,
  );
  return {
    ...rest,
    minutes,
    minutesUsed,
    slots: slots.map((slot) => ({
      ...slot,
      row: findRow(slot, group),
      people: slot.people.map(({ id, why }) => ({ ...tokens.get(id)!, why })),
    })),
    door: people.flatMap((person) => {
      const labels = new Set(
        (standings.get(person.id)?.standings ?? []).flatMap(({ present, next }) =>
          present === null ? [] : (next?.atDoor ?? []),
        ),
      );
      return labels.size === 0 ? [] : [{ ...tokenOf(person), labels: [...labels] }];
    }),
  };
}

/** The gate line of a check, for the form that records it. */
function findRow(slot: CheckSlot, { standings }: Group): GateRow | null {
  for (const { id } of slot.people) {
    for (const { next } of standings.get(id)?.standings ?? []) {
      const row = next?.obstacles.find(
        ({ check, base }) => check === slot.check && (base ?? undefined) === slot.base,
      );
      if (row !== undefined) return row;
    }
  }
  return null;
}
