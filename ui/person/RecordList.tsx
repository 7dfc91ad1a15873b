import { format, parseISO } from 'date-fns';
import { faultTable, getCheck } from '@/core/catalog/checks';
import { isVoided } from '@/core/readiness/record';
import type { StoredRecord } from '@/server/views';
import classes from './person.module.css';

const shown = 14;

function describe(record: StoredRecord): string {
  const { scoring } = getCheck(record.check);
  if (scoring.kind === 'hold') {
    const breaths = record.breaths === null ? '' : ` (${record.breaths} breaths)`;
    return `${record.stoppedByTeacher ? 'at least ' : ''}${record.value} s${breaths}`;
  }
  return String(record.value);
}

/** The newest records, so that a teacher sees what the verdict stands on. */
export function RecordList({ records }: { readonly records: readonly StoredRecord[] }) {
  const newest = [...records].reverse().slice(0, shown);
  if (newest.length === 0) return <p>Nothing recorded yet. Open a check above and record it.</p>;
  return (
    <table className={classes.records}>
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Check</th>
          <th scope="col">Seen</th>
          <th scope="col">Noted</th>
        </tr>
      </thead>
      <tbody>
        {newest.map((record) => (
          <tr key={record.id}>
            <td>{format(parseISO(record.date), 'd MMM')}</td>
            <td>
              {getCheck(record.check).label}
              {record.side ? `, ${record.side}` : ''}
            </td>
            <td>{describe(record)}</td>
            <td>
              {[
                ...(record.faults ?? []).map((fault) => faultTable[fault]),
                ...(record.pain ? ['pain'] : []),
                ...(isVoided(record.check, record) ? ['counts against only'] : []),
              ].join(', ')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
