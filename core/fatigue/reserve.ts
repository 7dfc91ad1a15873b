/**
 * How much a region still has, 1 to 0, through a class. Source: handbook 07 "Fatigue within a
 * class". Pure steps: whoever plans or runs a class drives them.
 */
import { regions, type Region, type RegionLoads } from '../catalog/regions';

export const fatigueRule = {
  /** Recovery towards full in rest, seconds. */
  recoverySeconds: 180,
  /** Capacity where nothing is known, seconds at full load. */
  unknownCapacitySeconds: 60,
  /** A kick or hop counts as so much work at full load. */
  attemptSeconds: 8,
  /** An attempt is planned only with so much left in its main regions. */
  leastForAttempt: 0.6,
  /** The first attempt of a day comes after so much work of those regions. */
  warmSeconds: 60,
  /** A region carries a stage when it bears at least this share of full load. */
  mainLoad: 0.5,
} as const;

/** A student's seconds at a reference load for each region; absent: not known. */
export type Capacities = Readonly<
  Partial<Record<Region, { readonly seconds: number; readonly referenceLoad: number }>>
>;

export interface RegionState {
  /** 1 fresh, 0 spent. */
  readonly reserve: number;
  /** Seconds worked today, at any load. */
  readonly workedSeconds: number;
}

export type FatigueState = Readonly<Record<Region, RegionState>>;

export const freshState: FatigueState = Object.fromEntries(
  regions.map((region) => [region, { reserve: 1, workedSeconds: 0 }]),
) as unknown as FatigueState;

/** Seconds until a fresh region is spent at a load: the capacity scaled by (reference / load)^2. */
export function secondsToSpent(capacities: Capacities, region: Region, load: number): number {
  const known = capacities[region];
  if (known === undefined) return fatigueRule.unknownCapacitySeconds / (load * load);
  return known.seconds * (known.referenceLoad / load) ** 2;
}

/** Works some regions for a while; the others rest meanwhile. */
export function work(
  state: FatigueState,
  loads: RegionLoads,
  seconds: number,
  capacities: Capacities = {},
): FatigueState {
  // Written out and not mapped: composing one class asks for hundreds of thousands of these.
  const left = Math.exp(-seconds / fatigueRule.recoverySeconds);
  const next = {} as Record<Region, RegionState>;
  for (const region of regions) {
    const now = state[region];
    const { reserve, workedSeconds } = now;
    const load = loads[region] ?? 0;
    if (load > 0) {
      next[region] = {
        reserve: Math.max(0, reserve - seconds / secondsToSpent(capacities, region, load)),
        workedSeconds: workedSeconds + seconds,
      };
    } else {
      // What is fresh stays as it is.
      next[region] = reserve === 1 ? now : { reserve: 1 - (1 - reserve) * left, workedSeconds };
    }
  }
  return next;
}

export const rest = (state: FatigueState, seconds: number): FatigueState =>
  work(state, {}, seconds);

/** So many kicks or hops: each counts as a few seconds at full load of what it loads. */
export function attempt(
  state: FatigueState,
  loads: RegionLoads,
  times: number,
  capacities: Capacities = {},
): FatigueState {
  const full = Object.fromEntries(mainRegions(loads).map((region) => [region, 1]));
  return work(state, full, times * fatigueRule.attemptSeconds, capacities);
}

/** The regions that carry a stage; all it loads where none bears much. */
export function mainRegions(loads: RegionLoads): Region[] {
  const loaded = regions.filter((region) => (loads[region] ?? 0) > 0);
  const main = loaded.filter((region) => loads[region]! >= fatigueRule.mainLoad);
  return main.length > 0 ? main : loaded;
}

export interface AttemptRefusal {
  readonly region: Region;
  readonly why: 'tired' | 'cold';
}

/** What stands against an attempt now: a region that is tired, or one that is not warm yet. */
export function findRefusals(
  state: FatigueState,
  loads: RegionLoads,
  isFirst: boolean,
): AttemptRefusal[] {
  return mainRegions(loads).flatMap((region): AttemptRefusal[] => {
    const { reserve, workedSeconds } = state[region];
    if (reserve < fatigueRule.leastForAttempt - 1e-9) return [{ region, why: 'tired' }];
    if (isFirst && workedSeconds < fatigueRule.warmSeconds) return [{ region, why: 'cold' }];
    return [];
  });
}

/** Rest until a region is fit for an attempt again, seconds; 0 when it is. */
export function secondsUntilFit(reserve: number): number {
  if (reserve >= fatigueRule.leastForAttempt) return 0;
  return fatigueRule.recoverySeconds * Math.log((1 - reserve) / (1 - fatigueRule.leastForAttempt));
}
