'use client';

import { SegmentedControl } from '@mantine/core';
import { awayFrom, feetDownNow, isUnderWay, lateNow, planOf } from '@/core/running/follow';
import { screeningKey, soreBeforeKey, type askedAside } from '@/core/catalog/hiddenCheck';
import { doorKey } from '@/core/running/replay';
import { hasDrills } from '@/features/evening/comingFor';
import { NewAtDoor } from './later';
import type { Other } from './NewAtDoor';
import { asideFor, keyOfLabel, questionFor } from './questions';
import { useFloorClass } from './context';
import classes from './floor.module.css';

interface DoorPanelProps {
  readonly others: readonly Other[];
  readonly onStop: (person: string) => void;
}

type Coming = 'here' | 'late' | 'away';

/** Who came, who comes late, what is asked at the door. Each answer plans the rounds anew. */
export function DoorPanel({ others, onStop }: DoorPanelProps) {
  const { floor, bundle, names } = useFloorClass();
  const { state, say } = floor;
  const plan = planOf(state, bundle.plan);
  const away = awayFrom(state, bundle.plan);
  const feetDown = new Set(feetDownNow(state, bundle.plan));
  const late = lateNow(state, bundle.plan);
  const next = state.roundsDone + 1;
  const comingOf = (id: string): Coming => {
    if (away.has(id)) return 'away';
    const from = late.get(id) ?? 0;
    // Who was to come for the round at hand is there once somebody says so.
    return from > next || (from === next && !state.present.has(id)) ? 'late' : 'here';
  };
  const sayLate = (id: string, round: number) => {
    // Of somebody who was not expected it is told as well that they are there from the start.
    if (round !== (late.get(id) ?? 0) || away.has(id))
      void say({ kind: 'late', person: id, round });
  };
  const mark = (id: string, coming: Coming) => {
    switch (coming) {
      case 'away':
        return void say({ kind: 'absent', person: id, isAbsent: true });
      case 'late':
        if (away.has(id)) void say({ kind: 'absent', person: id, isAbsent: false });
        // Not before the round after the next, unless somebody knows better.
        return sayLate(id, Math.max(1, Math.min(plan.rounds.length, next + 1)));
      case 'here':
        // Whoever comes while the others drill, or after it, goes on without.
        if (away.has(id) || isUnderWay(state, plan)) {
          void say({ kind: 'absent', person: id, isAbsent: false });
        }
        return sayLate(id, isUnderWay(state, plan) ? next : 0);
      default:
        return coming satisfies never;
    }
  };
  const ahead = plan.rounds.map(({ round }) => round).filter((round) => round >= next);
  const keyOf = keyOfLabel(bundle);
  /** Whoever is due is asked on arriving, whatever they do tonight; what was answered stays in sight. */
  const aside = (
    key: (typeof askedAside)[number],
    id: string,
    isDue: true | undefined,
  ): readonly string[] => {
    const asked = asideFor(bundle, key);
    return asked !== undefined && (isDue === true || state.door.has(doorKey(id, key)))
      ? [asked.label]
      : [];
  };
  return (
    <div className={classes.doors}>
      {bundle.members.map(({ id, isScreeningDue, isSoreBefore, isAskedFromHome }) => {
        const asked = [
          ...new Set([
            ...aside(screeningKey, id, isScreeningDue),
            ...aside(soreBeforeKey, id, isSoreBefore),
            ...plan.rounds.flatMap(({ people }) =>
              people.flatMap((one) => (one.id === id ? one.confirmAtDoor : [])),
            ),
          ]),
        ].filter((label) => questionFor(bundle, label)?.askedIn !== 'the-hold');
        const isDown = feetDown.has(id);
        return (
          <article key={id} className={classes.doorCard}>
            <h2>{names.get(id) ?? id}</h2>
            <SegmentedControl
              size="lg"
              fullWidth
              aria-label={`${names.get(id) ?? id} is`}
              value={comingOf(id)}
              data={['here', 'late', 'away']}
              onChange={(value) => mark(id, value as Coming)}
            />
            {(late.get(id) ?? 0) > 0 && (
              <span className={classes.quiet}>
                {hasDrills(plan) && 'without the drills, '}from round
                {comingOf(id) === 'late' && ahead.length > 1 ? '' : ` ${late.get(id)}`}
              </span>
            )}
            {comingOf(id) === 'late' && ahead.length > 1 && (
              <SegmentedControl
                size="lg"
                fullWidth
                aria-label={`${names.get(id) ?? id} comes for round`}
                value={String(late.get(id))}
                data={ahead.map(String)}
                onChange={(value) => sayLate(id, Number(value))}
              />
            )}
            {isAskedFromHome && <span>Ask aside: something was said from home</span>}
            {asked.map((label) => {
              const answer = state.door.get(doorKey(id, keyOf(label)));
              const of = questionFor(bundle, label);
              return (
                <div key={label} className={classes.door}>
                  <span title={of?.question}>{label}</span>
                  <SegmentedControl
                    size="lg"
                    aria-label={`${label}, ${names.get(id) ?? id}`}
                    value={answer === undefined ? '' : answer ? 'yes' : 'no'}
                    data={[
                      { value: 'yes', label: of?.answers?.yes ?? 'fine' },
                      { value: 'no', label: of?.answers?.no ?? 'no' },
                    ]}
                    onChange={(value) =>
                      void say({
                        kind: 'door',
                        person: id,
                        check: keyOf(label),
                        isFine: value === 'yes',
                      })
                    }
                  />
                </div>
              );
            })}
            <div className={classes.doorWords}>
              <button type="button" className={classes.plainSmall} onClick={() => onStop(id)}>
                something sore
              </button>
              <button
                type="button"
                className={classes.plainSmall}
                aria-pressed={isDown}
                onClick={() => void say({ kind: 'feet-down', person: id, isDown: !isDown })}
              >
                feet down today
              </button>
            </div>
          </article>
        );
      })}
      <NewAtDoor others={others} />
    </div>
  );
}
