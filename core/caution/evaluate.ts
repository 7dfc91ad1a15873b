import {
  cautionOutcomes,
  cautionTable,
  type CautionColumn,
  type CautionId,
  type CautionOutcome,
  type CautionSpec,
} from '../catalog/cautions';
import {
  alternativeIds,
  alternativeTable,
  type AlternativeId,
  type AlternativeSpec,
} from '../catalog/alternatives';

export interface CautionVerdict {
  readonly outcome: CautionOutcome;
  /** May the student do shapes of this column at all tonight? */
  readonly isOpen: boolean;
  /** What to do differently, in the order of the reports. */
  readonly adaptations: readonly string[];
  /** The reports that made it as strict as it is. */
  readonly because: readonly CautionId[];
}

/**
 * What a person's reports mean for shapes of one caution column. Several combine to the strictest;
 * the order of the reports does not matter to the outcome. Source: handbook 07.
 */
export function evaluateCautions(
  reported: readonly CautionId[],
  column: CautionColumn,
): CautionVerdict {
  let strictest = 0;
  let because: CautionId[] = [];
  const adaptations: string[] = [];
  for (const id of reported) {
    const cell = (cautionTable[id] as CautionSpec).columns[column];
    if (cell.adaptation !== undefined && !adaptations.includes(cell.adaptation)) {
      adaptations.push(cell.adaptation);
    }
    const rank = cautionOutcomes.indexOf(cell.outcome);
    if (rank > strictest) {
      strictest = rank;
      because = [];
    }
    if (rank === strictest && rank > 0) because.push(id);
  }
  const outcome = cautionOutcomes[strictest];
  return { outcome, isOpen: outcome === 'open' || outcome === 'care', adaptations, because };
}

/**
 * The first alternative that the same cautions leave open. There is always one: the last shape is
 * neither head-down nor on the arms.
 */
export function chooseAlternative(reported: readonly CautionId[]): AlternativeId {
  const found = alternativeIds.find((id) => {
    const { column } = alternativeTable[id] as AlternativeSpec;
    return column === null || evaluateCautions(reported, column).isOpen;
  });
  return found ?? alternativeIds[alternativeIds.length - 1];
}
