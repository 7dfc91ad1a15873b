import type { Assessment, ScoreInput } from './assess';
import type { Scoring } from '../catalog/checks';
import { isVoided } from './record';

type MeasureScoring = Extract<Scoring, { readonly readingError: number }>;

const unitWords = {
  cm: 'cm',
  degrees: '°',
  percent: '% of body weight',
  rung: '',
  points: 'of 10',
} as const satisfies Record<MeasureScoring['unit'], string>;

/** The newest value inside its valid days against its bar (handbook 06 "Measures and ratings"). */
export function assessMeasure(input: ScoreInput, scoring: MeasureScoring): Assessment {
  const { spec, records, days, today, threshold } = input;
  const base = { probability: null, threshold };
  const age = today - days[days.length - 1]!;
  if (age > spec.validDays) {
    return {
      ...base,
      status: 'stale',
      reasons: [`last measured ${age} days ago; good for ${spec.validDays}`],
    };
  }
  const newest = records[records.length - 1]!;
  const shortBy = scoring.better === 'more' ? threshold - newest.value : newest.value - threshold;
  const unit = unitWords[scoring.unit];
  const shown = `${newest.value} ${unit}, bar ${threshold}`.replace(' ,', ',').replace(' °', '°');
  // A voided measure may only count against: at the bar it proves nothing.
  if (isVoided(spec, newest)) {
    return { ...base, status: 'not-yet', reasons: [`${shown}, with a fault that voids it`] };
  }
  if (shortBy <= 0) return { ...base, status: 'met', reasons: [shown] };
  return {
    ...base,
    status: shortBy <= scoring.readingError ? 'borderline' : 'not-yet',
    reasons: [shown],
  };
}
