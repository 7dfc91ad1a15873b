import { Link } from '@/design/Link';
import type { TonightChange } from './tonight';
import classes from './room.module.css';

interface TonightLineProps {
  /** `null`: nothing was changed yet. */
  readonly tonight: TonightChange | null;
  readonly courseId: number;
}

/** What a changed room or cupboard does to the evening that is planned. */
export function TonightLine({ tonight, courseId }: TonightLineProps) {
  if (tonight === null || !tonight.hasPlan) return null;
  if (tonight.changes.length === 0) {
    return (
      <p className={classes.note} role="status">
        {tonight.gained.length === 0 ? (
          'This changes nothing of the evening that is planned.'
        ) : (
          <>
            The evening that is planned stands; since it was, {tonight.gained.join('; ')}.{' '}
            <Link href={`/plan?course=${courseId}`}>Compose it anew</Link>
          </>
        )}
      </p>
    );
  }
  return (
    <p className={classes.note} role="status">
      <strong>For the evening that is planned:</strong> {tonight.changes.join('; ')}.{' '}
      <Link href={`/plan?course=${courseId}`}>Compose it anew</Link>
    </p>
  );
}
