/** Coming down is part of the shape: as slow down as up. Source: handbook 01, 13. */
import { tolerance } from '../tolerance';

/** Two taps by hand, each a little early or late. */
const handTimingErrorS = 0.3;

/** Longer is no way up or down: the clock was forgotten. Seconds. */
export const mostTryS = 60;

export interface UpAndDown {
  /** Seconds from the floor until up; null: not timed. */
  readonly liftS?: number | null | undefined;
  /** Seconds from beginning to come down until the first foot is on the floor. */
  readonly exitS?: number | null | undefined;
}

/**
 * Did somebody come down as slowly as they went up?
 *
 * @param errorS by which the two may differ, seconds
 * @returns null where one of the two was not timed
 */
export function isAsSlowOut(
  { liftS, exitS }: UpAndDown,
  errorS = handTimingErrorS,
): boolean | null {
  if (liftS === null || liftS === undefined || exitS === null || exitS === undefined) return null;
  return exitS + errorS >= liftS - tolerance.roundingS;
}
