import { getWayUp } from '@/core/catalog/waysUp';
import { counted } from '@/core/units/words';
import type { FaultLine, SeenInTries } from './seenInTries';
import classes from './record.module.css';

const supportWords = { strap: 'with a strap', block: 'with a block', free: 'free' } as const;

const share = (part: number, of: number) => (of === 0 ? '–' : `${Math.round((100 * part) / of)} %`);

/** What was seen in tries: each fault over the evenings, and what a prop does for them. */
export function TriesShown({ seen }: { readonly seen: SeenInTries }) {
  const { faults, inChecks, supports, ways, dates } = seen;
  if (faults.length + inChecks.length + supports.length + ways.length === 0) {
    return (
      <p>
        No fault was noted yet: on the Floor each try and each check takes a tap for what it showed.
      </p>
    );
  }
  return (
    <>
      <Faults lines={faults} dates={dates} of="tries" />
      <Faults lines={inChecks} dates={dates} of="checks" />
      {ways.length > 0 && (
        <p>
          {ways
            .map(
              ({ wayUp, tries: count, reached }) =>
                `${getWayUp(wayUp).label}: ${counted(count, 'try', 'tries')}, ${share(reached, count)} came up`,
            )
            .join(' · ')}
        </p>
      )}
      {supports.length > 0 && (
        <p>
          {supports
            .map(
              ({ support, tries: count, reached, soft, landings, timed, asSlow }) =>
                `${supportWords[support]}: ${counted(count, 'try', 'tries')}, ${share(reached, count)} came up, ${share(soft, landings)} landed softly${timed === 0 ? '' : `, ${asSlow} of ${timed} timed came down as slowly as up`}`,
            )
            .join(' · ')}
        </p>
      )}
    </>
  );
}

const mostShown = 6;

/** Each fault over the evenings: how many of those it could be seen in. */
function Faults({
  lines,
  dates,
  of,
}: {
  readonly lines: readonly FaultLine[];
  readonly dates: SeenInTries['dates'];
  readonly of: 'tries' | 'checks';
}) {
  if (lines.length === 0) return null;
  return (
    <>
      <p className={classes.barsHead}>In {of}, evening by evening</p>
      <ol className={classes.bars}>
        {lines.slice(0, mostShown).map(({ fault, label, counts, of: looks, total, ofAll }) => (
          <li key={fault}>
            <span className={classes.barLabel}>{label}</span>
            <span className={classes.evenings} aria-hidden="true">
              {counts.map((count, at) => (
                <span
                  key={dates[at]}
                  style={{ height: `${looks[at] === 0 ? 0 : (100 * count) / looks[at]!}%` }}
                />
              ))}
            </span>
            <span>
              {total} of {ofAll}
            </span>
          </li>
        ))}
      </ol>
    </>
  );
}
