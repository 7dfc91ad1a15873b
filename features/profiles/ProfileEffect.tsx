import { VerdictMark, verdictWords } from '@/design/marks/VerdictMark';
import type { VerdictKind } from '@/core/ladder/verdictKinds';
import type { ProfilePreview } from './change';
import classes from './profiles.module.css';

/** Whose next rung would turn by what is changed. */
export function Effect({ preview }: { readonly preview: ProfilePreview | null }) {
  if (preview === null)
    return <p>Change something, and the verdicts that would turn stand here.</p>;
  if (preview.problems.length > 0) {
    return (
      <ul className={classes.problems} role="alert">
        {preview.problems.map((problem) => (
          <li key={problem}>{problem}</li>
        ))}
      </ul>
    );
  }
  if (preview.changes.length === 0)
    return <p role="status">Nobody’s next rung would change, of those who come to a course.</p>;
  return (
    <ul className={classes.lines} role="status">
      {preview.changes.map(({ name, stage, before, after }) => (
        <li key={`${name}${stage}`}>
          <strong>
            {name}, {stage.toLowerCase()}
          </strong>
          <span className={classes.turn}>
            <VerdictMark kind={before as VerdictKind} /> {verdictWords[before as VerdictKind]} →{' '}
            <VerdictMark kind={after as VerdictKind} /> {verdictWords[after as VerdictKind]}
          </span>
        </li>
      ))}
    </ul>
  );
}
