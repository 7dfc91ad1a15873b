'use client';

import { sayOnAxis } from '@/design/days';
import { NativeSelect, SegmentedControl, Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { useRouter } from 'next/navigation';
import { useState, type ReactNode } from 'react';
import type { CourseRecord, RecordKind } from './read';
import { EveningChart, tryBars } from './EveningChart';
import { FlowChart } from './FlowChart';
import { FigureTable } from './FigureTable';
import { TriesShown } from './TriesShown';
import classes from './record.module.css';

const dayWords = (date: string) => sayOnAxis(date);

/** The weeks of a course: each chart with its figures as a table behind it, and as a file. */
export function RecordScreen({ record }: { readonly record: CourseRecord }) {
  const router = useRouter();
  const { course, courses, family, families, weeks } = record;
  const go = (patch: { course?: string; family?: string }) => {
    const next = new URLSearchParams({ course: String(course.id), family, ...patch });
    router.push(`/record?${next.toString()}`);
  };
  const file = (what: RecordKind) =>
    `/record/file?course=${course.id}&family=${family}&what=${what}`;
  return (
    <>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          The weeks
        </Title>
        <NativeSelect
          aria-label="Course"
          value={String(course.id)}
          data={courses.map(({ id, name }) => ({ value: String(id), label: name }))}
          onChange={({ currentTarget: { value } }) => go({ course: value })}
        />
        <NativeSelect
          aria-label="Ladder"
          value={family}
          data={families.map(({ id, label }) => ({ value: id, label }))}
          onChange={({ currentTarget: { value } }) => go({ family: value })}
        />
        <Link href={`/record/right?course=${course.id}`} data-alone>
          Was it right?
        </Link>
      </div>
      {weeks.length === 0 ? (
        <p>
          No evening lies behind this course yet. After the first class on the{' '}
          <Link href="/floor">Floor</Link> its weeks stand here.
        </p>
      ) : (
        <div className={classes.grid}>
          <Block
            wide
            title={`Rungs, ${families.find(({ id }) => id === family)?.label.toLowerCase()}`}
            file={file('rungs')}
            chart={<FlowChart record={record} />}
            table={
              <FigureTable
                of="rungs"
                head={['evening', 'rung', 'people', 'who']}
                rows={record.flow.weeks.flatMap(({ on, rungs }) =>
                  rungs.map(({ stage, people }) => [
                    dayWords(on),
                    stage === null ? 'not begun' : (record.labels[stage] ?? stage),
                    String(people.length),
                    people.map((id) => record.names[id]).join(', '),
                  ]),
                )}
              />
            }
          />
          <Block
            title="Who came, and minutes upside down"
            file={file('weeks')}
            chart={<WeeksChart record={record} />}
            table={
              <FigureTable
                of="evenings"
                head={['evening', 'came', 'of', 'minutes upside down']}
                rows={weeks.map(({ date, came, of, upsideMinutes }) => [
                  dayWords(date),
                  String(came),
                  String(of),
                  upsideMinutes.toFixed(1),
                ])}
              />
            }
          />
          <Block
            title="Tries and landings"
            file={file('weeks')}
            chart={<TriesChart record={record} />}
            table={
              <FigureTable
                of="tries"
                head={['evening', 'tries', 'came up', 'soft landings', 'landings seen']}
                rows={weeks.map(({ date, tries, reached, soft, landings }) => [
                  dayWords(date),
                  String(tries),
                  String(reached),
                  String(soft),
                  String(landings),
                ])}
              />
            }
          />
          <Block
            title="What tries and checks showed"
            file={file('tries')}
            chart={<TriesShown seen={record.seen} />}
            table={
              <FigureTable
                of="what was seen"
                head={['seen', 'in', ...record.seen.dates.map(dayWords)]}
                rows={(['faults', 'inChecks'] as const).flatMap((list) =>
                  record.seen[list].map(({ label, counts, of }) => [
                    label,
                    list === 'faults' ? 'tries' : 'checks',
                    ...counts.map((count, at) => `${count} of ${of[at]}`),
                  ]),
                )}
              />
            }
          />
          <Block
            title="What holds the group"
            file={file('checks')}
            chart={<Holds record={record} />}
          />
          <Block
            title="Looking ahead"
            file={file('forecasts')}
            chart={
              record.forecasts.length === 0 ? (
                <p>
                  Nothing rises plainly enough for an honest forecast yet. It takes three meetings
                  in ten weeks, and a trend that is sure.
                </p>
              ) : (
                <ul className={classes.list}>
                  {record.forecasts.slice(0, 10).map(({ personId, name, label, words }) => (
                    <li key={personId + label}>
                      <Link href={`/people/${personId}`}>{name}</Link>, {label}:{' '}
                      <strong>{words}</strong>
                    </li>
                  ))}
                </ul>
              )
            }
          />
          <Block
            title="What the room and the cupboard kept back"
            file={file('limits')}
            chart={
              record.limits.length === 0 ? (
                <p>
                  {record.plannedEvenings === 0
                    ? 'No plan was kept yet: compose an evening on the Plan screen.'
                    : 'Nothing bound the plans that were kept.'}
                </p>
              ) : (
                <ul className={classes.list}>
                  {record.limits.map(({ words, evenings, people }) => (
                    <li key={words}>
                      <strong>{words}</strong>: {evenings} {evenings === 1 ? 'evening' : 'evenings'}
                      {people > 0 && `, ${people} ${people === 1 ? 'person' : 'people'}`}
                    </li>
                  ))}
                </ul>
              )
            }
          />
        </div>
      )}
    </>
  );
}

interface BlockProps {
  readonly title: string;
  readonly file: string;
  readonly chart: ReactNode;
  /** Absent: the chart is its own table. */
  readonly table?: ReactNode;
  readonly wide?: boolean;
}

function Block({ title, file, chart, table, wide }: BlockProps) {
  const [shown, setShown] = useState('chart');
  return (
    <section className={classes.block} data-wide={wide === true} aria-label={title}>
      <div className={classes.blockHead}>
        <h2>{title}</h2>
        {table !== undefined && (
          <SegmentedControl
            size="sm"
            aria-label={`${title}: chart or figures`}
            value={shown}
            data={['chart', 'figures']}
            onChange={setShown}
          />
        )}
        <a href={file} data-alone>
          CSV
        </a>
      </div>
      {shown === 'chart' || table === undefined ? chart : table}
    </section>
  );
}

function WeeksChart({ record }: { readonly record: CourseRecord }) {
  const rows = record.weeks.map(({ date, came, upsideMinutes }) => ({
    day: dayWords(date),
    came,
    upside: Math.round(upsideMinutes * 10) / 10,
  }));
  return (
    <EveningChart
      label="Attendance and minutes upside down by evening"
      rows={rows}
      bars={[{ key: 'came', name: 'came', fill: 'var(--lv-ink)' }]}
      line={{ key: 'upside', name: 'minutes upside down, all together' }}
    />
  );
}

function TriesChart({ record }: { readonly record: CourseRecord }) {
  const rows = record.weeks.map((week) => ({
    day: dayWords(week.date),
    reached: week.reached,
    missed: week.tries - week.reached,
    soft: week.landings === 0 ? null : Math.round((100 * week.soft) / week.landings),
  }));
  return (
    <EveningChart
      label="Tries, those that came up, and soft landings by evening"
      rows={rows}
      bars={tryBars}
      line={{ key: 'soft', name: 'soft landings, of those seen', unit: ' %', domain: [0, 100] }}
    />
  );
}

function Holds({ record }: { readonly record: CourseRecord }) {
  const shown = record.bottlenecks.slice(0, 8);
  if (shown.length === 0) return <p>Nothing holds anybody from the next rung.</p>;
  return (
    <ol className={classes.bars}>
      {shown.map(({ label, people }) => (
        <li key={label}>
          <span className={classes.barLabel}>{label}</span>
          <span className={classes.bar} aria-hidden="true">
            <span style={{ width: `${(100 * people.length) / Math.max(1, record.people)}%` }} />
          </span>
          <span>
            {people.length} of {record.people}
          </span>
        </li>
      ))}
    </ol>
  );
}
