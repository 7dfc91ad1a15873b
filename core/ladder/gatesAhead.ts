/** The gates that stand ahead of somebody on a ladder, and what of them was never seen. */
import type { CheckDemand } from '../catalog/demand';
import { getStageIn } from '../catalog/school';
import type { LadderId, StageKey } from '../catalog/stage';
import type { OpenedCase } from './case';
import { evaluateGate, type GateItem } from './gate';
import { findStand } from './stand';
import { judge } from './verdict';
import { opensStage } from './verdictKinds';

export interface GateAhead {
  readonly stage: StageKey;
  readonly items: readonly GateItem[];
  /** Rungs above the next one. */
  readonly ahead: number;
}

const rules = {
  /** Rungs above the next one that are looked at where the way up to them is open. */
  furthest: 6,
  /** Rungs beyond the first that is shut, where that one was only never seen. */
  beyond: 5,
} as const;

/**
 * What can be answered by looking: no question of the day, nothing that stands in for it, and
 * something that is asked at all.
 */
const canBeSeen = (item: GateItem) =>
  item.threshold > 0 &&
  item.isAtDoor !== true &&
  item.standIn === undefined &&
  findDemand(item) !== null;

/** Nobody has looked, or not lately; a word given once is no look. */
const isUnseen = ({ status, wordOf }: GateItem): boolean =>
  status === 'unknown' || status === 'stale' || wordOf !== undefined;

/**
 * The gates ahead of somebody on one ladder: of the next rung and, where it is open as it stands, of
 * those above it up to the first that is not. Where that one is shut only because nobody has looked,
 * a few further up as well: what one look can answer may answer more than one of them.
 */
export function listGatesAhead(family: LadderId, person: OpenedCase): GateAhead[] {
  const gates: GateAhead[] = [];
  let { next: verdict } = findStand(family, person);
  let shut = 0;
  for (let ahead = 0; verdict !== null && ahead <= rules.furthest + shut; ahead += 1) {
    if (verdict.kind === 'stop') break;
    const { stage }: { stage: StageKey } = verdict;
    const items = evaluateGate(stage, person) ?? [];
    gates.push({ stage, items, ahead });
    if (!opensStage(verdict.kind)) {
      const short = items.filter((item) => item.status !== 'met' && canBeSeen(item));
      shut += 1;
      if (shut > rules.beyond || short.length === 0 || !short.every(isUnseen)) break;
    }
    const above = person.school.ladders[family].find((key) => {
      const { spec, ways } = getStageIn(person.school, key);
      return ways.length > 0 && spec.isAside !== true && spec.after.includes(stage);
    });
    verdict = above === undefined ? null : judge(above, person);
  }
  return gates;
}

/**
 * Is little known of somebody: has everything that stands between them and the rungs ahead never
 * been seen, or so long ago that it says nothing?
 */
export function isLittleKnown(person: OpenedCase, families: readonly LadderId[]): boolean {
  const asked = families.flatMap((family) =>
    listGatesAhead(family, person).flatMap(({ items }) => items.filter(canBeSeen)),
  );
  return asked.length > 0 && asked.every(isUnseen);
}

/** The check that decides an item; the first of several that would do. */
export function findDemand({ demand }: GateItem): CheckDemand | null {
  if ('check' in demand) return demand;
  if ('anyOf' in demand) {
    const first = demand.anyOf.find((inner) => 'check' in inner);
    return (first as CheckDemand | undefined) ?? null;
  }
  return null;
}
