import { bindingWords, moreWords } from '@/core/compose/bindingWords';
import type { LengthUnits } from '@/core/units/length';
import type { PlanFile } from '@/core/files/planFile';
import type { ClassMember } from '@/server/judging/classViews';
import { shortNames } from '@/features/evening/names';
import classes from './plan.module.css';

interface BindingPanelProps {
  readonly plan: PlanFile;
  readonly members: readonly ClassMember[];
  readonly isAsking: boolean;
  readonly units: LengthUnits;
}

const mostLines = 7;

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);

/** What stands in the way, what would free it, and what one more of a thing would do. */
export function BindingPanel({ plan, members, isAsking, units }: BindingPanelProps) {
  const names = shortNames(members);
  const list = (ids: readonly string[]) => ids.map((id) => names.get(id) ?? id).join(', ');
  const broken = plan.pins.filter(({ isKept }) => !isKept);
  const telling = plan.binding.filter(({ gain }) => gain === null || gain > 0);
  const idle = plan.binding.filter(({ gain }) => gain === 0);
  return (
    <section className={classes.binding} aria-label="What binds">
      <h2>What binds</h2>
      {plan.notes.map((note) => (
        <p key={note} className={classes.note}>
          {note}
        </p>
      ))}
      {plan.relief && (
        <div className={classes.relief}>
          {plan.relief.more.length > 0 ? (
            <p>
              <strong>
                {capital(plan.relief.more.map((one) => moreWords(one, units)).join(' and '))}
              </strong>{' '}
              would give {list(plan.relief.people)} all that was asked.
            </p>
          ) : (
            <p>
              No props, wall or hands would free this for {list(plan.relief.people)}: it is shut for
              other reasons.
            </p>
          )}
          {plan.relief.more.length > 0 && plan.relief.beyond.length > 0 && (
            <p>Not so for {list(plan.relief.beyond)}.</p>
          )}
        </div>
      )}
      {broken.length > 0 && (
        <ul>
          {broken.map(({ pin, why }) => (
            <li key={JSON.stringify(pin)}>
              Pin not kept{'person' in pin ? ` for ${names.get(pin.person) ?? pin.person}` : ''}:{' '}
              {why}
            </li>
          ))}
        </ul>
      )}
      {telling.length > 0 && (
        <ul>
          {telling.slice(0, mostLines).map((one) => (
            <li key={`${one.what}${one.id}`}>
              {capital(bindingWords(one, units))}
              {one.serves.length > 0 && ` (${list(one.serves)})`}
            </li>
          ))}
        </ul>
      )}
      {idle.length > 0 && (
        <p className={classes.quiet}>
          No difference: {idle.map((one) => moreWords(one, units)).join(', ')}.
        </p>
      )}
      {isAsking && plan.binding.length === 0 && <p className={classes.quiet}>Still asking.</p>}
      {!isAsking && plan.binding.length === 0 && plan.notes.length === 0 && (
        <p className={classes.quiet}>Not asked yet: compose again to see.</p>
      )}
    </section>
  );
}
