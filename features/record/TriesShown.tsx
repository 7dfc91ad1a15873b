import { getWayUp } from '@/core/catalog/waysUp';
import { counted } from '@/core/units/words';
import type { SeenInTries } from './seenInTries';
import classes from './record.module.css';

const supportWords = { strap: 'with a strap', block: 'with a block', free: 'free' } as const;

const share = (part: number, of: number) => (of === 0 ? '–' : `${Math.round((100 * part) / of)} %`);

/** What was seen in tries: each fault over the evenings, and what a prop does for them. */
export function TriesShown({ seen }: { readonly seen: SeenInTries }) {
  const { faults, supports, ways, tries, dates } = seen;
  if (faults.length + supports.length + ways.length === 0) {
    return (
      <p>Nothing was noted of tries yet: on the Floor each try takes a tap for what it showed.</p>
    );
  }
  return (
    <>
      {faults.length > 0 && (
        <ol className={classes.bars}>
          {faults.slice(0, 6).map(({ fault, label, counts, total }) => (
            <li key={fault}>
              <span className={classes.barLabel}>{label}</span>
              <span className={classes.evenings} aria-hidden="true">
                {counts.map((count, at) => (
                  <span
                    key={dates[at]}
                    style={{ height: `${tries[at] === 0 ? 0 : (100 * count) / tries[at]!}%` }}
                  />
                ))}
              </span>
              <span>
                {total} of {tries.reduce((sum, count) => sum + count, 0)} tries
              </span>
            </li>
          ))}
        </ol>
      )}
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
