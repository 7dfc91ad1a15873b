import { doneByAll } from '@/core/compose/sittingOut';
import { drillsOf } from '@/core/compose/prepared';
import { findOption } from '@/core/compose/readBack';
import { stageIds, stageTable } from '@/core/catalog/stages';
import type { MoveId } from '@/core/atlas/moves';
import type { PlanFile } from '@/core/files/planFile';
import { StripView } from '@/design/atlas/StripView';
import { clockAt } from '@/features/evening/marks';
import type { ClassView } from '@/server/judging/classViews';
import classes from './print.module.css';

interface StripSheetProps {
  readonly view: ClassView;
  readonly plan: PlanFile;
}

interface Shown {
  readonly letters: readonly string[];
  readonly label: string;
  readonly move: MoveId | null;
}

/** What is done in a round: each thing once, with the letters that do it. */
function listShown({ prepared }: ClassView, round: PlanFile['rounds'][number]): Shown[] {
  const shown = new Map<string, Shown>();
  for (const { id, option, letter, label } of round.people) {
    if (letter === null) continue;
    const known = shown.get(label);
    if (known !== undefined) {
      const letters = [...new Set([...known.letters, letter])].sort();
      shown.set(label, { ...known, letters });
      continue;
    }
    const stage = findOption(prepared, id, option)?.stage;
    const shipped = stageIds.find((key) => key === stage);
    const move = shipped === undefined ? null : stageTable[shipped].move;
    shown.set(label, { letters: [letter], label, move });
  }
  return [...shown.values()].sort((a, b) => (a.letters[0] ?? '').localeCompare(b.letters[0] ?? ''));
}

/** The class as drawings on one page, to put on the floor: read from standing, and no word of anybody. */
export function StripSheet({ view, plan }: StripSheetProps) {
  const drills = drillsOf(view.prepared);
  const lines = plan.timeline.flatMap((item) => {
    const drill = doneByAll(item);
    const move = drill === null ? undefined : drills[drill]?.move;
    return move === undefined ? [] : [{ ...item, move }];
  });
  return (
    <section
      className={`${classes.sheet} ${classes.stripSheet}`}
      data-sheet="strip"
      aria-label="The class as drawings"
    >
      <ol className={classes.strips}>
        {lines.map(({ id, label, startsAt, move }) => (
          <li key={id}>
            <p>
              <strong>{clockAt(view.meeting.startsAt, startsAt)}</strong> {label}
            </p>
            <StripView move={move} label={label} heightPx={70} />
          </li>
        ))}
      </ol>
      <div className={classes.roundStrips}>
        {plan.rounds.map((round) => (
          <section key={round.round} aria-label={`Round ${round.round}`}>
            <h3>Round {round.round}</h3>
            <ul>
              {listShown(view, round).map(({ letters, label, move }) => (
                <li key={label}>
                  <p>
                    <strong>{letters.join(', ')}</strong> {label}
                  </p>
                  {move !== null && <StripView move={move} label={label} heightPx={44} />}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </section>
  );
}
