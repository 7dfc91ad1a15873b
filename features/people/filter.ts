import type { LadderId } from '@/core/catalog/stage';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { PeopleRow } from '@/features/ladders/read';

export interface PeopleFilter {
  readonly text: string;
  readonly course: string;
  readonly family: LadderId | '';
  readonly verdict: VerdictKind | '';
  readonly isScreeningDue: boolean;
  readonly isLongAbsent: boolean;
  /** Those put away instead of those who are here. */
  readonly isArchived: boolean;
}

export const noFilter: PeopleFilter = {
  text: '',
  course: '',
  family: '',
  verdict: '',
  isScreeningDue: false,
  isLongAbsent: false,
  isArchived: false,
};

/** Four weeks without a record. */
const longAbsentDays = 28;

/** Letters without their accents, so that "jorun" finds Jórun. */
export const plain = (text: string): string =>
  text
    .normalize('NFD')
    .replace(/\p{Diacritic}/gu, '')
    .toLowerCase();

/** The rung shown for a person: of the family asked for, or the first ladder they have begun. */
export function rungOf(
  row: PeopleRow,
  family: LadderId | '',
): PeopleRow['rungs'][number] | undefined {
  return family === '' ? row.rungs[0] : row.rungs.find((rung) => rung.family === family);
}

/** Everyone who fits every part of the filter; words in any order. */
export function filterPeople(rows: readonly PeopleRow[], filter: PeopleFilter): PeopleRow[] {
  const words = plain(filter.text).split(/\s+/).filter(Boolean);
  return rows.filter((row) => {
    if (row.isArchived !== filter.isArchived) return false;
    if (filter.course !== '' && !row.courses.includes(filter.course)) return false;
    if (filter.isScreeningDue && !row.isScreeningDue) return false;
    if (filter.isLongAbsent && !(row.daysAway === null || row.daysAway > longAbsentDays))
      return false;
    if (filter.family !== '' && rungOf(row, filter.family) === undefined) return false;
    if (filter.verdict !== '') {
      const rungs = filter.family === '' ? row.rungs : [rungOf(row, filter.family)!];
      if (!rungs.some(({ kind }) => kind === filter.verdict)) return false;
    }
    const name = plain(row.name);
    return words.every((word) => name.includes(word));
  });
}
