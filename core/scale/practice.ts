/** A scale that is not there: readings for practice and for tests, the same for the same seed. */
import { seededRandom } from '../random';

export interface PracticeDials {
  /** What rests on it in the middle, kilograms. */
  readonly levelKg: number;
  /** Spread of the readings, kilograms. */
  readonly noiseKg: number;
  /** How the zero creeps, kilograms a minute. */
  readonly driftKgPerMinute: number;
  /** Share of readings at which it falls silent for a while, 0 to 1. */
  readonly dropShare: number;
}

export const usualPractice: PracticeDials = {
  levelKg: 5,
  noiseKg: 0.15,
  driftKgPerMinute: 0.3,
  dropShare: 0,
};

export const practiceRule = { everySeconds: 0.1, silentReadings: 15, cycleSeconds: 26 } as const;

/** Load at a moment without noise: on in three seconds, held for fourteen, off in two, a pause. */
function practiceLoad(seconds: number, levelKg: number): number {
  const within = seconds % practiceRule.cycleSeconds;
  if (within < 2) return 0;
  if (within < 5) return (levelKg * (within - 2)) / 3;
  if (within < 19) return levelKg;
  if (within < 21) return (levelKg * (21 - within)) / 2;
  return 0;
}

/** Readings one after the other; `null` is a moment of silence. */
export function* practiceReadings(dials: PracticeDials, seed: number): Generator<number | null> {
  const random = seededRandom(seed);
  let silent = 0;
  for (let index = 0; ; index += 1) {
    const seconds = index * practiceRule.everySeconds;
    // Three uniform draws are normal enough for a scale.
    const noise = (random() + random() + random() - 1.5) * 2 * dials.noiseKg;
    if (silent === 0 && random() < dials.dropShare) silent = practiceRule.silentReadings;
    if (silent > 0) {
      silent -= 1;
      yield null;
      continue;
    }
    const drift = (dials.driftKgPerMinute * seconds) / 60;
    yield practiceLoad(seconds, dials.levelKg) + noise + drift;
  }
}
