import type { Assessment, ScoreInput } from './assess';
import { isVoided, type CheckRecord } from './record';

/** Source of every number here: handbook 06 "Pass/fail checks". */
const halfLifeDays = 21;
const shareBars = { met: 0.6, borderline: 0.4 } as const;

type Passed = Pick<ScoreInput, 'spec' | 'records' | 'days' | 'today'>;

const isPass = (input: Pick<ScoreInput, 'spec'>, record: CheckRecord) =>
  record.value >= 1 && !isVoided(input.spec, record);

interface Tally {
  readonly passes: number;
  readonly fails: number;
}

/** Laplace's rule: shown, never decisive. */
const shownChance = ({ passes, fails }: Tally) => (1 + passes) / (2 + passes + fails);
const shareOf = ({ passes, fails }: Tally) => passes / (passes + fails);

function weighted(input: Passed): Tally {
  let passes = 0;
  let fails = 0;
  input.records.forEach((record, index) => {
    const weight = 0.5 ** ((input.today - input.days[index]!) / halfLifeDays);
    if (isPass(input, record)) passes += weight;
    else fails += weight;
  });
  return { passes, fails };
}

/**
 * The chance shown of a pass on a day, from the records before it.
 *
 * @returns one half where nothing was seen
 */
export const passChance = (
  spec: ScoreInput['spec'],
  { records, days }: Pick<ScoreInput, 'records' | 'days'>,
  today: number,
): number => shownChance(weighted({ spec, records, days, today }));

function newestAge(input: ScoreInput): number {
  return input.today - input.days[input.days.length - 1]!;
}

function staleReason(input: ScoreInput): string {
  return `last seen ${newestAge(input)} days ago, good for ${input.spec.validDays}`;
}

/** So many passes inside the valid days, on enough days, and mostly passes. */
export function assessPasses(input: ScoreInput, rule: { readonly days: number }): Assessment {
  const needed = input.threshold;
  const tally = weighted(input);
  const share = shareOf(tally);
  const base = { probability: shownChance(tally), threshold: input.threshold };
  if (newestAge(input) > input.spec.validDays) {
    return { ...base, status: 'stale', reasons: [staleReason(input)] };
  }
  const passDays = input.days.filter(
    (day, index) =>
      isPass(input, input.records[index]!) && input.today - day <= input.spec.validDays,
  );
  const onDays = new Set(passDays).size;
  const reasons = [
    `${passDays.length} ${passDays.length === 1 ? 'pass' : 'passes'}, ${needed} asked for`,
  ];
  const hasEnough = passDays.length >= needed;
  const onEnoughDays = onDays >= rule.days;
  if (hasEnough && !onEnoughDays) reasons.push(`on ${onDays} of ${rule.days} days`);
  if (share < shareBars.met) {
    reasons.push(`${Math.round(share * 100)} in 100 of recent tries passed`);
  }
  if (hasEnough && onEnoughDays && share >= shareBars.met) {
    return { ...base, status: 'met', reasons };
  }
  const isClose = hasEnough || passDays.length === needed - 1;
  const status = isClose && share >= shareBars.borderline ? 'borderline' : 'not-yet';
  return { ...base, status, reasons };
}

/**
 * "3 of the last 5": the newest records, unweighted, and nothing else. A try that fails makes nothing
 * fresh: where the last pass is past its days, the check is to be seen again.
 */
export function assessPassOfLast(input: ScoreInput, rule: { readonly last: number }): Assessment {
  const needed = input.threshold;
  const newest = input.records.slice(-rule.last);
  const passes = newest.filter((record) => isPass(input, record)).length;
  const base = {
    probability: shownChance({ passes, fails: newest.length - passes }),
    threshold: input.threshold,
  };
  if (newestAge(input) > input.spec.validDays) {
    return { ...base, status: 'stale', reasons: [staleReason(input)] };
  }
  const reasons = [`${passes} of the last ${newest.length} passed; ${needed} needed`];
  const share = passes / newest.length;
  const isClose = passes === needed - 1 && share >= shareBars.borderline;
  if (passes < needed && !isClose) return { ...base, status: 'not-yet', reasons };
  const lastPass = input.records.findLastIndex((record) => isPass(input, record));
  const passAge = input.today - input.days[lastPass]!;
  if (passAge > input.spec.validDays) {
    const { validDays } = input.spec;
    return {
      ...base,
      status: 'stale',
      reasons: [`last passed ${passAge} days ago, good for ${validDays}`],
    };
  }
  return { ...base, status: passes >= needed ? 'met' : 'borderline', reasons };
}

/** Known only on the day: every record of today must pass. */
export function assessSameDay(input: ScoreInput): Assessment {
  const base = { probability: shownChance(weighted(input)), threshold: input.threshold };
  const todays = input.records.filter((_, index) => input.days[index] === input.today);
  if (todays.length === 0) {
    return { ...base, status: 'stale', reasons: ['asked at the door, each time'] };
  }
  return todays.every((record) => isPass(input, record))
    ? { ...base, status: 'met', reasons: ['confirmed today'] }
    : { ...base, status: 'not-yet', reasons: ['not today'] };
}
