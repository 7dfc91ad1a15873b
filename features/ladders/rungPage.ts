import { sayAt } from '@/core/ladder/eyeWords';
import { resolveBody, type Body } from '@/core/body/body';
import { describeDemand } from '@/core/catalog/profileChanges';
import type { School, StageInSchool } from '@/core/catalog/school';
import type { StageKey } from '@/core/catalog/stage';
import { judge, type Verdict } from '@/core/ladder/verdict';
import { toSetupInput } from '@/core/ladder/sized';
import { keptDistances } from '@/core/setups/registry';
import type { SetupInput, SetupResult } from '@/core/setups/setup';
import { solveStage } from '@/core/setups/solveStage';
import { getSettings, listCourses, type Settings } from '@/db/courses';
import { listPieces } from '@/db/cupboards';
import type { OpenedCase } from '@/core/ladder/case';
import { findPerson, listPeople, type PersonRow } from '@/db/people';
import { toGateRow } from '@/server/judging/gateRows';
import type { AtGate } from './Beside';
import { readCase } from '@/server/judging/cases';
import { today } from '@/server/clock';
import { database } from '@/server/database';
import { readLadders, type Waiting } from './read';
import { readSchool } from '@/server/judging/schools';
import { findCourseOf, findNextCourse } from '@/server/judging/views';

export interface RungPageView {
  readonly school: School;
  readonly stage: StageInSchool;
  readonly gate: readonly string[];
  /** What is said in it: the profile's cue and its words for the eye. */
  readonly say: readonly string[];
  readonly before: readonly { readonly stage: StageKey; readonly label: string }[];
  readonly after: readonly { readonly stage: StageKey; readonly label: string }[];
  readonly person: { readonly id: number; readonly name: string } | null;
  readonly body: Body;
  readonly verdict: Verdict | null;
  /** Whoever it is drawn for at its gate, and somebody else beside them. */
  readonly one: AtGate | null;
  readonly other: AtGate | null;
  /** What the rung's set-up is worked out from. */
  readonly setupInput: SetupInput;
  readonly recipe: SetupResult | null;
  readonly people: readonly { readonly id: number; readonly name: string }[];
  readonly waiting: readonly Waiting[];
  readonly here: readonly { readonly id: number; readonly name: string }[];
  readonly settings: Settings;
}

/** A body of usual proportions, for a rung opened before there is anybody. */
const usualHeightM = 1.7;

function toAtGate(
  key: StageKey,
  { id, name }: Pick<PersonRow, 'id' | 'name'>,
  opened: OpenedCase,
): AtGate {
  const { kind, cause, items } = judge(key, opened);
  return {
    id,
    name,
    kind,
    isClosed: cause !== undefined,
    rows: items.map((item) => toGateRow(item, opened.school)),
  };
}

/** All of a rung's content, drawn at somebody's size; `null` when there is no such stage. */
export function readRungPage(
  key: StageKey,
  personId: number | null,
  besideId: number | null = null,
): RungPageView | null {
  const db = database();
  const day = today();
  const people = listPeople(db);
  const asked = personId === null ? null : findPerson(db, personId);
  const person = asked ?? people[0] ?? null;
  const course = person === null ? findNextCourse(db, day) : findCourseOf(db, person.id, day);
  const school = readSchool(db, course?.profile ?? listCourses(db)[0]?.profile ?? 'prop-led');
  const stage = school.stages.get(key);
  if (stage === undefined) return null;
  const body = resolveBody(person?.body ?? { heightM: usualHeightM });
  const pieces = course === null ? [] : listPieces(db, course.id);
  const opened = person === null ? null : readCase(db, person, { school, day, pieces });
  const setupInput = toSetupInput(
    { school, evidence: opened?.evidence ?? {}, asOf: day },
    { body, kept: keptDistances(person?.kept ?? []) },
    pieces,
  );
  const named = (one: StageKey) => ({
    stage: one,
    label: school.stages.get(one)?.spec.label ?? one,
  });
  // Both by the same profile, the one's own: it is the same gate.
  const beside = besideId === null || besideId === person?.id ? null : findPerson(db, besideId);
  const group = readLadders(course?.id);
  const rung = group.ladders
    .find(({ family }) => family === stage.spec.family)
    ?.rungs.find((one) => one.stage === key);
  return {
    school,
    stage,
    gate: stage.gate.map((demand) => describeDemand(demand, school.catalog)),
    say: sayAt(school, key, person?.body.forearmHands),
    before: stage.spec.after.map(named),
    after: school.ladders[stage.spec.family]
      .filter((one) => school.stages.get(one)?.spec.after.includes(key))
      .map(named),
    person: person === null ? null : { id: person.id, name: person.name },
    body,
    verdict: opened === null ? null : judge(key, opened),
    one: person === null || opened === null ? null : toAtGate(key, person, opened),
    other:
      beside === null ? null : toAtGate(key, beside, readCase(db, beside, { school, day, pieces })),
    setupInput,
    recipe: solveStage(setupInput, stage.spec),
    people: people.map(({ id, name }) => ({ id, name })),
    waiting: rung?.waiting ?? [],
    here: rung?.here ?? [],
    settings: getSettings(db),
  };
}
