import { screeningDays, type CautionColumn, type CautionId } from '../catalog/cautions';
import type { PainPlace, StopSign } from '../catalog/regions';
import type { LadderId } from '../catalog/stage';
import { daysBetween, type Day } from '../units/day';

/**
 * A note that a clinician has given their word: what it is about, which kinds of shape it covers
 * and until when. The teacher notes; nobody here clears. Source: handbook 07.
 */
export interface Clearance {
  /** The report it answers, or the stop sign of the last time. */
  readonly about: CautionId | 'stop-sign';
  readonly covers: readonly CautionColumn[];
  /** Only these ladders; absent: all. */
  readonly ladders?: readonly LadderId[];
  readonly notedOn: Day;
  /** Last day on which it counts. */
  readonly until: Day;
}

/** A stop sign seen in class. */
export interface SignReport {
  readonly sign: StopSign;
  readonly date: Day;
}

/** Pain that was reported outside a check. */
export interface PainReport {
  readonly place: PainPlace;
  readonly date: Day;
}

/** What is known about a person that restricts, and what lifts it. */
export interface Care {
  readonly reports: readonly CautionId[];
  /** Words of the teacher's own, in no list: they never open anything. */
  readonly otherWords: readonly string[];
  readonly clearances: readonly Clearance[];
  readonly signs: readonly SignReport[];
  /** Pain reported outside a check, in class; pain within one is in its record. */
  readonly pains?: readonly PainReport[];
  /** Newest day on which the student said, and the teacher noted, that earlier pain is gone. */
  readonly painClearedOn?: Day;
}

export const noCare: Care = { reports: [], otherWords: [], clearances: [], signs: [] };

/** Does a note answer this report for this kind of shape today? It lifts only what it names. */
export function isCleared(
  clearances: readonly Clearance[],
  about: Clearance['about'],
  column: CautionColumn,
  ladder: LadderId | undefined,
  asOf: Day,
): boolean {
  return clearances.some(
    (note) =>
      note.about === about &&
      note.covers.includes(column) &&
      (note.ladders === undefined || (ladder !== undefined && note.ladders.includes(ladder))) &&
      note.notedOn <= asOf &&
      asOf <= note.until,
  );
}

/** The stop sign that still closes, newest first: none of them answered since. */
export function findOpenSign(care: Care, asOf: Day): SignReport | null {
  const open = care.signs
    .filter(({ date }) => date <= asOf)
    .filter(
      ({ date }) =>
        // The word answers what came before it; a new sign needs a new word.
        !care.clearances.some(
          (note) => note.about === 'stop-sign' && note.notedOn >= date && note.notedOn <= asOf,
        ),
    )
    .sort((a, b) => (a.date < b.date ? 1 : -1));
  return open[0] ?? null;
}

/** Is it time to ask again? Somebody never asked is due (handbook 07 "Screening"). */
export function isScreeningDue(screenedOn: Day | null, asOf: Day): boolean {
  return screenedOn === null || daysBetween(screenedOn, asOf) > screeningDays;
}
