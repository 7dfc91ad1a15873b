import { Link } from '@/design/Link';
import { formatHeight, type LengthUnits } from '@/core/units/length';
import { sayShortDay } from '@/design/days';
import { AnotherWayMark, VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import type { PeopleRow } from '@/features/ladders/read';
import { rungOf, type PeopleFilter } from './filter';
import classes from './people.module.css';

/** How high a row is, CSS pixels; on a phone each is an entry of a list, of four or five lines. */
export const rowPx = 46;
export const phoneRowPx = 146;

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
      <th scope="row" role="rowheader">
        <Link href={`/people/${row.id}`}>{row.name}</Link>
      </th>
      <td role="cell">
        {rung?.kind && (
          <span className={classes.verdict}>
            {rung.isElsewhere ? <AnotherWayMark /> : <VerdictMark kind={rung.kind} />}
            {rung.isElsewhere ? 'another shape' : verdictWords[rung.kind]}
          </span>
        )}
      </td>
      <td role="cell" className={classes.rung}>
        {rung?.present ?? 'not begun'}
      </td>
      <td role="cell" className={classes.courses}>
        {row.courses.join(', ')}
      </td>
      <td role="cell" className={classes.number}>
        {formatHeight(row.heightM, units)}
      </td>
      <td role="cell" className={classes.number} data-before="seen">
        {row.lastSeen === null ? 'never' : sayShortDay(row.lastSeen)}
      </td>
      <td role="cell" data-before="hands-on:">
        {consentWords[row.consent]}
      </td>
      <td role="cell" data-before="screening">
        {row.isScreeningDue ? 'due' : ''}
      </td>
    </>
  );
}
