import type { Assessment, ScoreInput } from './assess';
import { chanceOfBar } from './level';
import { isVoided } from './record';

/** The chances that separate met, borderline and not yet (handbook 06). */
export const chanceBars = { met: 0.8, borderline: 0.5 } as const;
/** The bar must have been seen on so many days, inside so many times the valid days. */
const seenRule = { days: 2, validTimes: 2 } as const;

/** `71 in 100`, and never a certainty. */
export function chanceWords(probability: number): string {
  const hundredths = Math.round(probability * 100);
  if (hundredths < 1) return 'under 1 in 100';
  return hundredths > 99 ? 'over 99 in 100' : `${hundredths} in 100`;
}

/** Holds and repetitions: the chance of the bar, and whether the bar itself was seen. */
export function assessLevel(input: ScoreInput, kind: 'hold' | 'reps'): Assessment {
  const { spec, days, today, threshold, onDays = seenRule.days } = input;
  const level = input.level!;
  const probability = chanceOfBar(kind, level, threshold);
  const seenDays = countSeenDays(input);
  const newestAge = today - days[days.length - 1]!;
  const percent = chanceWords(probability);
  const base = { probability, level, threshold, seenDays };
  if (newestAge > spec.validDays) {
    return {
      ...base,
      status: 'stale',
      reasons: [`last seen ${newestAge} days ago, good for ${spec.validDays}`],
    };
  }
  if (probability < chanceBars.borderline) {
    return { ...base, status: 'not-yet', reasons: [`chance of the bar tonight ${percent}`] };
  }
  const plain = findPlainAge(input);
  if (plain === null)
    return { ...base, status: 'not-yet', reasons: ['never seen without a fault'] };
  // A look with a fault may only count against: it makes nothing fresh that was not.
  if (plain > spec.validDays) {
    return {
      ...base,
      status: 'stale',
      reasons: [`last seen without a fault ${plain} days ago, good for ${spec.validDays}`],
    };
  }
  if (probability >= chanceBars.met && seenDays >= onDays) {
    return {
      ...base,
      status: 'met',
      reasons: [`bar seen on ${seenDays} days, chance tonight ${percent}`],
    };
  }
  const reasons: string[] = [];
  if (seenDays === 0) reasons.push('bar not seen yet');
  else if (seenDays < onDays) {
    reasons.push(
      seenDays === 1 ? 'bar seen on one day only' : `bar seen on ${seenDays} of ${onDays} days`,
    );
  }
  if (probability < chanceBars.met) reasons.push(`chance of the bar tonight ${percent}`);
  return { ...base, status: 'borderline', reasons };
}

/** Days since the newest record that nothing voids; `null` where there is none. */
function findPlainAge({ spec, records, days, today }: ScoreInput): number | null {
  const at = records.findLastIndex((record) => !isVoided(spec, record));
  return at < 0 ? null : today - days[at]!;
}

function countSeenDays({ spec, records, days, today, threshold }: ScoreInput): number {
  let seen = 0;
  let lastSeen = Number.NaN;
  // The newest come last; beyond the window nothing counts any more.
  for (let index = records.length - 1; index >= 0; index -= 1) {
    const day = days[index]!;
    if (today - day > seenRule.validTimes * spec.validDays) break;
    const record = records[index]!;
    if (record.value < threshold || isVoided(spec, record) || day === lastSeen) continue;
    seen += 1;
    lastSeen = day;
  }
  return seen;
}
