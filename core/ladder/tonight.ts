import type { CheckKey } from '../catalog/checks';
import type { CheckDemand } from '../catalog/demand';
import { barOf, getCheckIn, getStageIn } from '../catalog/school';
import { ladderIds, type LadderId, type StageKey } from '../catalog/stage';
import {
  scoreSide,
  type Assessment,
  type CheckStatus,
  type SideHistory,
} from '../readiness/assess';
import { chanceBars } from '../readiness/assessLevel';
import {
  fromLogScale,
  levelModel,
  onLogScale,
  priorLevel,
  observe,
  type Level,
} from '../readiness/level';
import type { Day } from '../units/day';
import { inSentence } from '../units/words';
import type { OpenedCase } from './case';
import type { GateItem } from './gate';
import { findDemand, listGatesAhead, type GateAhead } from './gatesAhead';
import type { Pass } from './gatekeeper';
import { passToCheck } from './openChecks';

/** One check worth taking from one person. */
export interface CheckWorth {
  /** The gatekeeper's: nobody is asked for a check without it. */
  readonly pass: Pass;
  readonly check: CheckKey;
  readonly base?: CheckDemand['base'];
  readonly label: string;
  /** Expected rungs that the result moves, 0 and more. */
  readonly gain: number;
  /** Chance that the result changes what a gate says. */
  readonly chance: number;
  /** Stages whose gate it may move. */
  readonly stages: readonly StageKey[];
  readonly why: string;
}

interface Outcome {
  readonly value: number;
  readonly weight: number;
}

/** Nodes and weights for a normal spread, seven points (Gauss and Hermite). */
const normalNodes: readonly (readonly [x: number, weight: number])[] = [
  [0, 0.457142857142858],
  [1.154405394739968, 0.240123178605013],
  [-1.154405394739968, 0.240123178605013],
  [2.366759410734541, 0.030757123967586],
  [-2.366759410734541, 0.030757123967586],
  [3.750439717725742, 0.000548268855972],
  [-3.750439717725742, 0.000548268855972],
];

/** What tonight's try may come to, and how likely each is, as the model sees it. */
function listOutcomes({ spec, bar, level, records }: SideHistory): Outcome[] {
  const { scoring } = spec;
  switch (scoring.kind) {
    case 'hold':
    case 'reps': {
      const now = level ?? priorLevel(scoring.kind, bar);
      const spread = Math.sqrt(now.variance + levelModel.observationVariance);
      return normalNodes.map(([x, weight]) => ({
        value: fromLogScale(scoring.kind as 'hold' | 'reps', now.mean + x * spread),
        weight,
      }));
    }
    case 'pass':
    case 'pass-of-last':
    case 'same-day': {
      const passes = records.filter(({ value }) => value >= 1).length;
      const chance = (1 + passes) / (2 + records.length);
      return [
        { value: 1, weight: chance },
        { value: 0, weight: 1 - chance },
      ];
    }
    case 'measure':
    case 'level':
    case 'rating': {
      // Around the newest value, or around the bar where nothing is known.
      const centre = records.at(-1)?.value ?? bar;
      return normalNodes.map(([x, weight]) => ({
        value: Math.max(0, centre + x * scoring.readingError),
        weight,
      }));
    }
    default:
      return scoring satisfies never;
  }
}

/** The history with tonight's value added, at the cost of one update. */
function withTonight(history: SideHistory, value: number, asOf: Day): SideHistory {
  const { kind } = history.spec.scoring;
  let level: Level | null = history.level;
  if (kind === 'hold' || kind === 'reps') {
    level = observe(level ?? priorLevel(kind, history.bar), onLogScale(kind, value));
  }
  return {
    ...history,
    level,
    records: [...history.records, { date: asOf, value }],
    days: [...history.days, history.today],
  };
}

const statusWorth = {
  met: 1,
  borderline: 0.5,
  'not-yet': 0,
  stale: 0,
  unknown: 0,
} as const satisfies Record<CheckStatus, number>;

/**
 * How far a check is on the way to met, 0 to 1. For holds and repetitions half of it lies in the
 * chance (across 0.5, across 0.8) and half in the days on which the bar was seen.
 */
function worthOf({ status, probability, seenDays }: Assessment, onDays = 2): number {
  if (seenDays === undefined || probability === null) return statusWorth[status];
  if (status === 'stale') return 0;
  const chance =
    probability >= chanceBars.met ? 0.5 : probability >= chanceBars.borderline ? 0.25 : 0;
  return chance + 0.5 * Math.min(1, seenDays / onDays);
}

/** A look that only keeps a bar from going stale is worth less than one that opens something. */
const refreshShare = 0.3;

interface Need {
  readonly pass: Pass;
  readonly item: GateItem;
  readonly demand: CheckDemand;
  readonly stage: StageKey;
  /** Items of the same gate that are not met, this one included. */
  readonly obstacles: number;
  /** Rungs above the next one. */
  readonly ahead: number;
}

/** What is one rung further is worth this share of what is nearer. */
const furtherShare = 0.7;

/** The checks in the gates ahead, of all ladders, that a look tonight could move. */
function listNeeds(person: OpenedCase, families: readonly LadderId[]): Need[] {
  return ladderIds.flatMap((family) => {
    // Only ladders the student has begun, and what the evening is about: nobody wants a headstand
    // check from who never asked.
    const isBegun = person.present[family] !== undefined || families.includes(family);
    if (!isBegun) return [];
    return listGatesAhead(family, person).flatMap((gate) => listNeedsOf(gate, person));
  });
}

function listNeedsOf({ stage, items, ahead }: GateAhead, person: OpenedCase): Need[] {
  const needs: Need[] = [];
  const open = items.filter(
    ({ status, isAtDoor, wordOf }) => (status !== 'met' || wordOf !== undefined) && !isAtDoor,
  );
  for (const item of open) {
    const demand = findDemand(item);
    const pass = demand === null ? null : passToCheck(person, demand.check, demand.base);
    if (demand !== null && pass !== null) {
      needs.push({ pass, item, demand, stage, obstacles: open.length, ahead });
    }
  }
  // A bar that is held but about to go stale is worth a look as well.
  for (const item of items) {
    const demand = findDemand(item);
    if (item.status !== 'met' || demand === null || item.standIn !== undefined) continue;
    if (item.wordOf !== undefined) continue;
    if (!isNearlyStale(person, demand)) continue;
    const pass = passToCheck(person, demand.check, demand.base);
    if (pass === null) continue;
    needs.push({ pass, item, demand, stage, obstacles: open.length + 1, ahead });
  }
  return needs;
}

/** Stale before the next weekly meeting. */
const weekDays = 7;

function isNearlyStale({ assessor }: OpenedCase, { check, base }: CheckDemand): boolean {
  return assessor.histories(check, base).some(({ spec, today, days }) => {
    const newest = days.at(-1);
    return (
      newest !== undefined &&
      spec.validDays > weekDays &&
      today - newest > spec.validDays - weekDays
    );
  });
}

/**
 * The checks worth taking from one person tonight, the most telling first: how likely the result
 * is to move some gate across a line, times how far the student then moves. A rung behind several
 * closed checks is shared out among them; one further up counts for less. Source: handbook 06 "What to look at tonight".
 */
export function rankChecks(person: OpenedCase, families: readonly LadderId[] = []): CheckWorth[] {
  const byCheck = new Map<string, CheckWorth>();
  for (const need of listNeeds(person, families)) {
    const worth = weigh(need, person);
    const key = `${worth.check}/${worth.base ?? ''}`;
    const known = byCheck.get(key);
    byCheck.set(
      key,
      known === undefined
        ? worth
        : {
            ...known,
            gain: known.gain + worth.gain,
            chance: Math.max(known.chance, worth.chance),
            stages: [...new Set([...known.stages, ...worth.stages])],
          },
    );
  }
  return [...byCheck.values()]
    .filter(({ gain }) => gain > 1e-6)
    .sort((a, b) => b.gain - a.gain || a.label.localeCompare(b.label));
}

function weigh(
  { pass, demand, item, stage, obstacles, ahead }: Need,
  person: OpenedCase,
): CheckWorth {
  const { spec, bar } = getCheckIn(person.school, demand.check);
  const threshold = barOf(bar, demand);
  const histories = person.assessor.histories(demand.check, demand.base);
  const asked = { threshold, ...(demand.onDays ? { onDays: demand.onDays } : {}) };
  const isRefresh = item.status === 'met' && item.wordOf === undefined;
  let chance = 0;
  let gain = 0;
  for (const history of histories) {
    const before = isRefresh ? 0 : worthOf(scoreSide(history, asked), demand.onDays);
    for (const { value, weight } of listOutcomes(history)) {
      const tonight = scoreSide(withTonight(history, value, person.asOf), asked);
      const after = worthOf(tonight, demand.onDays);
      const move = (isRefresh ? refreshShare : 1) * Math.abs(after - before);
      if (move > 0) chance += weight / histories.length;
      gain += (weight * move) / histories.length;
    }
  }
  return {
    pass,
    check: demand.check,
    ...(demand.base === undefined ? {} : { base: demand.base }),
    // The same check on two bases is two checks: each says which.
    label: demand.base === undefined ? spec.label : `${spec.label}, on the ${demand.base}`,
    gain: (gain / obstacles) * furtherShare ** ahead,
    chance,
    stages: [stage],
    why: `${item.label} for ${inSentence(getStageIn(person.school, stage).spec.label)}: ${item.reasons[0]}`,
  };
}
