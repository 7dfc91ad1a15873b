/** What was seen in tries: faults from evening to evening, and tries with a prop against tries free. */
import { faultTable, type FaultId } from '@/core/catalog/checks';
import { isAsSlowOut, type UpAndDown } from '@/core/running/exit';
import { trySupports, type TrySupport } from '@/core/running/tap';
import { wayUpIds, type WayUpId } from '@/core/catalog/waysUp';
import type { Day } from '@/core/units/day';

interface SeenTry {
  readonly date: Day;
  readonly reached: boolean;
  readonly landing: 'soft' | 'heavy' | null;
  readonly wayUp: WayUpId | null;
  readonly support: TrySupport | null;
  readonly faults: readonly FaultId[];
  readonly liftS: number | null;
  readonly exitS: number | null;
}

export interface FaultLine {
  readonly fault: FaultId;
  readonly label: string;
  /** Of the tries of each evening, in the order of the evenings. */
  readonly counts: readonly number[];
  readonly total: number;
}

export interface SupportLine {
  readonly support: TrySupport;
  readonly tries: number;
  readonly reached: number;
  readonly soft: number;
  readonly landings: number;
  /** Timed on the way up and down, and those who came down as slowly. */
  readonly timed: number;
  readonly asSlow: number;
}

export interface WayLine {
  readonly wayUp: WayUpId;
  readonly tries: number;
  readonly reached: number;
}

export interface SeenInTries {
  readonly dates: readonly Day[];
  /** Tries of each evening. */
  readonly tries: readonly number[];
  readonly faults: readonly FaultLine[];
  readonly supports: readonly SupportLine[];
  /** By the way up that was seen: what one way reaches says nothing of another. */
  readonly ways: readonly WayLine[];
}

/** Tries that were timed both ways, and those of them that came down as slowly as they went up. */
export function countSlow(tries: readonly UpAndDown[]): { timed: number; asSlow: number } {
  const timed = tries.map((one) => isAsSlowOut(one)).filter((is) => is !== null);
  return { timed: timed.length, asSlow: timed.filter(Boolean).length };
}

/** @param dates evenings, oldest first */
export function countSeen(tries: readonly SeenTry[], dates: readonly Day[]): SeenInTries {
  const byDay = dates.map((date) => tries.filter((one) => one.date === date));
  const all = byDay.flat();
  const faults = [...new Set(all.flatMap((one) => one.faults))]
    .map((fault): FaultLine => {
      const counts = byDay.map((own) => own.filter((one) => one.faults.includes(fault)).length);
      return {
        fault,
        label: faultTable[fault].label,
        counts,
        total: counts.reduce((sum, count) => sum + count, 0),
      };
    })
    .sort((a, b) => b.total - a.total || a.label.localeCompare(b.label));
  const supports = trySupports
    .map((support): SupportLine => {
      const own = all.filter((one) => one.support === support);
      const landed = own.filter(({ landing }) => landing !== null);
      return {
        support,
        tries: own.length,
        reached: own.filter(({ reached }) => reached).length,
        soft: landed.filter(({ landing }) => landing === 'soft').length,
        landings: landed.length,
        ...countSlow(own),
      };
    })
    .filter(({ tries: count }) => count > 0);
  const ways = wayUpIds
    .map((wayUp): WayLine => {
      const own = all.filter((one) => one.wayUp === wayUp);
      return {
        wayUp,
        tries: own.length,
        reached: own.filter(({ reached }) => reached).length,
      };
    })
    .filter(({ tries: count }) => count > 0);
  return { dates, tries: byDay.map((own) => own.length), faults, supports, ways };
}
