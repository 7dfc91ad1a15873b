/** Every set-up that is measured. Identifiers are the contract's (handbook 11). */
import { distanceWords, type DistanceId } from './distanceWords';
import { keptKey, type KeptDistance, type KeptDistances } from './kept';
import { armSpacer } from './modules/armSpacer';
import { bolsterLean } from './modules/bolsterLean';
import { box } from './modules/box';
import { chairShoulderStand } from './modules/chairShoulderStand';
import { claspedForearms } from './modules/claspedForearms';
import { cornerDolphin } from './modules/cornerDolphin';
import { crowCushion } from './modules/crowCushion';
import { forearmKick } from './modules/forearmKick';
import { forearmL } from './modules/forearmL';
import { handBlock } from './modules/handBlock';
import { handKick } from './modules/handKick';
import { hopInPlace } from './modules/hopInPlace';
import { handL } from './modules/handL';
import { headClearance } from './modules/headClearance';
import { legsUp } from './modules/legsUp';
import { liftedTuck } from './modules/liftedTuck';
import { platform } from './modules/platform';
import { sacrumStack } from './modules/sacrumStack';
import { shoulderRest } from './modules/shoulderRest';
import { strapForearm, strapHandstand, strapShoulderStand } from './modules/straps';
import { wallPlough } from './modules/wallPlough';
import type { Setup } from './setup';

const setupTable = {
  'forearm-kick': forearmKick,
  'forearm-L': forearmL,
  'hand-kick': handKick,
  'hop-in-place': hopInPlace,
  'hand-L': handL,
  'bolster-lean': bolsterLean,
  box,
  'strap-forearm': strapForearm,
  'strap-handstand': strapHandstand,
  'strap-shoulder-stand': strapShoulderStand,
  'arm-spacer': armSpacer,
  'hand-block': handBlock,
  'head-clearance': headClearance,
  'corner-dolphin': cornerDolphin,
  'clasped-forearms': claspedForearms,
  'lifted-tuck': liftedTuck,
  'crow-cushion': crowCushion,
  platform,
  'chair-shoulder-stand': chairShoulderStand,
  'sacrum-stack': sacrumStack,
  'legs-up': legsUp,
  'wall-plough': wallPlough,
  'shoulder-rest': shoulderRest,
} as const satisfies Record<string, Setup>;

export type SetupId = keyof typeof setupTable;
export const setupIds = Object.keys(setupTable) as [SetupId, ...SetupId[]];

export const getSetup = (id: SetupId): Setup => setupTable[id];

/** The set-up that a distance of this one belongs to: itself, unless it is shared. */
export const homeOf = (setup: SetupId, distance: DistanceId): SetupId =>
  getSetup(setup).shares?.[distance] ?? setup;

/**
 * What is kept of one person, ready for the set-ups: the newest of each distance, wherever it was
 * noted. Rows of one day count in the order given.
 */
export function keptDistances(rows: readonly KeptDistance[]): KeptDistances {
  const newest = new Map<string, KeptDistance>();
  for (const row of rows) {
    if (!distanceWords[row.distance].mayKeep) continue;
    const key = keptKey(homeOf(row.setup, row.distance), row.distance);
    const known = newest.get(key);
    if (known === undefined || row.on >= known.on) newest.set(key, row);
  }
  return newest as unknown as KeptDistances;
}
