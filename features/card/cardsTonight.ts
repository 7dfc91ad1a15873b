/** Everybody's full cards: of what the kept plan gives them, else of the evening's rung. */
import type { School } from '@/core/catalog/school';
import type { PlannedOption } from '@/core/compose/option';
import type { PreparedClass } from '@/core/compose/prepared';
import { findOption } from '@/core/compose/readBack';
import type { PlanFile } from '@/core/files/planFile';
import { solveStage } from '@/core/setups/solveStage';
import type { Day } from '@/core/units/day';
import { joinWords } from '@/core/units/words';
import { piecesFor } from '@/features/evening/marks';
import { database } from '@/server/database';
import { findKeptPlan, readClass } from '@/server/judging/classViews';
import { judgePerson, type Judgement } from '@/server/judging/judgement';
import { readSchool } from '@/server/judging/schools';
import { readCase } from '@/server/judging/cases';
import { readCourse, type CourseView } from '@/server/judging/views';
import { stageOf } from './StageDrawing';

export interface TonightCard {
  readonly judgement: Judgement;
  /** Letter and rounds; absent: no plan is kept, and this is the rung. */
  readonly tonight?: string;
}

export interface CardsView {
  readonly course: CourseView;
  readonly cards: readonly TonightCard[];
  readonly hasPlan: boolean;
  /** Who has nothing to set up tonight: away, or at rest. */
  readonly without: readonly string[];
}

/** What an evening judges by. */
interface Evening {
  readonly school: School;
  readonly prepared: PreparedClass;
  readonly day: Day;
}

type Placed = PlanFile['rounds'][number]['people'][number];

/** What somebody does at one place, with the rounds of it. */
function listTurns(plan: PlanFile, id: string) {
  const turns = new Map<string, { readonly placed: Placed; readonly rounds: number[] }>();
  for (const { round, people } of plan.rounds) {
    const placed = people.find((one) => one.id === id);
    if (placed === undefined) continue;
    const key = `${placed.option} ${placed.letter}`;
    const known = turns.get(key);
    if (known === undefined) turns.set(key, { placed, rounds: [round] });
    else known.rounds.push(round);
  }
  return [...turns.values()];
}

/**
 * Somebody judged anew for what the plan gives them, by the school of that evening, with the way up
 * and the stand-in that the plan chose; `null` where nothing is set up.
 */
function asPlanned(
  { person, setupInput: usual, verdict: rung }: Judgement,
  option: PlannedOption,
  { school, day }: Evening,
): Judgement | null {
  const { stage = rung.stage, alternative } = option;
  if (option.stage === undefined && alternative === undefined) return null;
  const judgement = judgePerson(
    person,
    readCase(database(), person, { school, day, pieces: usual.pieces }),
    { stage, pieces: usual.pieces },
  );
  const { alternative: _, ...verdict } = judgement.verdict;
  if (alternative !== undefined) return { ...judgement, verdict: { ...verdict, alternative } };
  const setupInput = {
    ...judgement.setupInput,
    pieces: piecesFor(option, judgement.setupInput.pieces),
    ...(option.wayUp === undefined ? {} : { wayUp: option.wayUp }),
  };
  const setup = solveStage(setupInput, stageOf(judgement));
  return { ...judgement, verdict, setupInput, setup };
}

function cardsOf(plan: PlanFile, judgement: Judgement, evening: Evening): TonightCard[] {
  const id = String(judgement.person.id);
  return listTurns(plan, id).flatMap(({ placed, rounds }): TonightCard[] => {
    const option = findOption(evening.prepared, id, placed.option);
    const planned = option === undefined ? null : asPlanned(judgement, option, evening);
    if (planned === null) return [];
    const letter = placed.letter === null ? '' : `${placed.letter}, `;
    const which = `${rounds.length === 1 ? 'round' : 'rounds'} ${joinWords(rounds.map(String))}`;
    return [{ judgement: planned, tonight: `Tonight: ${letter}${which}` }];
  });
}

/** `null` before there is a course. */
export function readCards(): CardsView | null {
  const course = readCourse();
  if (course === null) return null;
  const evening = readClass(course.course.id);
  const plan = evening === null ? null : findKeptPlan(evening);
  if (evening === null || plan === null) {
    const cards = course.people.map((judgement) => ({ judgement }));
    return { course, cards, hasPlan: false, without: [] };
  }
  // The evening may be taught by another school than the course.
  const school = readSchool(database(), evening.profile);
  const each = course.people.map((judgement) => ({
    name: judgement.person.name,
    cards: cardsOf(plan, judgement, { school, prepared: evening.prepared, day: course.today }),
  }));
  return {
    course,
    cards: each.flatMap(({ cards }) => cards),
    hasPlan: true,
    without: each.filter(({ cards }) => cards.length === 0).map(({ name }) => name),
  };
}
