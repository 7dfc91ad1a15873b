'use client';

import { byLetter } from '@/core/compose/letters';
import { keepTogether } from '@/core/units/words';
import { isPlacementOpen } from '@/core/compose/readBack';
import { doorOf, planOf } from '@/core/running/follow';
import { hasSign } from '@/core/running/replay';
import { ResetMoves, RoundPictures } from './later';
import { PersonTile } from './PersonTile';
import { keyOfLabel } from './questions';
import { useFloorClass } from './context';
import classes from './floor.module.css';

interface RoundPanelProps {
  /** 0 is the first. */
  readonly round: number;
  readonly onPerson: (person: string) => void;
}

/** A round: everybody by their letter, the room from above, the set-ups at their own size. */
export function RoundPanel({ round, onPerson }: RoundPanelProps) {
  const { floor, bundle, names } = useFloorClass();
  const { state } = floor;
  const plan = planOf(state, bundle.plan);
  const people = plan.rounds[round]?.people ?? [];
  const keyOf = keyOfLabel(bundle);
  return (
    <div className={classes.round}>
      <div className={classes.tiles} aria-label="Everybody in this round">
        {[...people]
          .sort((a, b) => byLetter(a.letter, b.letter))
          .map((placed) => {
            const door = doorOf(placed, state, keyOf);
            const tries = state.tries.filter(
              (one) => one.person === placed.id && one.round === round + 1,
            ).length;
            const isStopped = state.halts.some(
              ({ person, atMs }) => person === placed.id && atMs >= (state.segmentSinceMs ?? 0),
            );
            // Also while the new plan is on its way, or when it could not be made.
            const line = hasSign(state, placed.id)
              ? 'Rest; somebody sees to them'
              : !isPlacementOpen(bundle.prepared, placed)
                ? 'Wait: no longer open'
                : door === 'ask'
                  ? `confirm first; ${placed.otherwise?.toLowerCase() ?? 'wait'}`
                  : door === 'instead'
                    ? (placed.otherwise ?? placed.label)
                    : placed.label;
            return (
              <PersonTile
                key={placed.id}
                name={names.get(placed.id) ?? placed.id}
                letter={placed.letter}
                line={[
                  line === placed.label && placed.dose !== undefined
                    ? `${line}, ${keepTogether(placed.dose)}`
                    : line,
                  ...(placed.needsHand ? ['with help'] : []),
                  ...(tries > 0 ? [`${tries} noted`] : []),
                ].join(' · ')}
                isStopped={isStopped}
                marks={isStopped ? ['stopped'] : []}
                onTap={() => onPerson(placed.id)}
              />
            );
          })}
      </div>
      <RoundPictures bundle={bundle} plan={plan} round={round} onPerson={onPerson} />
    </div>
  );
}

/** Between two rounds: who goes where next and with what; everybody else stays. */
export function ResetPanel(props: RoundPanelProps) {
  return (
    <div className={classes.reset}>
      <ResetMoves round={props.round} />
      <RoundPanel {...props} />
    </div>
  );
}
