import type { LadderView } from './read';
import { Rung } from './Rung';
import classes from './ladders.module.css';

interface FiveLaddersProps {
  readonly ladders: readonly LadderView[];
  readonly today: string;
  readonly breathSeconds: number;
}

/** Five ladders side by side, top rung uppermost; everyone's token on their rung. */
export function FiveLadders({ ladders, today, breathSeconds }: FiveLaddersProps) {
  return (
    <div className={classes.five}>
      {ladders.map((ladder) => (
        <section key={ladder.family} aria-label={ladder.label} className={classes.ladder}>
          <h2>{ladder.label}</h2>
          <p className={classes.sanskrit}>{ladder.sanskrit}</p>
          <ol reversed className={classes.rungs}>
            {[...ladder.rungs].reverse().map((rung) => (
              <li key={rung.stage} className={rung.isAside ? classes.aside : undefined}>
                <Rung rung={rung} today={today} breathSeconds={breathSeconds} />
              </li>
            ))}
          </ol>
          {/* Always there, so that all five stand on one floor. */}
          <p className={classes.unplaced}>
            {ladder.unplaced.length === 0
              ? 'everyone has begun'
              : `not begun: ${ladder.unplaced.length}`}
          </p>
        </section>
      ))}
    </div>
  );
}
