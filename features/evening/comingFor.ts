import type { PlanFile } from '@/core/files/planFile';

/** Whether somebody can come too late for drills at all. */
export const hasDrills = ({ timeline }: Pick<PlanFile, 'timeline'>): boolean =>
  timeline.some(({ kind }) => kind === 'drill');

/** From which round on somebody late is there, in words: `after the drills`, `from round 2`. */
export const sayComing = (round: number): string =>
  round === 1 ? 'after the drills' : `from round ${round}`;

/** What somebody late can still come for. */
export const comingFor = (
  plan: Pick<PlanFile, 'rounds' | 'timeline'>,
): readonly { readonly round: number; readonly words: string }[] =>
  plan.rounds
    .filter(({ round }) => round > 1 || hasDrills(plan))
    .map(({ round }) => ({ round, words: sayComing(round) }));
