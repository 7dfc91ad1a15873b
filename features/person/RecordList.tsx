import { sayShortDay } from '@/design/days';
import { faultTable, type CheckKey, type CheckSpec } from '@/core/catalog/checks';
import { sayValue } from '@/core/catalog/sayCheck';
import { painPlaceTable } from '@/core/catalog/regions';
import type { LengthUnits } from '@/core/units/length';
import { isVoided, readByWords } from '@/core/readiness/record';
import type { StoredRecord } from '@/server/judging/views';
import classes from './person.module.css';

const shown = 14;

type Checks = Readonly<Record<CheckKey, CheckSpec>>;

function describe(record: StoredRecord, spec: CheckSpec | undefined, units: LengthUnits): string {
  if (spec?.scoring.kind === 'hold') {
    const breaths = record.breaths === null ? '' : ` (${record.breaths} breaths)`;
    return `${record.stoppedByTeacher ? 'at least ' : ''}${sayValue(spec, record.value, units)}${breaths}`;
  }
  // A check that is gone from the catalog has a number and no unit.
  return spec === undefined ? String(record.value) : sayValue(spec, record.value, units);
}

/** What it was read off, and how sure that is. */
function readWords(
  { readBy, readingError }: StoredRecord,
  spec: CheckSpec | undefined,
  units: LengthUnits,
): string {
  if (readBy === undefined) return '';
  if (!readingError) return readByWords[readBy];
  const error = Math.round(readingError * 10) / 10;
  return `${readByWords[readBy]}, give or take ${spec === undefined ? error : sayValue(spec, error, units)}`;
}

/** The newest records, so that a teacher sees what the verdict stands on. */
export function RecordList({
  records,
  checks,
  units,
}: {
  readonly records: readonly StoredRecord[];
  readonly checks: Checks;
  readonly units: LengthUnits;
}) {
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
            <td>{sayShortDay(record.date)}</td>
            <td>
              {checks[record.check]?.label ?? record.check}
              {record.base ? `, ${record.base}` : ''}
              {record.side ? `, ${record.side}` : ''}
            </td>
            <td>{describe(record, checks[record.check], units)}</td>
            <td>
              {[
                ...(record.readBy ? [readWords(record, checks[record.check], units)] : []),
                ...(record.faults ?? []).map((fault) => faultTable[fault].label),
                ...(record.pain
                  ? [record.painPlace ? `pain: ${painPlaceTable[record.painPlace].label}` : 'pain']
                  : []),
                ...(checks[record.check] && isVoided(checks[record.check]!, record)
                  ? ['counts against only']
                  : []),
              ].join(', ')}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
