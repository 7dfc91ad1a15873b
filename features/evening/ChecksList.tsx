import type { CheckKey } from '@/core/catalog/checks';
import type { PlanFile } from '@/core/files/planFile';
import type { ClassMember } from '@/server/judging/classViews';
import { shortNames } from './names';

interface ChecksListProps {
  readonly plan: Pick<PlanFile, 'checks' | 'wishes'>;
  readonly members: readonly ClassMember[];
  /** On paper: how each is taken. */
  readonly taken?: Readonly<Partial<Record<CheckKey, string>>>;
}

/** What is looked at in this class, and of whom; one clock for everybody names nobody. */
export function ChecksList({ plan: { checks, wishes }, members, taken = {} }: ChecksListProps) {
  const names = shortNames(members);
  const coming = members.filter(({ id }) => !wishes.absent.includes(id)).length;
  return (
    <ul>
      {checks.map(({ check, label, isTogether, people }) => {
        const who = people.map(({ id }) => names.get(id) ?? id).join(', ');
        const together = people.length === coming ? ', all together' : `, together: ${who}`;
        return (
          <li key={check + label}>
            {label}
            {isTogether ? together : `: ${who}`}
            {taken[check] !== undefined && (
              <>
                <br />
                <small>{taken[check]}</small>
              </>
            )}
          </li>
        );
      })}
    </ul>
  );
}
