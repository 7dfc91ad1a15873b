import { cautionColumns, type CautionColumn } from '../catalog/cautionColumns';
import {
  cautionOutcomes,
  cautionTable,
  unknownWordNote,
  type CautionCell,
  type CautionId,
  type CautionOutcome,
  type CautionSpec,
} from '../catalog/cautions';
import { ladderTable, type LadderId } from '../catalog/stage';
import { sayDay, type Day } from '../units/day';
import { findClearance, listOpenSigns, type Care, type Clearance } from './care';

export interface CautionVerdict {
  readonly outcome: CautionOutcome;
  /** May the student do shapes of this kind at all tonight? */
  readonly isOpen: boolean;
  /** Allowed, but somebody should look. */
  readonly isWatched: boolean;
  /** What to do differently, in the order of the reports. */
  readonly adaptations: readonly string[];
  /** The reports that made it as strict as it is. */
  readonly because: readonly CautionId[];
  /** A stop sign of an earlier class closes it until a clinician's word is noted. */
  readonly hasOpenSign: boolean;
  /** As strict only for what is new to them, or away from every support. */
  readonly onlyFor?: 'new' | 'free';
}

/** What the cautions need to know of a shape. */
export interface ShapeKind {
  readonly columns: readonly CautionColumn[];
  readonly ladder?: LadderId;
  /** Away from every support. */
  readonly isFree?: boolean;
  /** Beyond what the student has practised. */
  readonly isNew?: boolean;
}

const rankOf = (outcome: CautionOutcome) => cautionOutcomes.indexOf(outcome);
const stricter = (a: CautionOutcome, b: CautionOutcome) => (rankOf(a) >= rankOf(b) ? a : b);

/** Columns that a serious stop sign closes: every inversion and every load on the neck. */
const signColumns: readonly CautionColumn[] = ['mild', 'light', 'neck', 'shoulders'];

/**
 * What a person's reports mean for a shape: the strictest over reports and columns, whatever their
 * order. A clinician's word lifts `refer` and `closed` to `care` where it names them; what is
 * closed today stays closed today. Source: handbook 07.
 */
export function evaluateCautions(care: Care, shape: ShapeKind, asOf: Day): CautionVerdict {
  let outcome: CautionOutcome = 'open';
  let because: CautionId[] = [];
  let onlyFor: CautionVerdict['onlyFor'];
  const adaptations: string[] = [];
  const note = (words: string | undefined) => {
    if (words !== undefined && !adaptations.includes(words)) adaptations.push(words);
  };
  for (const id of care.reports) {
    for (const column of shape.columns) {
      const cell: CautionCell = (cautionTable[id] as CautionSpec).columns[column];
      note(cell.adaptation);
      const found = lift(cell, id, column, care, shape, asOf);
      if (found.by !== null) note(scopeWords(found.by));
      if (rankOf(found.outcome) > rankOf(outcome)) {
        outcome = found.outcome;
        because = [];
        onlyFor = found.onlyFor;
      }
      if (found.outcome === outcome && outcome !== 'open' && !because.includes(id))
        because.push(id);
    }
  }
  if (care.otherWords.length > 0 && shape.columns.length > 0) {
    note(unknownWordNote);
    outcome = stricter(outcome, 'care');
  }
  const hasOpenSign = shape.columns.some((column) => {
    // Any of them: a newer sign takes nothing back of an older one.
    const signs = listOpenSigns(care, asOf, { column, ladder: shape.ladder });
    return signs.some(
      ({ sign }) => signColumns.includes(column) || (column === 'wrists' && sign === 'tingling'),
    );
  });
  if (!hasOpenSign) {
    for (const column of shape.columns) {
      const by = findSignNote(care, asOf, column, shape.ladder);
      if (by === null) continue;
      note(scopeWords(by));
      outcome = stricter(outcome, 'care');
    }
  }
  if (hasOpenSign) {
    outcome = 'closed';
    onlyFor = undefined;
  }
  const isOpen = outcome === 'open' || outcome === 'care';
  return {
    outcome,
    isOpen,
    isWatched: outcome === 'care',
    adaptations,
    because,
    hasOpenSign,
    ...(onlyFor === undefined || isOpen ? {} : { onlyFor }),
  };
}

/** What a clinician's word covers, and its last day, wherever it lifts something. */
function scopeWords({ covers, ladders, until }: Clearance): string {
  const kinds = covers.map((column) => cautionColumns[column]).join(', ');
  const where =
    ladders === undefined
      ? ''
      : ` (${ladders.map((ladder) => ladderTable[ladder].label.toLowerCase()).join(', ')})`;
  return `as the clinician’s word allows: ${kinds}${where}, until ${sayDay(until)}`;
}

/** Where a sign would close this column: the note that answers it. */
function findSignNote(
  care: Care,
  asOf: Day,
  column: CautionColumn,
  ladder: LadderId | undefined,
): Clearance | null {
  const wasSeen = care.signs.some(
    ({ date, sign }) =>
      date <= asOf &&
      (signColumns.includes(column) || (column === 'wrists' && sign === 'tingling')),
  );
  return wasSeen ? findClearance(care.clearances, 'stop-sign', column, ladder, asOf) : null;
}

function lift(
  cell: CautionCell,
  id: CautionId,
  column: CautionColumn,
  care: Care,
  shape: ShapeKind,
  asOf: Day,
): { outcome: CautionOutcome; by: Clearance | null; onlyFor: CautionVerdict['onlyFor'] } {
  const isStrict =
    (cell.strictFor?.which === 'free' && shape.isFree === true) ||
    (cell.strictFor?.which === 'new' && shape.isNew === true);
  const outcome = isStrict ? stricter(cell.outcome, cell.strictFor!.outcome) : cell.outcome;
  const canLift = outcome === 'refer' || outcome === 'closed';
  const by =
    canLift && !(cell.onlyPractised && shape.isNew === true)
      ? findClearance(care.clearances, id, column, shape.ladder, asOf)
      : null;
  const isStricter = isStrict && rankOf(outcome) > rankOf(cell.outcome);
  return {
    outcome: by === null ? outcome : 'care',
    by,
    onlyFor: by === null && isStricter ? cell.strictFor!.which : undefined,
  };
}
