import { byLetter } from '@/core/compose/letters';
import { listDrawn } from '@/core/compose/moveOfLine';
import { drillsOf } from '@/core/compose/drillsOf';
import { findOption } from '@/core/compose/readBack';
import { getAlternative } from '@/core/catalog/alternatives';
import type { Catalog } from '@/core/catalog/school';
import type { MoveId } from '@/core/atlas/moves';
import type { PlanFile } from '@/core/files/planFile';
import { StripView } from '@/design/atlas/StripView';
import { clockAt } from '@/features/evening/marks';
import type { ClassView } from '@/server/judging/classViews';
import classes from './print.module.css';

export interface StripSheetProps {
  readonly view: ClassView;
  readonly plan: PlanFile;
  /** The school's: a teacher's own stages have drawings too. */
  readonly stages: Catalog['stages'];
}

interface Shown {
  readonly letters: readonly string[];
  readonly label: string;
  readonly move: MoveId | null;
}

/** What is done in a round: each thing once, with the letters that do it. */
function listShown(
  { prepared }: ClassView,
  stages: Catalog['stages'],
  round: PlanFile['rounds'][number],
): Shown[] {
  const shown = new Map<string, Shown>();
  for (const { id, option, letter, label } of round.people) {
    if (letter === null) continue;
    const known = shown.get(label);
    if (known !== undefined) {
      const letters = [...new Set([...known.letters, letter])].sort(byLetter);
      shown.set(label, { ...known, letters });
      continue;
    }
    const { stage, alternative } = findOption(prepared, id, option) ?? {};
    // What stands in for a rung is drawn as itself.
    const move =
      alternative !== undefined
        ? getAlternative(alternative).move
        : stage === undefined
          ? null
          : (stages[stage]?.move ?? null);
    shown.set(label, { letters: [letter], label, move });
  }
  return [...shown.values()].sort((a, b) => byLetter(a.letters[0] ?? null, b.letters[0] ?? null));
}

/** Lines stand in three columns; what is done in a round one below the other. */
const columns = 3;

/** As large as one page allows: the more there is, the smaller. */
function sizesFor(lines: number, most: number): { linePx: number; roundPx: number } {
  const rows = Math.ceil(lines / columns);
  const linePx = rows <= 3 ? 70 : rows === 4 ? 58 : 46;
  const roundPx = most <= 5 ? 48 : most === 6 ? 44 : most === 7 ? 38 : 32;
  return { linePx, roundPx };
}

/** The class as drawings on one page, to put on the floor: read from standing, and no word of anybody. */
export function StripSheet({ view, plan, stages }: StripSheetProps) {
  const drills = drillsOf(view.prepared);
  const lines = listDrawn(plan, drills);
  const rounds = plan.rounds.map((round) => ({
    round: round.round,
    shown: listShown(view, stages, round),
  }));
  const { linePx, roundPx } = sizesFor(
    lines.length,
    Math.max(0, ...rounds.map(({ shown }) => shown.length)),
  );
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
            <StripView move={move} label={label} heightPx={linePx} />
          </li>
        ))}
      </ol>
      <div className={classes.roundStrips}>
        {rounds.map(({ round, shown }) => (
          <section key={round} aria-label={`Round ${round}`}>
            <h3>Round {round}</h3>
            <ul>
              {shown.map(({ letters, label, move }) => (
                <li key={label}>
                  <p>
                    <strong>{letters.join(', ')}</strong> {label}
                  </p>
                  {move !== null && <StripView move={move} label={label} heightPx={roundPx} />}
                </li>
              ))}
            </ul>
          </section>
        ))}
      </div>
    </section>
  );
}
