import { Link } from '@/design/Link';
import { sayingRefused } from '@/core/compose/sayingRefused';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedPerson } from '@/core/compose/prepared';
import classes from './evening.module.css';

interface RefusedProps {
  readonly plan: Pick<PlanFile, 'rounds'>;
  readonly people: readonly PreparedPerson[];
  readonly nameOf: (id: string) => string;
  /** Why is answered on the person's page; a class from a file has none. */
  readonly hasPages?: boolean;
}

/** Who is refused something tonight, what they do instead and what would open it; never why. */
export function Refused({ plan, people, nameOf, hasPages = true }: RefusedProps) {
  const lines = people.flatMap((person) => {
    const planned = plan.rounds.flatMap((round) =>
      round.people.filter(({ id }) => id === person.id).map(({ label }) => label),
    );
    const words = sayingRefused(person, planned);
    return words === null ? [] : [{ id: person.id, words }];
  });
  if (lines.length === 0) return null;
  return (
    <section className={classes.refused} aria-label="Not tonight">
      <h2>Not tonight</h2>
      <ul>
        {lines.map(({ id, words }) => (
          <li key={id}>
            {hasPages ? (
              <Link href={`/people/${id}#closed`}>{nameOf(id)}</Link>
            ) : (
              <strong>{nameOf(id)}</strong>
            )}
            : {words}.
          </li>
        ))}
      </ul>
    </section>
  );
}
