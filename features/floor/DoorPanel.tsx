'use client';

import { SegmentedControl } from '@mantine/core';
import { awayFrom, feetDownNow, planOf } from '@/core/running/follow';
import { doorKey } from '@/core/running/replay';
import { NewAtDoor } from './later';
import type { Other } from './NewAtDoor';
import { keyOfLabel, questionFor } from './questions';
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
  const comingOf = (id: string): Coming => {
    if (away.has(id)) return 'away';
    return (state.late.get(id) ?? 1) > 1 ? 'late' : 'here';
  };
  const mark = (id: string, coming: Coming) => {
    if (coming === 'away') return void say({ kind: 'absent', person: id, isAbsent: true });
    if (comingOf(id) === 'away') void say({ kind: 'absent', person: id, isAbsent: false });
    // Late means: not before the round after the next.
    const round = coming === 'late' ? Math.min(plan.rounds.length, state.roundsDone + 2) : 1;
    if (coming === 'late' || state.late.has(id)) void say({ kind: 'late', person: id, round });
  };
  const keyOf = keyOfLabel(bundle);
  return (
    <div className={classes.doors}>
      {bundle.members.map(({ id }) => {
        const asked = [
          ...new Set(
            plan.rounds.flatMap(({ people }) =>
              people.flatMap((one) => (one.id === id ? one.confirmAtDoor : [])),
            ),
          ),
        ].filter((label) => questionFor(bundle, label)?.askedIn !== 'the-hold');
        const isDown = feetDown.has(id);
        return (
          <article key={id} className={classes.doorCard}>
            <h3>{names.get(id) ?? id}</h3>
            <SegmentedControl
              size="lg"
              fullWidth
              aria-label={`${names.get(id) ?? id} is`}
              value={comingOf(id)}
              data={['here', 'late', 'away']}
              onChange={(value) => mark(id, value as Coming)}
            />
            {asked.map((label) => {
              const answer = state.door.get(doorKey(id, keyOf(label)));
              return (
                <div key={label} className={classes.door}>
                  <span title={questionFor(bundle, label)?.question}>{label}</span>
                  <SegmentedControl
                    size="lg"
                    aria-label={`${label}, ${names.get(id) ?? id}`}
                    value={answer === undefined ? '' : answer ? 'yes' : 'no'}
                    data={[
                      { value: 'yes', label: 'fine' },
                      { value: 'no', label: 'no' },
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
