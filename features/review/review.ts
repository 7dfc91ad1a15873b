/** The evening looked through, one person after the other, and what comes of it. */
import { isDeepStrictEqual } from 'node:util';
import { ladderIds, ladderTable, type LadderId, type StageKey } from '@/core/catalog/stage';
import { stageKey } from '@/core/catalog/keys';
import { z } from 'zod';
import { wordsOf } from '@/core/units/text';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import { getSettings, listMeetings, saveAttendance, listAttendance } from '@/db/courses';
import {
  findFloorClass,
  listAttempts,
  listClassRecords,
  listReviews,
  listTaps,
  listUpsideTime,
  removeReview,
  saveReview,
} from '@/db/floor';
import { awayFrom } from '@/core/running/follow';
import { needsWord, replay, type Halt } from '@/core/running/replay';
import { faultTable, type FaultId } from '@/core/catalog/checks';
import { sayValue } from '@/core/catalog/sayCheck';
import type { OpenedCase } from '@/core/ladder/case';
import { findStand } from '@/core/ladder/stand';
import { getStageIn } from '@/core/catalog/school';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { Day } from '@/core/units/day';
import { findCourse } from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import { findDecision, type DecisionRow } from '@/db/decisions';
import type { Db } from '@/db/open';
import { listPeopleById } from '@/db/people';
import { readCase, readCases } from '@/server/judging/cases';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { keepDecision, undoDecision, whyKept } from '@/features/person/decisions';
import { bundleOf } from '@/server/running/floorBundle';
import { done, refuse, type Outcome, type Problems } from '@/server/result';
import { shownOf } from './shown';
import { sayTries } from './triesInWords';
import { aPerson, change, numberOf } from '@/server/useCase';
import { readSchool } from '@/server/judging/schools';

/** What the evening suggests on one ladder, and what was decided; looked through: what it suggested then. */
export interface Suggested {
  readonly family: LadderId;
  readonly ladder: string;
  readonly stage: StageKey;
  readonly label: string;
  readonly kind: VerdictKind;
  readonly reasons: readonly string[];
  readonly decided: VerdictKind | null;
}

export interface ReviewPerson {
  readonly id: number;
  readonly name: string;
  readonly came: boolean;
  /** What was seen, in words, in the order it was seen. */
  readonly seen: readonly string[];
  readonly upsideSeconds: number;
  /** One for each ladder of the evening that they go on on, the evening's first ladder first. */
  readonly suggested: readonly Suggested[];
  readonly note: string;
  readonly isDone: boolean;
  /** Wants looking at by itself, and why, in words; none: it goes with the rest. */
  readonly exception: string | null;
}

export interface ReviewView {
  readonly uid: string;
  readonly course: string;
  readonly day: Day;
  readonly hasEnded: boolean;
  readonly people: readonly ReviewPerson[];
  /** Times that the clocks disagree about and nobody has settled. */
  readonly unsettled: number;
}

/** What of an evening is not waved through with the others. */
function exceptionOf(
  came: boolean,
  stops: number,
  kinds: readonly VerdictKind[],
  isUnsettled: boolean,
): string | null {
  if (!came) return null;
  if (stops > 0) return 'was stopped';
  if (isUnsettled) return 'a time waits for your word';
  if (kinds.includes('stop')) return 'closed';
  return kinds.includes('step-back') ? 'a step back' : null;
}

/**
 * What the ladders of an evening suggest to somebody: the first to everybody, the others to whoever
 * stands on them. What was decided stands as it was, not what is next for whoever has moved since.
 */
function listSuggested(
  families: readonly LadderId[],
  opened: OpenedCase,
  decisions: readonly DecisionRow[],
): Suggested[] {
  const { stages } = opened.school;
  return families.flatMap((family, index): Suggested[] => {
    const ladder = ladderTable[family].label;
    const made = decisions.find((one) => one.family === family);
    if (made !== undefined) {
      const { stage, suggested: kind, decided, grounds } = made;
      const label = stages.get(stage)?.spec.label ?? stage;
      return [{ family, ladder, stage, label, kind, reasons: grounds.reasons, decided }];
    }
    const { present, next } = findStand(family, opened);
    if (next === null || (index > 0 && present === null)) return [];
    const { stage, kind, reasons } = next;
    const { label } = getStageIn(opened.school, stage).spec;
    return [{ family, ladder, stage, label, kind, reasons, decided: null }];
  });
}

/** The same line several times is one line that says how often. */
function countSame(lines: readonly string[]): string[] {
  return [...new Set(lines)].map((line) => {
    const times = lines.filter((one) => one === line).length;
    return times === 1 ? line : `${line}, noted ${times} times`;
  });
}

/** A stop and the word that follows it within the minute are one stop. */
const isFirstWord = (halt: Halt, halts: readonly Halt[]) =>
  !halts.some(
    (one) =>
      one.person === halt.person &&
      one.id !== halt.id &&
      one.atMs < halt.atMs &&
      halt.atMs - one.atMs < 60_000,
  );

/** @returns `null` when there is no such class */
export function readReview(uid: string): ReviewView | null {
  const db = database();
  const row = findFloorClass(db, uid);
  const course = row === null ? null : findCourse(db, row.courseId);
  if (row === null || course === null) return null;
  const bundle = bundleOf(row);
  const state = replay(listTaps(db, row.id).map(({ tap }) => tap));
  const away = awayFrom(state, bundle.plan);
  const ids = bundle.members.map(({ id }) => Number(id));
  const people = listPeopleById(db, ids);
  const school = readSchool(db, course.profile);
  const pieces = listPieces(db, course.id);
  const cases = readCases(db, people, () => ({ school, day: today(), pieces }));
  const records = listClassRecords(db, row.id);
  const tries = listAttempts(db, ids).filter(({ classId }) => classId === row.id);
  const upside = listUpsideTime(db, ids).filter(({ classId }) => classId === row.id);
  const reviews = listReviews(db, row.id);
  const meeting = listMeetings(db, course.id).find(({ date }) => date === row.day);
  const notes = meeting === undefined ? [] : listAttendance(db, [meeting.id]);
  const { units } = getSettings(db);
  return {
    uid,
    course: course.name,
    day: row.day,
    hasEnded: row.endedMs !== null,
    unsettled: state.holds.filter(needsWord).length,
    people: people.map((person): ReviewPerson => {
      const opened = cases.get(person.id)!;
      const review = reviews.find(({ personId }) => personId === person.id);
      const decisions = decisionsOf(review).flatMap((id) => findDecision(db, id) ?? []);
      const suggested = listSuggested(bundle.plan.families, opened, decisions);
      const own = tries.filter(({ personId }) => personId === person.id);
      const came = !away.has(String(person.id));
      const stops = state.halts.filter(
        (halt) => halt.person === String(person.id) && isFirstWord(halt, state.halts),
      );
      return {
        id: person.id,
        name: person.name,
        came,
        seen: [
          ...countSame(
            records
              .filter(({ personId }) => personId === person.id)
              .flatMap(({ check, value, stoppedByTeacher, faults, side, base }) => {
                const spec = school.checks.get(check)?.spec;
                if (spec === undefined) return [];
                const where = [side, base === null ? null : `on the ${base}`].filter(Boolean);
                const label = [spec.label, ...where].join(', ');
                const words = faults.map((fault) => faultTable[fault as FaultId]?.label ?? fault);
                const told = words.length > 0 ? ` (${words.join(', ')})` : '';
                const isAtLeast = stoppedByTeacher && spec.scoring.kind === 'hold';
                const most = isAtLeast ? 'at least ' : '';
                return [`${label}: ${most}${sayValue(spec, value, units)}${told}`];
              }),
          ),
          ...sayTries(own),
          ...(stops.length === 0
            ? []
            : [stops.length === 1 ? 'stopped' : `stopped ${stops.length} times`]),
        ],
        upsideSeconds: upside.find(({ personId }) => personId === person.id)?.seconds ?? 0,
        suggested,
        note: notes.find(({ personId }) => personId === person.id)?.note ?? '',
        isDone: review !== undefined,
        exception: exceptionOf(
          came,
          stops.length,
          suggested.map(({ kind }) => kind),
          state.holds.some(
            (hold) =>
              needsWord(hold) && hold.people.some((one) => one.person === String(person.id)),
          ),
        ),
      };
    }),
  };
}

const goneClass = 'This class is no longer here.';
const aClass = z.string(goneClass).max(80, goneClass);

const reviewForm = z.strictObject({
  note: z.string().overwrite(wordsOf).max(200, 'At most 200 signs.'),
  /** At most one for each ladder; none: nothing to decide. */
  decisions: z
    .array(
      z.strictObject({
        stage: stageKey,
        decided: z.enum(verdictKinds, 'Choose what you decide.'),
        reason: z.string().overwrite(wordsOf).max(300, 'At most 300 signs.'),
      }),
    )
    .max(ladderIds.length),
});

const decisionsOf = (
  review: Pick<ReturnType<typeof listReviews>[number], 'decisionId' | 'besideIds'> | undefined,
): readonly number[] =>
  review === undefined
    ? []
    : [...(review.decisionId === null ? [] : [review.decisionId]), ...review.besideIds];

/** Problems of one decision, by its place in the form. */
const ofDecision = (index: number, problems: Problems): Problems =>
  Object.fromEntries(
    Object.entries(problems).map(([name, words]) => [`decisions.${index}.${name}`, words]),
  );

/**
 * Keeps the line about somebody's evening and what was decided on its ladders; all or nothing.
 */
export const keepReview = change(
  [aClass, aPerson, reviewForm],
  (given, uid, person, { note, decisions }): Outcome => {
    const { db: tx, today } = given;
    const { id: who } = person;
    const row = findFloorClass(tx, uid);
    const course = row === null ? null : findCourse(tx, row.courseId);
    if (
      row === null ||
      course === null ||
      !bundleOf(row).members.some(({ id }) => id === String(who))
    ) {
      return refuse({ form: 'This person is not in this class any more.' });
    }
    const [main] = bundleOf(row).plan.families;
    const review = listReviews(tx, row.id).find(({ personId }) => personId === who);
    const before = decisionsOf(review).flatMap((id) => findDecision(tx, id) ?? []);
    const stands = new Map(before.map(({ family, id }) => [family, id]));
    // By the school of the evening, as it was suggested, whatever else they are enrolled in.
    const school = readSchool(tx, course.profile);
    const pieces = listPieces(tx, course.id);
    for (const [index, decision] of decisions.entries()) {
      const opened = readCase(tx, person, { school, day: today, pieces });
      const family = school.stages.get(decision.stage)?.spec.family;
      const corrects = (family === undefined ? undefined : stands.get(family)) ?? null;
      const outcome = keepDecision(given, person, { school, opened }, { ...decision, corrects });
      if (!outcome.ok) return refuse(ofDecision(index, outcome.problems));
      if (family !== undefined) stands.set(family, outcome.value);
    }
    const meeting = listMeetings(tx, row.courseId).find(({ date }) => date === row.day);
    if (meeting !== undefined) saveAttendance(tx, meeting.id, who, { note });
    else if (note !== '') {
      return refuse({ note: 'End the class first: the line belongs to its evening.' });
    }
    saveReview(tx, {
      classId: row.id,
      personId: who,
      doneOn: today,
      decisionId: stands.get(main!) ?? null,
      besideIds: [...stands].flatMap(([family, id]) => (family === main ? [] : [id])),
    });
    return done(undefined);
  },
);

/**
 * Agrees with what is suggested to several people at once, as it was shown: where anybody's
 * suggestion is another one by now, nobody's is kept.
 */
export const agreeWithRest = change(
  [
    aClass,
    z
      .array(
        z.strictObject({
          id: numberOf(aPerson.gone),
          shown: z
            .array(z.strictObject({ stage: stageKey, kind: z.enum(verdictKinds) }))
            .max(ladderIds.length),
        }),
      )
      .min(1)
      .max(200),
  ],
  (_, uid, asked): Outcome => {
    const view = readReview(uid);
    if (view === null) return refuse({ form: goneClass });
    const found = asked.map(({ id, shown }) => {
      const person = view.people.find((one) => one.id === id);
      if (person === undefined || person.isDone || person.exception !== null) return null;
      return isDeepStrictEqual(shownOf(person), shown) ? person : null;
    });
    if (found.some((person) => person === null)) {
      return refuse({ form: 'Something has changed since this was shown: look again, please.' });
    }
    for (const person of found) {
      const { id, note, suggested, came } = person!;
      const decisions = came
        ? suggested.map(({ stage, kind }) => ({ stage, decided: kind, reason: '' }))
        : [];
      const outcome = keepReview(uid, id, { note, decisions });
      if (!outcome.ok) return outcome;
    }
    return done(undefined);
  },
);

/** Opens the reviews of several people again: the way back from agreeing with all of them. */
export const reopenReviews = change(
  [aClass, z.array(numberOf(aPerson.gone)).min(1).max(200)],
  ({ db, today }, uid, people): Outcome => {
    const row = findFloorClass(db, uid);
    if (row === null) return refuse({ form: goneClass });
    for (const id of people) takeBack(db, row.id, id, today);
    return done(undefined);
  },
);

/** Opens somebody's review again. */
export const reopenReview = change([aClass, aPerson], ({ db, today }, uid, person): Outcome => {
  const row = findFloorClass(db, uid);
  if (row === null) return refuse({ form: goneClass });
  takeBack(db, row.id, person.id, today);
  return done(undefined);
});

/**
 * A review is open again, and what was decided in it is not, as long as nothing came of it; what was
 * decided on an earlier day stays and is corrected by a later decision.
 */
function takeBack(db: Db, classId: number, personId: number, today: Day): void {
  const made = decisionsOf(listReviews(db, classId).find((one) => one.personId === personId));
  removeReview(db, classId, personId);
  for (const id of made) {
    const decision = findDecision(db, id);
    if (decision !== null && whyKept(db, decision, today) === null) undoDecision(personId, id);
  }
}
