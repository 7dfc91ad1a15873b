import { findOption, isPlacementOpen } from '@/core/compose/readBack';
import { doorOf, planOf } from '@/core/running/follow';
import { hasSign } from '@/core/running/replay';
import type { RoundTurn } from '@/core/running/roundPace';
import type { FloorClass } from './context';
import { keyOfLabel } from './questions';

/**
 * Who works by the clock in a round, and how long: what somebody tries, does instead of it, or lies in has
 * its own time.
 *
 * @param round 0 is the first
 */
export function listTurns(
  round: number,
  { floor: { state }, bundle, here }: Pick<FloorClass, 'floor' | 'bundle' | 'here'>,
): RoundTurn[] {
  const people = planOf(state, bundle.plan).rounds[round]?.people ?? [];
  const keyOf = keyOfLabel(bundle);
  const since = state.segmentSinceMs ?? 0;
  return people.flatMap((placed): RoundTurn[] => {
    const { id } = placed;
    const isOut =
      !here.includes(id) ||
      hasSign(state, id) ||
      state.halts.some(({ person, atMs }) => person === id && atMs >= since) ||
      !isPlacementOpen(bundle.prepared, placed);
    const door = doorOf(placed, state, keyOf);
    if (isOut || door === 'ask' || door === 'instead') return [];
    const option = findOption(bundle.prepared, id, placed.option);
    const { spans } = option ?? {};
    if (option === undefined || spans === undefined) return [];
    if (option.isRest === true || option.tries !== undefined) return [];
    return [{ person: id, spans }];
  });
}
