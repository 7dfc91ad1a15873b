import { barOf } from '../catalog/school';
import type { CheckDemand } from '../catalog/demand';
import { chanceBars } from './assessLevel';
import type { SideHistory } from './assess';
import { chanceOfBar, levelModel, onLogScale } from './level';
import { isVoided } from './record';

/** The rules of handbook 06 "Looking ahead"; the spread of the span is ours: four in five. */
const forecastRule = {
  meetings: 3,
  withinDays: 70,
  longestSpanDays: 84,
  /** A meeting half as old again as this counts half. */
  halfLifeDays: 35,
  /** The slope's sign must be sure to nineteen in twenty. */
  signLimit: 1.645,
  /** The span holds the crossing four times in five. */
  spanLimit: 1.2816,
} as const;

export type Forecast =
  /** The chance is past four in five today. */
  | { readonly kind: 'there' }
  /** Days from today, the earlier and the later end. */
  | {
      readonly kind: 'span';
      readonly fromDays: number;
      readonly toDays: number;
      readonly meetings: number;
    }
  | { readonly kind: 'none'; readonly why: 'too-few-meetings' | 'not-rising' | 'too-wide' };

interface Meeting {
  readonly day: number;
  readonly y: number;
}

/** The best of each meeting; a hold that was stopped counts as what was seen, a voided one not. */
function listMeetings({ spec, today, records, days }: SideHistory): Meeting[] {
  const { kind } = spec.scoring;
  if (kind !== 'hold' && kind !== 'reps') return [];
  const best = new Map<number, number>();
  records.forEach((record, index) => {
    const day = days[index]!;
    if (today - day > forecastRule.withinDays || isVoided(spec, record)) return;
    const y = onLogScale(kind, record.value);
    best.set(day, Math.max(y, best.get(day) ?? -Infinity));
  });
  return [...best].map(([day, y]) => ({ day: day - today, y }));
}

/**
 * When the chance of a bar may pass four in five, as a span of days; never a single date.
 *
 * Weighted least squares of y on the day, the scatter never taken as less than a record's own.
 * The ends are where the band round the line reaches the level that today's uncertainty asks for.
 * Holds and repetitions only. Source: handbook 06 "Looking ahead".
 */
export function forecast(history: SideHistory, demand: CheckDemand): Forecast {
  const { kind } = history.spec.scoring;
  if ((kind !== 'hold' && kind !== 'reps') || history.level === null) {
    return { kind: 'none', why: 'too-few-meetings' };
  }
  const bar = barOf(history.bar, demand);
  if (chanceOfBar(kind, history.level, bar) >= chanceBars.met) return { kind: 'there' };
  const meetings = listMeetings(history);
  if (meetings.length < forecastRule.meetings) return { kind: 'none', why: 'too-few-meetings' };
  const line = fitLine(meetings);
  if (line.slope <= forecastRule.signLimit * line.slopeSd)
    return { kind: 'none', why: 'not-rising' };
  // The level must stand this far above the near bar for the chance to reach four in five.
  const quantile = 0.841_621_233_572_914_3;
  const target =
    onLogScale(kind, levelModel.nearBar * bar) + quantile * Math.sqrt(history.level.variance);
  const crossing = (sign: 1 | -1) => findCrossing(line, target, sign * forecastRule.spanLimit);
  const [from, to] = [crossing(1), crossing(-1)];
  if (to === null) return { kind: 'none', why: 'too-wide' };
  const fromDays = Math.max(0, Math.floor(from ?? 0));
  const toDays = Math.max(fromDays + 1, Math.ceil(to));
  if (
    toDays - fromDays > forecastRule.longestSpanDays ||
    toDays > 2 * forecastRule.longestSpanDays
  ) {
    return { kind: 'none', why: 'too-wide' };
  }
  return { kind: 'span', fromDays, toDays, meetings: meetings.length };
}

interface Line {
  /** At the weighted mean day. */
  readonly centre: number;
  readonly level: number;
  readonly slope: number;
  readonly levelSd: number;
  readonly slopeSd: number;
}

function fitLine(meetings: readonly Meeting[]): Line {
  const weights = meetings.map(({ day }) => 0.5 ** (-day / forecastRule.halfLifeDays));
  const total = weights.reduce((sum, w) => sum + w, 0);
  const mean = (of: (meeting: Meeting) => number) =>
    meetings.reduce((sum, meeting, i) => sum + weights[i]! * of(meeting), 0) / total;
  const centre = mean(({ day }) => day);
  const level = mean(({ y }) => y);
  const spread = meetings.reduce((sum, { day }, i) => sum + weights[i]! * (day - centre) ** 2, 0);
  const slope =
    meetings.reduce((sum, { day, y }, i) => sum + weights[i]! * (day - centre) * (y - level), 0) /
    spread;
  const left = meetings.reduce(
    (sum, { day, y }, i) => sum + weights[i]! * (y - level - slope * (day - centre)) ** 2,
    0,
  );
  const scatter = Math.max(
    levelModel.observationVariance,
    left / (total * (1 - 2 / meetings.length)),
  );
  return {
    centre,
    level,
    slope,
    levelSd: Math.sqrt(scatter / total),
    slopeSd: Math.sqrt(scatter / spread),
  };
}

/** Day on which the line, `limit` of its own uncertainty higher, first reaches the target. */
function findCrossing(line: Line, target: number, limit: number): number | null {
  const height = (day: number) =>
    line.level +
    line.slope * (day - line.centre) +
    limit * Math.hypot(line.levelSd, line.slopeSd * (day - line.centre));
  const last = 3 * forecastRule.longestSpanDays;
  if (height(0) >= target) return 0;
  if (height(last) < target) return null;
  let [low, high] = [0, last];
  for (let step = 0; step < 40; step += 1) {
    const middle = (low + high) / 2;
    if (height(middle) >= target) high = middle;
    else low = middle;
  }
  return high;
}
