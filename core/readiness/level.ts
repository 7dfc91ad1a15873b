import type { CheckSpec } from '../catalog/checks';
import { hazard, upperTail } from './normal';
import { isVoided, type CheckRecord } from './record';

/**
 * The local level behind holds and repetitions: how well this student does this check, as a normal
 * distribution on a log scale. Source: handbook 06 "Holds and repetitions".
 */
export interface Level {
  readonly mean: number;
  readonly variance: number;
}

export const levelModel = {
  priorVariance: 1,
  /** Process noise: what a day adds to the variance. */
  processVariancePerDay: 0.0006,
  /** Variance of one plain observation around the level. */
  observationVariance: 0.04,
  /** Innovations are limited to so many standard deviations: one odd day does not bury a month. */
  innovationLimit: 3,
  /** "Within a tenth of the bar". */
  nearBar: 0.9,
  /** A prior centred on half the bar: nobody is assumed ready. */
  priorShare: 0.5,
  /** A hold of nothing enters as half a second, so that its logarithm exists. */
  leastHoldSeconds: 0.5,
  /** Added to counts for the same reason. */
  countShift: 0.5,
} as const;

export type LevelKind = 'hold' | 'reps';

/** A value on the level's log scale. */
export function onLogScale(kind: LevelKind, value: number): number {
  return kind === 'hold'
    ? Math.log(Math.max(value, levelModel.leastHoldSeconds))
    : Math.log(value + levelModel.countShift);
}

/** Back from the log scale: seconds or repetitions. */
export function fromLogScale(kind: LevelKind, y: number): number {
  return kind === 'hold' ? Math.exp(y) : Math.max(0, Math.exp(y) - levelModel.countShift);
}

export function priorLevel(kind: LevelKind, threshold: number): Level {
  return {
    mean: onLogScale(kind, levelModel.priorShare * threshold),
    variance: levelModel.priorVariance,
  };
}

function predict(level: Level, days: number): Level {
  return { mean: level.mean, variance: level.variance + levelModel.processVariancePerDay * days };
}

/** The usual update towards an observed `y`, its innovation limited. */
export function updatePlain(level: Level, y: number): Level {
  const total = level.variance + levelModel.observationVariance;
  const gain = level.variance / total;
  return {
    mean: level.mean + gain * limited(y - level.mean, total),
    variance: level.variance * (1 - gain),
  };
}

/** The update from "at least `y`": the exact first two moments of the cut normal. */
export function updateCensored(level: Level, y: number): Level {
  const { mean, variance } = level;
  const total = variance + levelModel.observationVariance;
  const root = Math.sqrt(total);
  const a = (y - mean) / root;
  const l = hazard(a);
  return {
    mean: mean + (variance * l) / root,
    variance: variance - (variance * variance * l * (l - a)) / total,
  };
}

/** How many predicted deviations above the mean something seen may lie. */
const liftWithin = 2;

/** Somebody who has just shown it is not far from it: the mean is lifted towards what was seen. */
function lifted(level: Level, y: number): Level {
  const total = level.variance + levelModel.observationVariance;
  return { ...level, mean: Math.max(level.mean, y - liftWithin * Math.sqrt(total)) };
}

/** What was seen plainly, of somebody who may be better than anybody thought (handbook 06). */
export const observe = (level: Level, y: number): Level => updatePlain(lifted(level, y), y);

/** The same, of a try that was stopped: at least so much. */
const observeAtLeast = (level: Level, y: number): Level => updateCensored(lifted(level, y), y);

/** A voided record may only lower: it counts as half its value, or as no news if that is more. */
export function updateVoided(kind: LevelKind, level: Level, value: number): Level {
  const y = Math.min(onLogScale(kind, value / 2), level.mean);
  return { mean: updatePlain(level, y).mean, variance: level.variance };
}

function limited(innovation: number, total: number): number {
  const limit = levelModel.innovationLimit * Math.sqrt(total);
  return Math.max(-limit, Math.min(limit, innovation));
}

export interface History {
  /** In date order; those of one day in the order entered. */
  readonly records: readonly CheckRecord[];
  /** Day number of each record. */
  readonly days: readonly number[];
}

/** What the model needs to know of a check. */
export interface LevelRule {
  readonly kind: LevelKind;
  readonly spec: Pick<CheckSpec, 'voidedBy'>;
  /** The profile's whole bar; the prior is centred on half of it. */
  readonly bar: number;
}

function update({ kind, spec }: LevelRule, level: Level, record: CheckRecord): Level {
  if (isVoided(spec, record)) return updateVoided(kind, level, record.value);
  const y = onLogScale(kind, record.value);
  return record.stoppedByTeacher ? observeAtLeast(level, y) : observe(level, y);
}

/** The level after each record, in their order: what a chart shows as a band. */
export function traceLevel(rule: LevelRule, { records, days }: History): Level[] {
  let level = priorLevel(rule.kind, rule.bar);
  return records.map((record, index) => {
    level = update(rule, predict(level, index === 0 ? 0 : days[index]! - days[index - 1]!), record);
    return level;
  });
}

/**
 * Runs the model over a student's records of one check on one side.
 *
 * @param today day number to predict to; no record may be later
 * @returns `null` without a record
 */
export function findLevel(
  rule: LevelRule,
  { records, days }: History,
  today: number,
): Level | null {
  if (records.length === 0) return null;
  let level = priorLevel(rule.kind, rule.bar);
  let day = days[0];
  for (let index = 0; index < records.length; index += 1) {
    if (days[index] !== day) level = predict(level, days[index]! - day!);
    day = days[index];
    level = update(rule, level, records[index]!);
  }
  return predict(level, today - day!);
}

/** Chance that tonight comes within a tenth of `bar`. */
export function chanceOfBar(kind: LevelKind, level: Level, bar: number): number {
  const y = onLogScale(kind, levelModel.nearBar * bar);
  return upperTail((y - level.mean) / Math.sqrt(level.variance));
}
