/** What of a dose one student does in one round, and how much work that is. Source: handbook 02, 08. */
import { onceSeconds, sayDose, type DoseStep } from '../catalog/dose';
import type { CheckKey } from '../catalog/checks';
import type { DrillWork } from '../catalog/drills';
import type { RegionLoads } from '../catalog/regions';
import type { Capacities } from '../fatigue/reserve';
import { flatMostSeconds, isOnFlat } from '../setups/flat';
import { borneSeconds } from './pace';

export interface RoundDose {
  /** `2 × 5 breaths`. */
  readonly words: string;
  readonly work: DrillWork;
  /** Seconds of each set in the order in which they are done; 0: as long as it is good. */
  readonly spans: readonly number[];
}

/** Seconds of one breath, where nobody has said otherwise. */
export const usualBreathSeconds = 5;
/** Seconds of the shortest set, and breaths of a hold that nobody has timed yet. */
const each = { least: 5, untimedBreaths: 5 } as const;

/** What holds for everybody in a round. */
export interface RoundLimits {
  /** How long this studio counts a breath; absent: as is usual. */
  readonly breathSeconds?: number | undefined;
  /** No set is longer, whoever does it; absent: as long as it can be borne. */
  readonly mostSeconds?: number;
  /** Has this hold of theirs been timed? Absent: it has. */
  readonly isTimed?: (held: CheckKey) => boolean;
}

/** What this studio and this school allow in a round at a stage. */
export const limitsAt = (
  spec: Parameters<typeof isOnFlat>[0],
  settings: Parameters<typeof isOnFlat>[1],
  { breathSeconds }: Pick<RoundLimits, 'breathSeconds'>,
  isTimed: (held: CheckKey) => boolean,
): RoundLimits => ({
  breathSeconds,
  isTimed,
  ...(isOnFlat(spec, settings) ? { mostSeconds: flatMostSeconds } : {}),
});

/**
 * A step as far as somebody can bear it: never more than it asks, and never nothing. A hold that was
 * never timed begins with a few breaths, whatever the shape asks of those who are used to it.
 */
function within(
  step: DoseStep,
  mostSeconds: number,
  breathSeconds: number,
  isTimed: (held: CheckKey) => boolean,
): DoseStep {
  if ('seconds' in step) {
    const isUntimed = step.held !== undefined && !isTimed(step.held);
    const asked = isUntimed
      ? Math.min(step.seconds, Math.floor(each.untimedBreaths * breathSeconds))
      : step.seconds;
    return { ...step, seconds: Math.min(asked, Math.max(each.least, Math.floor(mostSeconds))) };
  }
  if ('breaths' in step) {
    const most = Math.max(1, Math.floor(mostSeconds / breathSeconds));
    const [least, asked] = step.breaths;
    return { ...step, breaths: [Math.min(least, most), Math.min(asked, most)] };
  }
  if ('times' in step && step.breathsEach !== undefined) {
    // What is led by the breath is a hold that moves: the more of a span is for who can bear it.
    const [least, asked] = step.times;
    const most = Math.max(least, Math.floor(mostSeconds / onceSeconds(step, breathSeconds)));
    return { ...step, times: [least, Math.min(asked, most)] };
  }
  return step;
}

function workOfStep(step: DoseStep, breathSeconds: number): DrillWork {
  const sets = (step.sets ?? 1) * (step.per === undefined ? 1 : 2);
  if ('seconds' in step) return { sets, seconds: step.seconds };
  if ('breaths' in step) return { sets, seconds: step.breaths[1] * breathSeconds };
  if ('times' in step) return { sets, seconds: step.times[1] * onceSeconds(step, breathSeconds) };
  return { sets, seconds: 0 };
}

/**
 * The dose of one round for one student: what the shape asks, within two thirds of what they can
 * bear. The rest of the round is rest.
 */
export function doseInRound(
  steps: readonly DoseStep[],
  loads: RegionLoads,
  capacities: Capacities,
  {
    breathSeconds = usualBreathSeconds,
    mostSeconds = Infinity,
    isTimed = () => true,
  }: RoundLimits = {},
): RoundDose {
  const most = Math.min(mostSeconds, borneSeconds(loads, capacities));
  const own = steps.map((step) => within(step, most, breathSeconds, isTimed));
  const work = own.map((step) => workOfStep(step, breathSeconds));
  return {
    // Something that is lain in takes the round as it is.
    words: own.every((step) => 'hold' in step) ? 'the whole round' : sayDose(own),
    work: {
      sets: work.reduce((sum, { sets }) => sum + sets, 0),
      seconds: Math.max(0, ...work.map(({ seconds }) => seconds)),
    },
    spans: work.flatMap(({ sets, seconds }) => Array<number>(sets).fill(seconds)),
  };
}

/** Tries in a round, in words. */
export const sayTries = (tries: number): string => (tries === 1 ? '1 try' : `${tries} tries`);
