import { Title } from '@mantine/core';
import { readCourseParam } from '@/server/courseParam';
import { rowOf } from '@/server/judging/gateRows';
import { moveOfCheck } from '@/core/catalog/checks';
import { sayMethod } from '@/core/catalog/taking';
import { StripView } from '@/design/atlas/StripView';
import { readChecks } from './read';
import { CoursePicker } from './CoursePicker';
import { MinutesPicker } from './MinutesPicker';
import { CautionLine, Page } from '@/design/Page';
import { Said } from '@/design/units';
import { RecordButton } from '@/features/check/RecordButton';
import { RecordDesk } from '@/features/check/RecordDesk';
import classes from './ladders.module.css';

interface ChecksPageProps {
  readonly searchParams: Promise<{
    readonly course?: string | string[];
    readonly minutes?: string | string[];
  }>;
}

const usualMinutes = 8;
const mostMinutes = 60;

export async function ChecksPage({ searchParams }: ChecksPageProps) {
  const params = await searchParams;
  const asked = typeof params.minutes === 'string' ? Number(params.minutes) : usualMinutes;
  const minutes = Number.isFinite(asked) ? Math.min(mostMinutes, Math.max(1, asked)) : usualMinutes;
  const view = readChecks(minutes, readCourseParam(params.course));
  const { slots, door, settings, today, school } = view;
  return (
    <Page>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          Checks worth taking
        </Title>
        <CoursePicker courses={view.courses} chosen={view.course?.id ?? null} />
        <MinutesPicker minutes={minutes} />
        <p className={classes.sub}>
          {view.minutesUsed.toFixed(1)} of {minutes} min used, the most telling first
        </p>
      </div>
      {slots.length === 0 ? (
        <p>
          Nothing to look at would change a verdict tonight. Place people on their rungs, or come
          back when something grows old.
        </p>
      ) : (
        <RecordDesk>
          <ol className={classes.slots}>
            {slots.map((slot) => {
              const base = slot.base ?? null;
              const spec = school.checks.get(slot.check)!.spec;
              const move = moveOfCheck(spec, slot.base);
              const method = sayMethod(spec);
              return (
                <li key={`${slot.check}/${base ?? ''}`}>
                  <span className={classes.minutes}>{slot.minutes.toFixed(1)} min</span>
                  <div>
                    <h2>{slot.label}</h2>
                    {move !== null && (
                      <div className={classes.how}>
                        <StripView
                          move={move}
                          label={`How it is taken: ${slot.label}`}
                          heightPx={84}
                        />
                      </div>
                    )}
                    {method !== undefined && <p>{method}</p>}
                    <p>
                      {slot.isTogether ? 'one clock for all: ' : 'one after the other: '}
                      {slot.people.map(({ name }) => name).join(', ')}
                    </p>
                    <p className={classes.hint}>
                      <Said>{slot.people[0]?.why ?? ''}</Said>
                    </p>
                  </div>
                  <RecordButton
                    people={slot.people}
                    row={slot.row ?? rowOf(slot.check, base, spec)}
                    today={today}
                    breathSeconds={settings.breathSeconds}
                  />
                </li>
              );
            })}
          </ol>
        </RecordDesk>
      )}
      {door.length > 0 && (
        <section className={classes.bottlenecks}>
          <h2>At the door</h2>
          <ul className={classes.waiting}>
            {door.map(({ id, name, labels }) => (
              <li key={id} style={{ gridTemplateColumns: '1fr' }}>
                <span>
                  {name}: {labels.join(', ').toLowerCase()}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      <CautionLine />
    </Page>
  );
}
