/** Everything that is taken of a body with a tape: lengths and girths, by one list of names. */
import { findGirthProblem, girthIds, girthTable, type GirthId, type Girths } from './girths';
import { findLengthProblem, type BodyInput } from './body';
import { lengthIds, lengthTable, type LengthId } from './lengths';

export type TakenId = LengthId | GirthId;

export const takenTable: Readonly<
  Record<TakenId, { readonly label: string; readonly howTo: string }>
> = { ...lengthTable, ...girthTable };
export const takenIds = [...lengthIds, ...girthIds] as [TakenId, ...TakenId[]];

const girthSet: ReadonlySet<string> = new Set(girthIds);
export const isGirth = (id: TakenId): id is GirthId => girthSet.has(id);

/** What is wrong with a measure somebody typed, as a sentence; nothing when it is plausible. */
export const findTakenProblem = (id: TakenId, metres: number, heightM: number): string | null =>
  isGirth(id) ? findGirthProblem(id, metres, heightM) : findLengthProblem(id, metres, heightM);

/** A list of measures as a body holds them; girths are absent where none was taken. */
export function bodyOfTaken(
  rows: readonly { readonly length: TakenId; readonly metres: number }[],
): Pick<BodyInput, 'lengths' | 'girths'> {
  const lengths: Partial<Record<LengthId, number>> = {};
  const girths: Partial<Record<GirthId, number>> = {};
  for (const { length, metres } of rows) {
    if (isGirth(length)) girths[length] = metres;
    else lengths[length] = metres;
  }
  return { lengths, ...(Object.keys(girths).length === 0 ? {} : { girths: girths as Girths }) };
}
