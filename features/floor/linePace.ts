import { timesOver } from '@/core/compose/drillTask';
import { listDosePace, type PaceStep } from '@/core/running/pacer';
import { listRoundPace } from '@/core/running/roundPace';
import type { FloorClass } from './context';
import { listTurns } from './roundTurns';
import type { FloorBundle } from '@/server/running/floorBundle';

type Line = FloorBundle['plan']['timeline'][number];

/**
 * A line on the pacer: the dose of its drill, or a round with everybody's own dose in it; nothing where
 * there is nothing to count.
 *
 * @param round of the line, counted from 1; `null` outside the rounds
 */
export function linePace(
  item: Line | undefined,
  round: number | null,
  here: Pick<FloorClass, 'floor' | 'bundle' | 'here'>,
  breathSeconds = here.bundle.breathSeconds,
): PaceStep[] {
  if (item === undefined) return [];
  if (round !== null) return listRoundPace(listTurns(round - 1, here), item.minutes);
  const paced = item.drill === undefined ? undefined : here.bundle.drills[item.drill]?.paced;
  if (paced === undefined) return [];
  return listDosePace(paced.dose, breathSeconds, timesOver(paced, item.minutes, item.waves));
}
