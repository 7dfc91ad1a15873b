import { memo } from 'react';
import { findOption } from '@/core/compose/readBack';
import { outAsWished } from '@/core/compose/saidBefore';
import { caresIn, listSittingOut } from '@/core/compose/sittingOut';
import { numberRounds } from '@/core/compose/numberRounds';
import type { PlanFile } from '@/core/files/planFile';
import type { PreparedClass } from '@/core/compose/prepared';
import { drillsOf } from '@/core/compose/drillsOf';
import type { ClassMember } from '@/server/judging/classViews';
import { shortNames } from '@/features/evening/names';
import { leastPx } from './TimeBand';
import classes from './plan.module.css';

interface LanesProps {
  readonly plan: PlanFile;
  readonly prepared: PreparedClass;
  readonly members: readonly ClassMember[];
  readonly pxPerMinute: number;
  readonly chosen: string | null;
  readonly onChoose: (person: string) => void;
}

/** One lane for each student along the same clock: what they do, and what they sit out. */
export function Lanes({ plan, prepared, members, pxPerMinute, chosen, onChoose }: LanesProps) {
  const names = shortNames(members);
  const ids =
    plan.rounds[0]?.people.map(({ id }) => id) ??
    prepared.people.map(({ id }) => id).filter((id) => !plan.wishes.absent.includes(id));
  return (
    <div className={classes.lanes} role="group" aria-label="Everybody’s evening">
      {ids.map((id) => (
        <Lane
          key={id}
          id={id}
          name={names.get(id) ?? id}
          isChosen={chosen === id}
          {...{ plan, prepared, pxPerMinute, onChoose }}
        />
      ))}
    </div>
  );
}

interface LaneProps extends Omit<LanesProps, 'members' | 'chosen'> {
  readonly id: string;
  readonly name: string;
  readonly isChosen: boolean;
}

/** One person’s evening; each by itself, so that the page answers between two of them. */
const Lane = memo(function Lane(props: LaneProps) {
  const { id, name, plan, prepared, pxPerMinute, isChosen, onChoose } = props;
  const own = prepared.people.find((person) => person.id === id);
  const rounds = numberRounds(plan.timeline);
  return (
    <button
      type="button"
      className={classes.lane}
      aria-pressed={isChosen}
      aria-label={`${name}: ${laneWords(plan, id)}`}
      onClick={() => onChoose(id)}
    >
      <span className={classes.laneName}>{name}</span>
      {plan.timeline.map((item, at) => {
        const round = rounds[at]!;
        const mine =
          round === null ? null : plan.rounds[round]?.people.find((one) => one.id === id);
        const [out] =
          own === undefined
            ? []
            : listSittingOut(item, [own], outAsWished(item, plan.wishes, drillsOf(prepared)));
        const sitsOut = out !== undefined;
        const isWatched =
          own !== undefined &&
          (caresIn(item, own).length > 0 ||
            findOption(prepared, id, mine?.option ?? null)?.watch !== undefined);
        const isChecked =
          item.kind === 'checks' &&
          plan.checks.some(({ people }) => people.some((one) => one.id === id));
        return (
          <span
            key={item.id}
            className={classes.laneCell}
            data-kind={item.kind}
            data-out={sitsOut || (round !== null && !mine?.letter)}
            style={{ height: Math.max(leastPx, item.minutes * pxPerMinute) }}
            title={
              sitsOut
                ? `${item.label}: ${out.instead} instead${out.unlessAsked ? ', unless confirmed at the door' : ''}`
                : (mine?.label ?? item.label)
            }
          >
            {mine?.letter}
            {mine?.needsHand && '°'}
            {mine !== null && mine !== undefined && mine.confirmAtDoor.length > 0 && '?'}
            {isWatched && !sitsOut && '!'}
            {isChecked && '✓'}
            {sitsOut && '–'}
          </span>
        );
      })}
    </button>
  );
});

const laneWords = (plan: PlanFile, id: string) =>
  plan.rounds
    .map(
      ({ round, people }) =>
        `round ${round} ${people.find((one) => one.id === id)?.label ?? 'out'}`,
    )
    .join(', ');
