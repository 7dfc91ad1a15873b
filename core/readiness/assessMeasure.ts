import type { Assessment, ScoreInput } from './assess';
import type { Scoring } from '../catalog/checks';
import { sayValue, suffixOf } from '../catalog/sayCheck';
import { isVoided, readByWords } from './record';

type MeasureScoring = Extract<Scoring, { readonly readingError: number }>;

/** The newest value inside its valid days against its bar (handbook 06 "Measures and ratings"). */
export function assessMeasure(input: ScoreInput, scoring: MeasureScoring): Assessment {
  const { spec, records, days, today, threshold } = input;
  const base = { probability: null, threshold };
  const age = today - days[days.length - 1]!;
  if (age > spec.validDays) {
    return {
      ...base,
      status: 'stale',
      reasons: [`last measured ${age} days ago, good for ${spec.validDays}`],
    };
  }
  const newest = records[records.length - 1]!;
  const shortBy = scoring.better === 'more' ? threshold - newest.value : newest.value - threshold;
  // What is read off a picture has an error of its own (handbook 13): the larger one counts.
  const error = Math.max(scoring.readingError, newest.readingError ?? 0);
  const value = newest.readBy === undefined ? newest.value : Math.round(newest.value * 10) / 10;
  const by =
    newest.readBy === undefined
      ? ''
      : ` (${readByWords[newest.readBy]}, give or take ${error.toFixed(1)}${suffixOf(spec, 'cm')})`;
  // In centimetres: whoever shows it says it in the studio's units (`sayReading`).
  const say = (one: number) => sayValue(spec, one, 'cm');
  const bar = scoring.better === 'less' ? `at most ${say(threshold)}` : say(threshold);
  const shown = `${say(value)}${by}, bar ${bar}`;
  // A voided measure may only count against: at the bar it proves nothing.
  if (isVoided(spec, newest)) {
    return { ...base, status: 'not-yet', reasons: [`${shown}, with a fault that voids it`] };
  }
  if (shortBy <= 0) return { ...base, status: 'met', reasons: [shown] };
  return {
    ...base,
    status: shortBy <= error ? 'borderline' : 'not-yet',
    reasons: [shown],
  };
}
