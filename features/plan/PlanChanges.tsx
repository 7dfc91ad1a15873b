import { sayPlanChanges } from '@/core/files/planChanges';
import type { ClassMember } from '@/server/judging/classViews';
import { nameOf } from '@/features/evening/names';
import type { PlannerState } from './plannerEngine';
import classes from './plan.module.css';

interface PlanChangesProps {
  readonly planner: Pick<PlannerState, 'plan' | 'stood' | 'status'>;
  readonly members: readonly ClassMember[];
}

/** What the newest word changed, once it is known: who does something else, and the order. */
export function PlanChanges({ planner: { plan, stood, status }, members }: PlanChangesProps) {
  if (stood === null || plan === null || (status !== 'asking' && status !== 'done')) return null;
  const lines = sayPlanChanges(stood, plan, (id) => nameOf(members, id));
  return (
    <p className={classes.note} role="status">
      <strong>This changes:</strong> {lines.length === 0 ? 'nothing.' : lines.join(' ')}
    </p>
  );
}
