/** Every stage of the five ladders. */
import { armBalance } from './ladders/armBalance';
import { forearmStand } from './ladders/forearmStand';
import { handstand } from './ladders/handstand';
import { headstand } from './ladders/headstand';
import { shoulderStand } from './ladders/shoulderStand';
import type { ShippedStage, StageSpec } from './stage';

export const stageTable = {
  ...forearmStand,
  ...headstand,
  ...handstand,
  ...shoulderStand,
  ...armBalance,
} as const satisfies Record<string, ShippedStage>;

export type StageId = keyof typeof stageTable;
export const stageIds = Object.keys(stageTable) as [StageId, ...StageId[]];

/** A shipped stage, with the optional fields visible to the compiler. */
export function getStage(id: StageId): StageSpec {
  return stageTable[id];
}
