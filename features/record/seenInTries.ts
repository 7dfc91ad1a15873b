/** What was seen in tries and checks: faults from evening to evening, and tries with a prop against tries free. */
import {
  faultIds,
  faultTable,
  type CheckKey,
  type CheckSpec,
  type FaultId,
} from '@/core/catalog/checks';
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

/** A check that was taken, and the faults that may be seen in it. */
interface SeenCheck {
  readonly date: Day;
  readonly faults: readonly FaultId[];
  readonly mayShow: readonly FaultId[];
}

export interface FaultLine {
  readonly fault: FaultId;
  readonly label: string;
  /** How often on each evening, in the order of the evenings, and of how many it could be seen in. */
  readonly counts: readonly number[];
  readonly of: readonly number[];
  readonly total: number;
  readonly ofAll: number;
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
  /** The same of checks: of those that the fault speaks of. */
  readonly inChecks: readonly FaultLine[];
  readonly supports: readonly SupportLine[];
  /** By the way up that was seen: what one way reaches says nothing of another. */
  readonly ways: readonly WayLine[];
}

/** Tries that were timed both ways, and those of them that came down as slowly as they went up. */
export function countSlow(tries: readonly UpAndDown[]): { timed: number; asSlow: number } {
  const timed = tries.map((one) => isAsSlowOut(one)).filter((is) => is !== null);
  return { timed: timed.length, asSlow: timed.filter(Boolean).length };
}

const sum = (counts: readonly number[]) => counts.reduce((all, count) => all + count, 0);

/** The commonest first. */
function countFaults(
  byDay: readonly (readonly Pick<SeenCheck, 'faults' | 'mayShow'>[])[],
): FaultLine[] {
  const seen = new Set(byDay.flat().flatMap((one) => one.faults));
  return [...seen]
    .map((fault): FaultLine => {
      const counts = byDay.map((own) => own.filter((one) => one.faults.includes(fault)).length);
      // What was tapped though nothing asks for it was at least looked at.
      const of = byDay.map(
        (own) =>
          own.filter((one) => one.mayShow.includes(fault) || one.faults.includes(fault)).length,
      );
      const label = faultTable[fault].label;
      return { fault, label, counts, of, total: sum(counts), ofAll: sum(of) };
    })
    .sort((a, b) => b.total - a.total || a.label.localeCompare(b.label));
}

/** @param dates evenings, oldest first */
export function countSeen(
  tries: readonly SeenTry[],
  dates: readonly Day[],
  checks: readonly SeenCheck[] = [],
): SeenInTries {
  const byDay = dates.map((date) => tries.filter((one) => one.date === date));
  const all = byDay.flat();
  // Each try may show each of them.
  const faults = countFaults(
    byDay.map((own) => own.map((one) => ({ faults: one.faults, mayShow: faultIds }))),
  );
  const inChecks = countFaults(dates.map((date) => checks.filter((one) => one.date === date)));
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
  return { dates, tries: byDay.map((own) => own.length), faults, inChecks, supports, ways };
}

/** Records of checks, for their faults. */
export const asSeenChecks = (
  records: readonly {
    readonly date: Day;
    readonly check: CheckKey;
    readonly faults?: readonly FaultId[];
  }[],
  checks: ReadonlyMap<CheckKey, { readonly spec: Pick<CheckSpec, 'voidedBy'> }>,
): SeenCheck[] =>
  records.map(({ date, check, faults = [] }) => ({
    date,
    faults,
    mayShow: checks.get(check)?.spec.voidedBy ?? [],
  }));
