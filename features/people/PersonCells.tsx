import Link from 'next/link';
import { formatHeight, type LengthUnits } from '@/core/units/length';
import { sayShortDay } from '@/design/days';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import type { PeopleRow } from '@/features/ladders/read';
import { rungOf, type PeopleFilter } from './filter';
import classes from './people.module.css';

/** How high a row is, CSS pixels. */
export const rowPx = 46;

const consentWords = { yes: 'yes', ask: 'ask', no: 'no' } as const;

export interface PersonCellsProps {
  readonly row: PeopleRow;
  readonly family: PeopleFilter['family'];
  readonly units: LengthUnits;
}

/** What the table says of one person, but for the box to choose them. */
export function PersonCells({ row, family, units }: PersonCellsProps) {
  const rung = rungOf(row, family);
  return (
    <>
      <th scope="row">
        <Link href={`/people/${row.id}`} prefetch={false}>
          {row.name}
        </Link>
      </th>
      <td>
        {rung?.kind && (
          <span className={classes.verdict}>
            {rung.isElsewhere ? <AnotherWayMark /> : <VerdictMark kind={rung.kind} />}
            {rung.isElsewhere ? 'another shape' : verdictWords[rung.kind]}
          </span>
        )}
      </td>
      <td>{rung?.present ?? 'not begun'}</td>
      <td className={classes.courses}>{row.courses.join(', ')}</td>
      <td className={classes.number}>{formatHeight(row.heightM, units)}</td>
      <td className={classes.number}>
        {row.lastSeen === null ? 'never' : sayShortDay(row.lastSeen)}
      </td>
      <td>{consentWords[row.consent]}</td>
      <td>{row.isScreeningDue ? 'due' : ''}</td>
    </>
  );
}
