/** Everything that is said of a clip, in one go: so that it can be worked out beside the interface. */
import { InputProblem } from '../../problem';
import type { HeldMeasureId, Measured } from '../measureTable';
import { readClip, type ClipReading } from './clip';
import { courseOf, tellingFrames, type CoursePoint, type TellingFrame } from './course';
import type { ClipInput } from './frames';
import { readHolds } from './holds';

export interface WholeClip {
  readonly reading: ClipReading;
  readonly holds: Readonly<Partial<Record<HeldMeasureId, Measured>>>;
  readonly course: readonly CoursePoint[];
  readonly telling: readonly TellingFrame[];
}

/** @returns `null` where the marks are no clip of a person */
export function readWholeClip(input: ClipInput): WholeClip | null {
  try {
    const reading = readClip(input);
    return {
      reading,
      holds: readHolds(input),
      course: courseOf(input),
      telling: tellingFrames(
        reading,
        input.frames.map(({ atS }) => atS),
      ),
    };
  } catch (error) {
    if (!(error instanceof InputProblem)) throw error;
    return null;
  }
}
