import type { MoveId } from '@/core/atlas/moves';
import { StripView } from '@/design/atlas/StripView';
import { clockAt } from '@/features/evening/marks';
import classes from './tonight.module.css';

interface EveningStripsProps {
  readonly lines: readonly {
    readonly id: string;
    readonly label: string;
    readonly startsAt: number;
    readonly minutes: number;
    readonly move: MoveId;
  }[];
  /** `18:30`. */
  readonly startsAt: string;
}

/** An evening without rounds: what all of them do, one after the other, as it is drawn. */
export function EveningStrips({ lines, startsAt }: EveningStripsProps) {
  return (
    <ol className={classes.strips} aria-label="What is done">
      {lines.map(({ id, label, startsAt: at, minutes, move }) => (
        <li key={id}>
          <StripView move={move} label={label} heightPx={84} />
          <p>
            <strong>{clockAt(startsAt, at)}</strong> {label}
            <small> {minutes} min</small>
          </p>
        </li>
      ))}
    </ol>
  );
}
