/** A class to come as the Plan screen, the print and Tonight read it. */
import { composeOutput, type PlanFile } from '@/core/files/planFile';
import { wishesFile, type ClassFile, type WishesFile } from '@/core/files/classFile';
import { toWishes } from '@/core/files/toWishes';
import type { PreparedClass } from '@/core/compose/prepared';
import { listGained } from '@/core/compose/gained';
import { listOutdated } from '@/core/compose/outdated';
import type { BodyInput } from '@/core/body/body';
import type { ProfileId, ProfileSettings } from '@/core/catalog/profiles';
import { getStageIn, type School } from '@/core/catalog/school';
import { isShippedCheck } from '@/core/catalog/checks';
import type { LadderId } from '@/core/catalog/stage';
import { stageIds } from '@/core/catalog/stages';
import type { OpenedCase } from '@/core/ladder/case';
import { measuredRanges } from '@/core/readiness/ranges';
import type { KeptDistance } from '@/core/setups/kept';
import type { Ranges } from '@/core/setups/setup';
import type { Day } from '@/core/units/day';
import {
  findCourse,
  getSettings,
  listCourses,
  listMeetings,
  type CourseRow,
  type Settings,
} from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import type { Db } from '@/db/open';
import { listCoursePeople, type PersonRow } from '@/db/people';
import { findPlan } from '@/db/plans';
import { readCases } from './cases';
import { composeOnce, prepareOnce } from './once';
import { today } from '../clock';
import { database } from '../database';
import { findRoom } from './rooms';
import { listProfileChoices, readSchool, type ProfileChoice } from './schools';
import { findComing, findNextCourse, type ComingMeeting } from './views';

const memberId = ({ id }: PersonRow) => String(id);

/** Somebody of the class as a drawing and a list need them: nothing of their health. */
export interface ClassMember {
  readonly id: string;
  readonly name: string;
  readonly body: BodyInput;
  /** Their own figures, for the drawings; absent in classes kept before there were any. */
  readonly kept?: readonly KeptDistance[];
  readonly ranges?: Ranges;
}

const memberOf = new WeakMap<OpenedCase, ClassMember>();

/** What the drawings of a class need of somebody; the same object for the same case. */
export function toMember(person: PersonRow, opened: OpenedCase): ClassMember {
  const known = memberOf.get(opened);
  if (known !== undefined) return known;
  const { evidence, school, asOf } = opened;
  const member = {
    id: memberId(person),
    name: person.name,
    body: person.body,
    kept: person.kept,
    ranges: measuredRanges(evidence, school, asOf),
  };
  memberOf.set(opened, member);
  return member;
}

export interface ClassView {
  readonly course: Pick<CourseRow, 'id' | 'name'>;
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly meeting: ComingMeeting;
  readonly wishes: WishesFile;
  readonly prepared: PreparedClass;
  readonly members: readonly ClassMember[];
  /** The plan that was kept for this evening. */
  readonly kept: PlanFile | null;
  /** What changed since it was kept, in words; nothing: it stands. */
  readonly outdated: readonly string[];
  /** What has come since that it could not know of, in words: it stands, and may be bettered. */
  readonly gained: readonly string[];
  readonly revision: number;
  readonly school: {
    readonly origin: ProfileId;
    readonly settings: ProfileSettings;
    readonly label: string;
  };
  readonly profile: string;
  readonly profiles: readonly ProfileChoice[];
  readonly settings: Settings;
  readonly isRoomGuessed: boolean;
  readonly today: Day;
}

/** What is usual for an evening before the teacher says otherwise. */
export function usualWishes(
  school: School,
  meeting: Pick<ComingMeeting, 'minutes' | 'stage'>,
  family: LadderId | null,
): WishesFile {
  return wishesFile.parse({
    minutes: meeting.minutes,
    families: [family ?? getStageIn(school, meeting.stage).spec.family],
  });
}

interface Evening {
  readonly course: CourseRow;
  readonly school: School;
  readonly meeting: ComingMeeting;
  readonly family: LadderId | null;
}

export function findEvening(db: Db, courseId: number | null, day: Day): Evening | null {
  const course = courseId === null ? findNextCourse(db, day) : findCourse(db, courseId);
  if (course === null) return null;
  const school = readSchool(db, course.profile);
  const meeting = findComing(db, course, school, day);
  const family =
    listMeetings(db, course.id).find(({ date }) => date === meeting.date)?.family ?? null;
  return { course, school, meeting, family };
}

/** The course's own school, or another one for this evening alone. */
export const schoolFor = (db: Db, course: CourseRow, { profile }: WishesFile): School =>
  readSchool(db, profile ?? course.profile);

interface CourseAsked {
  readonly course: CourseRow;
  readonly school: School;
  readonly day: Day;
  /** Absent: everybody who is enrolled. */
  readonly people?: readonly PersonRow[];
}

/** Everybody of a course judged for an evening and counted: the slow half of composing. */
export function prepareCourse(
  db: Db,
  { course, school, day, people = listCoursePeople(db, course.id) }: CourseAsked,
  wishes: WishesFile,
): PreparedClass {
  const pieces = listPieces(db, course.id);
  const cases = readCases(db, people, () => ({ school, day, pieces }));
  const { breathSeconds, units } = getSettings(db);
  return prepareOnce({
    ...toWishes(wishes),
    families: wishes.families,
    room: findRoom(db, course.id).room,
    pieces,
    school,
    breathSeconds,
    units,
    people: people.map((person) => ({
      id: memberId(person),
      body: person.body,
      kept: person.kept,
      opened: cases.get(person.id)!,
    })),
  });
}

/** Wishes and plan of an evening as they were kept; what no longer fits the format is left aside. */
export function readKept(db: Db, courseId: number, day: Day) {
  const row = findPlan(db, courseId, day);
  const wishes = wishesFile.safeParse(row?.wishes);
  const plan = composeOutput.safeParse(row?.plan);
  return {
    wishes: wishes.success ? wishes.data : null,
    plan: plan.success ? plan.data : null,
    revision: row?.revision ?? 0,
  };
}

/** The coming class of a course with everything the Plan screen needs; `null` without a course. */
export function readClass(courseId: number | null): ClassView | null {
  const db = database();
  const day = today();
  const evening = findEvening(db, courseId, day);
  if (evening === null) return null;
  const { course, meeting, family } = evening;
  const kept = readKept(db, course.id, meeting.date);
  const wishes = kept.wishes ?? usualWishes(evening.school, meeting, family);
  const school = schoolFor(db, course, wishes);
  const people = listCoursePeople(db, course.id);
  const pieces = listPieces(db, course.id);
  const cases = readCases(db, people, () => ({ school, day, pieces }));
  const prepared = prepareCourse(db, { course, school, day, people }, wishes);
  const members = people.map((person) => toMember(person, cases.get(person.id)!));
  const outdated = kept.plan === null ? [] : whyOutdated(kept.plan, prepared, members);
  return {
    course: { id: course.id, name: course.name },
    courses: listCourses(db).map(({ id, name }) => ({ id, name })),
    meeting,
    wishes,
    prepared,
    members,
    kept: kept.plan,
    outdated,
    gained:
      kept.plan === null || outdated.length > 0
        ? []
        : listGained(kept.plan, prepared, calledBy(members)),
    revision: kept.revision,
    school: {
      origin: school.profile.origin,
      settings: school.settings,
      label: school.profile.label,
    },
    profile: wishes.profile ?? course.profile,
    profiles: listProfileChoices(db),
    settings: getSettings(db),
    isRoomGuessed: findRoom(db, course.id).isGuessed,
    today: day,
  };
}

const calledBy =
  (members: readonly Pick<ClassMember, 'id' | 'name'>[]) =>
  (id: string): string =>
    members.find((one) => one.id === id)?.name ?? 'somebody';

/** What has changed since a plan was kept, in words for the teacher; none: it stands. */
const whyOutdated = (
  kept: PlanFile,
  prepared: PreparedClass,
  members: readonly Pick<ClassMember, 'id' | 'name'>[],
): string[] => listOutdated(kept, prepared, calledBy(members));

/** The plan of an evening, where it is kept and nothing that it rests on has changed. */
export const findKeptPlan = ({
  kept,
  prepared,
}: Pick<ClassView, 'kept' | 'prepared'>): PlanFile | null =>
  kept !== null && whyOutdated(kept, prepared, []).length === 0 ? kept : null;

/**
 * The plan that stands for an evening: the kept one where everybody in it is still there, else the
 * quick one, worked out on the spot.
 */
export function findStandingPlan(view: Pick<ClassView, 'kept' | 'prepared' | 'wishes'>): PlanFile {
  const kept = findKeptPlan(view);
  if (kept !== null) return kept;
  const wishes = toWishes(view.wishes);
  return composeOnce(view.prepared, wishes);
}

const isShippedStage = (stage: string | undefined) => stageIds.some((id) => id === stage);

/** The class as a file that any copy of the program can compose; it holds health notes. */
export function exportClass(courseId: number): ClassFile | null {
  const db = database();
  const day = today();
  const evening = findEvening(db, courseId, day);
  if (evening === null) return null;
  const { course, meeting, family } = evening;
  const kept = readKept(db, course.id, meeting.date);
  const { profile: other, ...wishes } = kept.wishes ?? usualWishes(evening.school, meeting, family);
  const school = readSchool(db, other ?? course.profile);
  const people = listCoursePeople(db, course.id);
  const pieces = listPieces(db, course.id);
  const cases = readCases(db, people, () => ({ school, day, pieces }));
  const { profile } = school;
  return {
    format: 'levitar-class',
    version: 1,
    asOf: day,
    profile:
      profile.key === profile.origin
        ? profile.origin
        : { origin: profile.origin, changes: profile.changes },
    ...wishes,
    room: findRoom(db, course.id).room,
    pieces,
    people: people.map((person) => {
      const opened = cases.get(person.id)!;
      return {
        id: memberId(person),
        body: person.body,
        consent: person.consent,
        // Stages and checks of a teacher's own are not in the file: nobody else would know them.
        present: Object.fromEntries(
          Object.entries(opened.present).filter(([, stage]) => isShippedStage(stage)),
        ),
        placings: Object.fromEntries(
          Object.entries(opened.placings ?? {}).filter(([, { stage }]) => isShippedStage(stage)),
        ) as ClassFile['people'][number]['placings'],
        equipment: [...opened.equipment],
        cautions: [...opened.care.reports],
        otherWords: [...opened.care.otherWords],
        clearances: person.clearances.map(({ id: _, ...note }) => note),
        signs: person.signs.map(({ sign, date }) => ({ sign, date })),
        pains: person.pains,
        ...(opened.care.painClearedOn ? { painClearedOn: opened.care.painClearedOn } : {}),
        // Never asked stays never asked, in whatever programme the file is opened.
        ...(opened.care.isNeverScreened ? { screenedOn: null } : {}),
        records: Object.entries(opened.evidence)
          .filter(([check]) => isShippedCheck(check))
          .flatMap(([check, records]) => (records ?? []).map((record) => ({ check, ...record }))),
      };
    }),
  } as ClassFile;
}
