import { byName } from '@/core/units/byName';
import { filterPeople, noFilter } from './filter';
import { PersonCells, rowPx } from './PersonCells';
import type { PeopleTableProps } from './PeopleTable';
import classes from './people.module.css';

/** More than a screen holds: the others come with the table that can be searched. */
const most = 40;

const heads = [
  'Name ↑',
  'Next rung',
  'Works at',
  'Courses',
  'Height',
  'Last seen',
  'Hands-on',
  'Screening',
] as const;

/** The first people by name, to read and to follow, while search and sorting are on their way. */
export function PlainPeople({ rows, units }: Omit<PeopleTableProps, 'courses'>) {
  const first = [...filterPeople(rows, noFilter)].sort(byName).slice(0, most);
  return (
    <>
      <div className={`${classes.filters} ${classes.coming}`} />
      <div className={classes.scroller}>
        <table className={classes.people} role="table">
          <thead role="rowgroup">
            <tr role="row">
              <td className={classes.pick} />
              {heads.map((head) => (
                <th key={head} scope="col" role="columnheader">
                  <span className={classes.label}>{head}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody role="rowgroup">
            {first.map((row) => (
              <tr key={row.id} role="row" style={{ height: rowPx }}>
                <td className={classes.pick} />
                <PersonCells row={row} family={noFilter.family} units={units} />
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  );
}
