import { timesOver } from '@/core/files/planLines';
import { listDosePace, type PaceStep } from '@/core/running/pacer';
import type { FloorBundle } from '@/server/running/floorBundle';

type Line = FloorBundle['plan']['timeline'][number];

/** The dose of a line on the pacer; nothing where it has none, or none that can be counted. */
export function linePace(
  item: Line | undefined,
  { drills, breathSeconds }: Pick<FloorBundle, 'drills' | 'breathSeconds'>,
): PaceStep[] {
  const paced = item?.drill === undefined ? undefined : drills[item.drill]?.paced;
  if (item === undefined || paced === undefined) return [];
  return listDosePace(paced.dose, breathSeconds, timesOver(paced, item.minutes, item.waves));
}
