'use client';

import { byLetter } from '@/core/compose/letters';
import { keepTogether } from '@/core/units/words';
import { findOption, isPlacementOpen } from '@/core/compose/readBack';
import { propWords } from '@/core/pieces/rows';
import { doorOf, listMoves, planOf, type PlacedPerson } from '@/core/running/follow';
import { hasSign } from '@/core/running/replay';
import type { FloorBundle } from '@/server/running/floorBundle';
import { RoundPictures } from './later';
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

/** What somebody takes along to the next place. */
function withWords({ prepared }: FloorBundle, { id, option }: PlacedPerson): string {
  const props = findOption(prepared, id, option)?.props ?? [];
  return props.length === 0 ? '' : `, with ${propWords(props)}`;
}

/** Between two rounds: who goes where next and with what; everybody else stays. */
export function ResetPanel(props: RoundPanelProps) {
  const { floor, bundle, names } = useFloorClass();
  const { round } = props;
  const plan = planOf(floor.state, bundle.plan);
  const moves = listMoves(plan, round);
  return (
    <div className={classes.reset}>
      <h3>
        {moves.length === 0
          ? 'Everybody stays at their place.'
          : `${moves.length === 1 ? 'One person moves' : `${moves.length} people move`}; the others stay.`}
      </h3>
      <ul className={classes.moves}>
        {moves.map(({ person, from, to }) => (
          <li key={person}>
            <strong>{names.get(person) ?? person}</strong>
            <span>
              <span className={classes.letter}>{from.letter ?? '–'}</span>{' '}
              <span aria-label="to">→</span>{' '}
              <span className={classes.letter}>{to.letter ?? '–'}</span>
            </span>
            <span>
              {to.label}
              {withWords(bundle, to)}
              {to.needsHand ? ', with help' : ''}
              {to.asksFirst ? ' (ask first)' : ''}
            </span>
          </li>
        ))}
      </ul>
      <RoundPanel {...props} />
    </div>
  );
}
