import type { CheckInSchool } from '@/core/catalog/school';
import type { Bottleneck } from './read';
import { rowOf } from '@/server/judging/gateRows';
import { RecordButton } from '@/features/check/RecordButton';
import classes from './ladders.module.css';

interface BottlenecksProps {
  readonly bottlenecks: readonly Bottleneck[];
  readonly count: number;
  readonly school: ReadonlyMap<string, CheckInSchool>;
  readonly today: string;
  readonly breathSeconds: number;
}

const mostShown = 8;
const mostNamed = 8;

/** The checks that keep most people from their next rung, the commonest first. */
export function Bottlenecks({
  bottlenecks,
  count,
  school,
  today,
  breathSeconds,
}: BottlenecksProps) {
  if (bottlenecks.length === 0) return null;
  return (
    <section aria-label="What holds the group" className={classes.bottlenecks}>
      <h2>What holds the group</h2>
      <ol>
        {bottlenecks.slice(0, mostShown).map(({ label, check, base, people, rungs }) => {
          const spec = school.get(check)?.spec;
          return (
            <li key={label}>
              <span className={classes.bar} aria-hidden="true">
                <span style={{ width: `${(100 * people.length) / Math.max(1, count)}%` }} />
              </span>
              <span>
                <strong>{label}</strong>: {people.length}{' '}
                {people.length === 1 ? 'person' : 'people'}, {rungs}{' '}
                {rungs === 1 ? 'rung' : 'rungs'}
                <small>
                  {people
                    .slice(0, mostNamed)
                    .map(({ name }) => name)
                    .join(', ')}
                  {people.length > mostNamed ? ` and ${people.length - mostNamed} more` : ''}
                </small>
              </span>
              {spec && (
                <RecordButton
                  people={people}
                  row={rowOf(check, base, spec)}
                  today={today}
                  breathSeconds={breathSeconds}
                  label="Record all"
                />
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
