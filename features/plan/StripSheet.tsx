import { doneByAll } from '@/core/compose/sittingOut';
import { drillsOf } from '@/core/compose/prepared';
import type { PlanFile } from '@/core/files/planFile';
import { StripView } from '@/design/atlas/StripView';
import { StationRow } from '@/features/evening/StationRow';
import { clockAt, type DrawingContext } from '@/features/evening/marks';
import type { ClassView } from '@/server/judging/classViews';
import classes from './print.module.css';

interface StripSheetProps {
  readonly view: ClassView;
  readonly plan: PlanFile;
  readonly context: DrawingContext;
}

/** The class as drawings on one page, to put on the floor: read from standing, and no word of care. */
export function StripSheet({ view, plan, context }: StripSheetProps) {
  const drills = drillsOf(view.prepared);
  const lines = plan.timeline.filter(({ kind }) => kind !== 'arrive' && kind !== 'settle');
  const rounds = lines.filter(({ kind }) => kind === 'round').map(({ id }) => id);
  return (
    <section
      className={`${classes.sheet} ${classes.stripSheet}`}
      data-sheet="strip"
      aria-label="The class as drawings"
    >
      <ol className={classes.strips} data-many={lines.length > 12 || undefined}>
        {lines.map((item) => {
          const drill = doneByAll(item);
          const move = drill === null ? undefined : drills[drill]?.move;
          return (
            <li key={item.id} data-kind={item.kind}>
              <p>
                <strong>{clockAt(view.meeting.startsAt, item.startsAt)}</strong> {item.label}
              </p>
              {move !== undefined && <StripView move={move} label={item.label} heightPx={86} />}
              {item.kind === 'round' && (
                <StationRow
                  plan={plan}
                  round={rounds.indexOf(item.id)}
                  context={context}
                  pxPerM={26}
                  wraps
                />
              )}
            </li>
          );
        })}
      </ol>
    </section>
  );
}
