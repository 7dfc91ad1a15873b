/** Everybody's full cards: of what the kept plan gives them, else of the evening's rung. */
import type { PlannedOption } from '@/core/compose/option';
import { findOption } from '@/core/compose/readBack';
import type { PlanFile } from '@/core/files/planFile';
import { solveStage } from '@/core/setups/solveStage';
import { joinWords } from '@/core/units/words';
import { piecesFor } from '@/features/evening/marks';
import { findKeptPlan, readClass, type ClassView } from '@/server/judging/classViews';
import type { Judgement } from '@/server/judging/judgement';
import { judgeFor, readCourse, type CourseView } from '@/server/judging/views';
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

/** The set-up with the way up and the stand-in that the plan chose. */
function asPlanned(judgement: Judgement, option: PlannedOption): Judgement {
  const setupInput = {
    ...judgement.setupInput,
    pieces: piecesFor(option, judgement.setupInput.pieces),
    ...(option.wayUp === undefined ? {} : { wayUp: option.wayUp }),
  };
  return { ...judgement, setupInput, setup: solveStage(setupInput, stageOf(judgement)) };
}

function cardsOf(
  course: CourseView,
  { prepared }: ClassView,
  plan: PlanFile,
  { person }: Judgement,
): TonightCard[] {
  return listTurns(plan, String(person.id)).flatMap(({ placed, rounds }): TonightCard[] => {
    const option = findOption(prepared, String(person.id), placed.option);
    if (option === undefined) return [];
    const letter = placed.letter === null ? '' : `${placed.letter}, `;
    const tonight = `Tonight: ${letter}${rounds.length === 1 ? 'round' : 'rounds'} ${joinWords(rounds.map(String))}`;
    const { stage, alternative } = option;
    if (alternative !== undefined) {
      return [{ judgement: judgeFor(course, person, { alternative }), tonight }];
    }
    return stage === undefined
      ? []
      : [{ judgement: asPlanned(judgeFor(course, person, { stage }), option), tonight }];
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
  const each = course.people.map((judgement) => ({
    name: judgement.person.name,
    cards: cardsOf(course, evening, plan, judgement),
  }));
  return {
    course,
    cards: each.flatMap(({ cards }) => cards),
    hasPlan: true,
    without: each.filter(({ cards }) => cards.length === 0).map(({ name }) => name),
  };
}
