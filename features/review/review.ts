/** The evening looked through, one person after the other, and what comes of it. */
import { ladderTable, type StageKey } from '@/core/catalog/stage';
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
import { findStand } from '@/core/ladder/stand';
import { getStageIn } from '@/core/catalog/school';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { Day } from '@/core/units/day';
import { findCourse } from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import { findDecision } from '@/db/decisions';
import type { Db } from '@/db/open';
import { listPeopleById } from '@/db/people';
import { readCases } from '@/server/judging/cases';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { decide, undoDecision, whyKept } from '@/features/person/decisions';
import { bundleOf } from '@/server/running/floorBundle';
import { done, refuse, type Outcome } from '@/server/result';
import { sayTries } from './triesInWords';
import { aPerson, change, numberOf } from '@/server/useCase';
import { readSchool } from '@/server/judging/schools';

export interface ReviewPerson {
  readonly id: number;
  readonly name: string;
  readonly came: boolean;
  /** What was seen, in words, in the order it was seen. */
  readonly seen: readonly string[];
  readonly upsideSeconds: number;
  readonly next: {
    readonly stage: StageKey;
    readonly label: string;
    readonly kind: VerdictKind;
    readonly reasons: readonly string[];
  } | null;
  /** What the evening's other ladders suggest: decided on the person's own page. */
  readonly besides: readonly {
    readonly ladder: string;
    readonly label: string;
    readonly kind: VerdictKind;
  }[];
  readonly note: string;
  readonly isDone: boolean;
  readonly decided: VerdictKind | null;
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
  kind: VerdictKind | undefined,
  isUnsettled: boolean,
): string | null {
  if (!came) return null;
  if (stops > 0) return 'was stopped';
  if (isUnsettled) return 'a time waits for your word';
  if (kind === 'stop') return 'closed';
  return kind === 'step-back' ? 'a step back' : null;
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
  const [family, ...others] = bundle.plan.families;
  const { units } = getSettings(db);
  return {
    uid,
    course: course.name,
    day: row.day,
    hasEnded: row.endedMs !== null,
    unsettled: state.holds.filter(needsWord).length,
    people: people.map((person): ReviewPerson => {
      const opened = cases.get(person.id)!;
      const stand = findStand(family!, opened);
      const review = reviews.find(({ personId }) => personId === person.id);
      const decision =
        review?.decisionId === null || review === undefined
          ? null
          : findDecision(db, review.decisionId);
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
        // Looked through: what was suggested then, not what is next for whoever has moved since.
        next:
          decision !== null
            ? {
                stage: decision.stage,
                label: school.stages.get(decision.stage)?.spec.label ?? decision.stage,
                kind: decision.suggested,
                reasons: decision.grounds.reasons,
              }
            : stand.next === null
              ? null
              : {
                  stage: stand.next.stage,
                  label: getStageIn(school, stand.next.stage).spec.label,
                  kind: stand.next.kind,
                  reasons: stand.next.reasons,
                },
        besides: others.flatMap((other) => {
          const { present, next } = findStand(other, opened);
          if (present === null || next === null) return [];
          const { label } = getStageIn(school, next.stage).spec;
          return [{ ladder: ladderTable[other].label, label, kind: next.kind }];
        }),
        note: notes.find(({ personId }) => personId === person.id)?.note ?? '',
        isDone: review !== undefined,
        decided: decision?.decided ?? null,
        exception: exceptionOf(
          came,
          stops.length,
          stand.next?.kind,
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
  /** Absent: nothing to decide. */
  decision: z
    .strictObject({
      stage: stageKey,
      decided: z.enum(verdictKinds, 'Choose what you decide.'),
      reason: z.string().overwrite(wordsOf).max(300, 'At most 300 signs.'),
    })
    .nullable(),
});

export type ReviewForm = z.input<typeof reviewForm>;

/** Keeps the line about somebody's evening and what was decided; all or nothing. */
export const keepReview = change(
  [aClass, aPerson, reviewForm],
  ({ db: tx, today }, uid, { id: who }, { note, decision }): Outcome => {
    const row = findFloorClass(tx, uid);
    if (row === null || !bundleOf(row).members.some(({ id }) => id === String(who))) {
      return refuse({ form: 'This person is not in this class any more.' });
    }
    const before = listReviews(tx, row.id).find(({ personId }) => personId === who);
    let decisionId = before?.decisionId ?? null;
    if (decision !== null) {
      const outcome = decide(who, { ...decision, corrects: decisionId });
      if (!outcome.ok) return outcome;
      decisionId = outcome.value;
    }
    const meeting = listMeetings(tx, row.courseId).find(({ date }) => date === row.day);
    if (meeting !== undefined) saveAttendance(tx, meeting.id, who, { note });
    else if (note !== '') {
      return refuse({ note: 'End the class first: the line belongs to its evening.' });
    }
    saveReview(tx, { classId: row.id, personId: who, doneOn: today, decisionId });
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
      .array(z.strictObject({ id: numberOf(aPerson.gone), kind: z.enum(verdictKinds).nullable() }))
      .min(1)
      .max(200),
  ],
  (_, uid, asked): Outcome => {
    const view = readReview(uid);
    if (view === null) return refuse({ form: goneClass });
    const found = asked.map(({ id, kind }) => {
      const person = view.people.find((one) => one.id === id);
      const isAsShown = person !== undefined && (person.next?.kind ?? null) === kind;
      return isAsShown && !person.isDone && person.exception === null ? person : null;
    });
    if (found.some((person) => person === null)) {
      return refuse({ form: 'Something has changed since this was shown: look again, please.' });
    }
    for (const person of found) {
      const { id, note, next, came } = person!;
      const decision =
        next === null || !came ? null : { stage: next.stage, decided: next.kind, reason: '' };
      const outcome = keepReview(uid, id, { note, decision });
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
  const decisionId = listReviews(db, classId).find((one) => one.personId === personId)?.decisionId;
  const made = typeof decisionId === 'number' ? findDecision(db, decisionId) : null;
  removeReview(db, classId, personId);
  if (made !== null && whyKept(db, made, today) === null) undoDecision(personId, made.id);
}
