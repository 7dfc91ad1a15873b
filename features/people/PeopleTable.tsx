'use client';

import { byName } from '@/core/units/byName';
import { answered } from '@/design/answered';
import { Button, Checkbox, Group, NativeSelect, TextInput } from '@mantine/core';
import { useDebouncedValue, useMediaQuery } from '@mantine/hooks';
import {
  createColumnHelper,
  getCoreRowModel,
  getSortedRowModel,
  useReactTable,
  type SortingState,
} from '@tanstack/react-table';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useEffect, useMemo, useRef, useState, useTransition } from 'react';
import { ladderIds, ladderTable } from '@/core/catalog/stage';
import { verdictKinds } from '@/core/ladder/verdictKinds';
import type { LengthUnits } from '@/core/units/length';
import type { PeopleRow } from '@/features/ladders/read';
import { archivePeopleAction } from './actions';
import { verdictWords } from '@/design/marks/VerdictMark';
import { showProblems, showUndo } from '@/design/notices';
import { filterPeople, noFilter, rungOf, type PeopleFilter } from './filter';
import { phoneQuery } from '@/design/phone';
import { PersonCells, phoneRowPx, rowPx, type PersonCellsProps } from './PersonCells';
import classes from './people.module.css';

export interface PeopleTableProps {
  readonly rows: readonly PeopleRow[];
  readonly courses: readonly { readonly id: number; readonly name: string }[];
  readonly units: LengthUnits;
}

const column = createColumnHelper<PeopleRow>();

const any = (label: string) => ({ value: '', label });

/** Everyone: searched, sorted and filtered here; only the rows in view are drawn. */
export function PeopleTable({ rows, courses, units }: PeopleTableProps) {
  const [filter, setFilter] = useState<PeopleFilter>(noFilter);
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const [picked, setPicked] = useState<ReadonlySet<number>>(new Set());
  const [text] = useDebouncedValue(filter.text, 120);
  const shown = useMemo(() => filterPeople(rows, { ...filter, text }), [rows, filter, text]);
  const change = (part: Partial<PeopleFilter>) => setFilter({ ...filter, ...part });

  const columns = useMemo(
    () => [
      column.accessor('name', {
        header: 'Name',
        sortingFn: (a, b) => byName(a.original, b.original),
      }),
      column.accessor((row) => rungOf(row, filter.family)?.kind ?? '', {
        id: 'verdict',
        header: 'Next rung',
        sortingFn: (a, b) => {
          const rank = (row: PeopleRow) => {
            const kind = rungOf(row, filter.family)?.kind;
            return kind ? verdictKinds.indexOf(kind) : verdictKinds.length;
          };
          return rank(a.original) - rank(b.original);
        },
      }),
      column.accessor((row) => rungOf(row, filter.family)?.present ?? '', {
        id: 'rung',
        header: 'Works at',
      }),
      column.accessor((row) => row.courses.join(', '), { id: 'courses', header: 'Courses' }),
      column.accessor('heightM', { header: 'Height' }),
      column.accessor((row) => row.daysAway ?? 1e6, { id: 'seen', header: 'Last seen' }),
      column.accessor('consent', { header: 'Hands-on' }),
      column.accessor((row) => (row.isScreeningDue ? 0 : 1), { id: 'due', header: 'Screening' }),
    ],
    [filter.family],
  );
  // eslint-disable-next-line react-hooks/incompatible-library -- the table and the virtualizer keep state of their own
  const table = useReactTable({
    data: shown,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getRowId: (row) => String(row.id),
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  const sorted = table.getRowModel().rows;
  const scroller = useRef<HTMLDivElement>(null);
  const isPhone = useMediaQuery(phoneQuery, false, { getInitialValueInEffect: false });
  const lineHigh = isPhone ? phoneRowPx : rowPx;
  const virtual = useVirtualizer({
    count: sorted.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => lineHigh,
    overscan: 12,
    // Rows for the first paint, before the window has been measured.
    initialRect: { width: 1000, height: 600 },
  });
  // A turned tablet: the heights of before are not those of now.
  useEffect(() => virtual.measure(), [virtual, lineHigh]);
  const items = virtual.getVirtualItems();
  const before = items[0]?.start ?? 0;
  const after = virtual.getTotalSize() - (items.at(-1)?.end ?? 0);
  const pickedShown = shown.filter(({ id }) => picked.has(id));

  return (
    <>
      <div className={classes.filters} role="search">
        <TextInput
          aria-label="Search by name"
          placeholder="search"
          w={180}
          value={filter.text}
          onChange={(event) => change({ text: event.currentTarget.value })}
        />
        <NativeSelect
          aria-label="Course"
          data={[any('every course'), ...courses.map(({ name }) => name)]}
          value={filter.course}
          onChange={(event) => change({ course: event.currentTarget.value })}
        />
        <NativeSelect
          aria-label="Family"
          data={[
            any('every family'),
            ...ladderIds.map((id) => ({ value: id, label: ladderTable[id].label })),
          ]}
          value={filter.family}
          onChange={(event) =>
            change({ family: event.currentTarget.value as PeopleFilter['family'] })
          }
        />
        <NativeSelect
          aria-label="Verdict"
          data={[
            any('every verdict'),
            ...verdictKinds.map((id) => ({ value: id, label: verdictWords[id] })),
          ]}
          value={filter.verdict}
          onChange={(event) =>
            change({ verdict: event.currentTarget.value as PeopleFilter['verdict'] })
          }
        />
        <Checkbox
          label="screening due"
          checked={filter.isScreeningDue}
          onChange={(event) => change({ isScreeningDue: event.currentTarget.checked })}
        />
        <Checkbox
          label="long absent"
          checked={filter.isLongAbsent}
          onChange={(event) => change({ isLongAbsent: event.currentTarget.checked })}
        />
        <Checkbox
          label="put away"
          checked={filter.isArchived}
          onChange={(event) => change({ isArchived: event.currentTarget.checked })}
        />
        <span className={classes.count} role="status">
          {shown.length} of {rows.length}
        </span>
      </div>
      {pickedShown.length > 0 && (
        <PickedBar people={pickedShown} onDone={() => setPicked(new Set())} />
      )}
      <div className={classes.scroller} ref={scroller}>
        <table className={classes.people} role="table">
          <thead role="rowgroup">
            {table.getHeaderGroups().map((group) => (
              <tr key={group.id} role="row">
                <th scope="col" role="columnheader" className={classes.pick}>
                  <span className={classes.unseen}>Choose</span>
                </th>
                {group.headers.map((header) => {
                  const order = header.column.getIsSorted();
                  return (
                    <th
                      key={header.id}
                      scope="col"
                      role="columnheader"
                      aria-sort={
                        order === 'asc' ? 'ascending' : order === 'desc' ? 'descending' : 'none'
                      }
                    >
                      <button type="button" onClick={header.column.getToggleSortingHandler()}>
                        {String(header.column.columnDef.header)}
                        <span aria-hidden="true">
                          {order === 'asc' ? ' ↑' : order === 'desc' ? ' ↓' : ''}
                        </span>
                      </button>
                    </th>
                  );
                })}
              </tr>
            ))}
          </thead>
          <tbody role="rowgroup">
            {before > 0 && <tr style={{ height: before }} aria-hidden="true" />}
            {items.map(({ index }) => {
              const { original: row } = sorted[index]!;
              return (
                <PersonLine
                  key={row.id}
                  row={row}
                  family={filter.family}
                  units={units}
                  isPicked={picked.has(row.id)}
                  onPick={() => {
                    const next = new Set(picked);
                    if (!next.delete(row.id)) next.add(row.id);
                    setPicked(next);
                  }}
                />
              );
            })}
            {after > 0 && <tr style={{ height: after }} aria-hidden="true" />}
          </tbody>
        </table>
        {sorted.length === 0 && (
          <p className={classes.nobody}>
            Nobody matches.{' '}
            <Button variant="subtle" size="compact-md" onClick={() => setFilter(noFilter)}>
              Show everyone
            </Button>
          </p>
        )}
      </div>
    </>
  );
}

interface PersonLineProps extends PersonCellsProps {
  readonly isPicked: boolean;
  readonly onPick: () => void;
}

function PersonLine({ isPicked, onPick, ...cells }: PersonLineProps) {
  const { row } = cells;
  return (
    <tr
      role="row"
      style={{ height: rowPx }}
      className={row.isArchived ? classes.archived : undefined}
    >
      <td role="cell" className={classes.pick}>
        <Checkbox aria-label={`Choose ${row.name}`} checked={isPicked} onChange={onPick} />
      </td>
      <PersonCells {...cells} />
    </tr>
  );
}

interface PickedBarProps {
  readonly people: readonly PeopleRow[];
  readonly onDone: () => void;
}

/** What can be done with several at once; taken back from the notice. */
function PickedBar({ people, onDone }: PickedBarProps) {
  const [isBusy, startBusy] = useTransition();
  const isAway = people.every(({ isArchived }) => isArchived);
  const run = () =>
    startBusy(async () => {
      // Whoever was away before stays so when it is taken back.
      const turned = people.filter(({ isArchived }) => isArchived === isAway).map(({ id }) => id);
      const outcome = await answered(archivePeopleAction(turned, !isAway));
      if (!outcome.ok) return showProblems(outcome.problems);
      showUndo(isAway ? 'Back among the people.' : 'Put away; the records stay.', () =>
        archivePeopleAction(turned, isAway),
      );
      onDone();
    });
  return (
    <Group className={classes.picked} gap="md">
      <strong>{people.length} chosen</strong>
      <Button size="xs" variant="default" loading={isBusy} onClick={run}>
        {isAway ? 'Bring back' : 'Put away'}
      </Button>
      <Button size="xs" variant="subtle" onClick={onDone}>
        Let go
      </Button>
    </Group>
  );
}
