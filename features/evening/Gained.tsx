import { Link } from '@/design/Link';
import classes from './evening.module.css';

interface GainedProps {
  readonly courseId: number;
  /** What has come since the plan was made, in words. */
  readonly gained: readonly string[];
}

/** The plan stands; what it could not know of yet may make a better one. */
export function Gained({ courseId, gained }: GainedProps) {
  if (gained.length === 0) return null;
  return (
    <p className={classes.gained} role="status">
      Since it was planned, {gained.join('; ')}.{' '}
      <Link href={`/plan?course=${courseId}`} data-alone>
        Compose it anew
      </Link>
    </p>
  );
}
