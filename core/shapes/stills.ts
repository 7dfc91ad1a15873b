/**
 * Every shape that is drawn to scale without loads. Adding one is a file in still/ and its line here.
 * Handbook 02 for the shapes, 04 for their distances.
 */
import type { StillShape } from './shape';
import { allFoursShape } from './still/allFours';
import { box } from './still/box';
import { chairShoulderStand } from './still/chairShoulderStand';
import { calvesOnChair, dolphinChair } from './still/chairs';
import { cornerDolphin } from './still/cornerDolphin';
import { footOnWall } from './still/footOnWall';
import { forearmPlankShape } from './still/forearmPlank';
import { halfShoulderStandShape } from './still/halfShoulderStand';
import { legsUp } from './still/legsUp';
import { boat, hollow } from './still/onSeat';
import { sacrumStack } from './still/sacrumStack';
import { shoulderRest } from './still/shoulderRest';
import { wallPlough } from './still/wallPlough';

export const stillTable = {
  'all-fours': allFoursShape,
  'forearm-plank': forearmPlankShape,
  'corner-dolphin': cornerDolphin,
  'foot-on-wall': footOnWall,
  'dolphin-chair': dolphinChair,
  'shoulder-rest': shoulderRest,
  box,
  'half-shoulder-stand': halfShoulderStandShape,
  'chair-shoulder-stand': chairShoulderStand,
  'sacrum-stack': sacrumStack,
  'calves-on-chair': calvesOnChair,
  'legs-up': legsUp,
  'wall-plough': wallPlough,
  boat,
  hollow,
} as const satisfies Record<string, StillShape>;

export type StillId = keyof typeof stillTable;
export const stillIds = Object.keys(stillTable) as [StillId, ...StillId[]];
export const getStill = (id: StillId): StillShape => stillTable[id];
