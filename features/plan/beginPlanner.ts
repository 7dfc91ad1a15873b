/**
 * The engine of an evening for pages that show its plan and seldom change it: the people judged for
 * it are some hundred kilobytes, and are asked for when they are wanted.
 */
import type { Outcome } from '@/server/result';
import type { PlannerEngine, PlannerParts, PlannerStart } from './plannerEngine';

export async function beginPlanner(
  start: Omit<PlannerStart, 'prepared'>,
  parts: PlannerParts & { readonly prepareAgain: NonNullable<PlannerParts['prepareAgain']> },
): Promise<Outcome<PlannerEngine>> {
  const [{ PlannerEngine: Engine }, prepared] = await Promise.all([
    import('./plannerEngine'),
    parts.prepareAgain(start.wishes),
  ]);
  if (!prepared.ok) return prepared;
  return { ok: true, value: new Engine({ ...start, prepared: prepared.value }, parts) };
}
