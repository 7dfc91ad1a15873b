/** Where in its running order a class is. */
import { planOf } from '@/core/running/follow';
import type { FloorState } from '@/core/running/replay';
import type { PlanFile } from '@/core/files/planFile';

export interface PlaceInClass {
  readonly plan: PlanFile;
  readonly index: number;
  readonly item: PlanFile['timeline'][number] | undefined;
  readonly next: PlanFile['timeline'][number] | undefined;
  /** Counted from 1; `null` outside the rounds. */
  readonly round: number | null;
  /** Rounds up to here, this one included. */
  readonly rounds: number;
  /** The round whose set-ups count: this one, or the one to come. */
  readonly placedIn: number;
}

/** How many rounds the lines before and at this one are. */
export const countRounds = (plan: PlanFile, upTo: number): number =>
  plan.timeline.slice(0, upTo + 1).filter(({ kind }) => kind === 'round').length;

export function placeInClass(state: FloorState, begun: PlanFile): PlaceInClass {
  const plan = planOf(state, begun);
  const index = Math.min(state.segment, plan.timeline.length - 1);
  const item = plan.timeline[index];
  const rounds = countRounds(plan, index);
  const round = item?.kind === 'round' ? rounds : null;
  return {
    plan,
    index,
    item,
    next: plan.timeline[index + 1],
    round,
    rounds,
    placedIn: round ?? Math.min(plan.rounds.length, state.roundsDone + 1),
  };
}
