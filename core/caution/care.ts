import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import { screeningDays, type CautionId } from '../catalog/cautions';
import type { PainPlace, StopSign } from '../catalog/regions';
import { ladderIds, type LadderId } from '../catalog/stage';
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
  /** Never asked about any of it: open only if confirmed at the door (handbook 07 "Screening"). */
  readonly isNeverScreened?: true;
  /** Newest day on which the student said, and the teacher noted, that earlier pain is gone. */
  readonly painClearedOn?: Day;
}

const allColumns = Object.keys(cautionColumns) as CautionColumn[];

export const noCare: Care = { reports: [], otherWords: [], clearances: [], signs: [] };

/** The note that answers this report for this kind of shape today; it lifts only what it names. */
export function findClearance(
  clearances: readonly Clearance[],
  about: Clearance['about'],
  column: CautionColumn,
  ladder: LadderId | undefined,
  asOf: Day,
): Clearance | null {
  return (
    clearances.find(
      (note) =>
        note.about === about &&
        note.covers.includes(column) &&
        (note.ladders === undefined || (ladder !== undefined && note.ladders.includes(ladder))) &&
        note.notedOn <= asOf &&
        asOf <= note.until,
    ) ?? null
  );
}

/** A kind of shape, on a ladder where it is on one. */
export interface ShapeAsked {
  readonly column: CautionColumn;
  readonly ladder?: LadderId | undefined;
}

/**
 * The stop signs that still close, newest first: none of them answered since. A note answers for
 * what it covers, on its ladders, until its last day, and for nothing else.
 *
 * @param shape absent: is there a sign that still closes anything?
 */
export function listOpenSigns(care: Care, asOf: Day, shape?: ShapeAsked): SignReport[] {
  const columns = shape === undefined ? allColumns : [shape.column];
  const ladders = shape === undefined ? ladderIds : [shape.ladder];
  const answers = ({ date }: SignReport, column: CautionColumn, ladder: LadderId | undefined) =>
    // The word answers what came before it; a new sign needs a new word.
    care.clearances.some(
      (note) =>
        note.notedOn >= date && findClearance([note], 'stop-sign', column, ladder, asOf) !== null,
    );
  return care.signs
    .filter(({ date }) => date <= asOf)
    .filter((sign) =>
      columns.some((column) => ladders.some((ladder) => !answers(sign, column, ladder))),
    )
    .sort((a, b) => (a.date < b.date ? 1 : -1));
}

/** The newest of them. */
export const findOpenSign = (care: Care, asOf: Day): SignReport | null =>
  listOpenSigns(care, asOf)[0] ?? null;

/** Is it time to ask again? Somebody never asked is due (handbook 07 "Screening"). */
export function isScreeningDue(screenedOn: Day | null, asOf: Day): boolean {
  return screenedOn === null || daysBetween(screenedOn, asOf) > screeningDays;
}
