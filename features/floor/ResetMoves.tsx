'use client';

import { findOption } from '@/core/compose/readBack';
import { propWords } from '@/core/pieces/rows';
import { listMoves, planOf, type PlacedPerson } from '@/core/running/follow';
import type { FloorBundle } from '@/server/running/floorBundle';
import { useFloorClass } from './context';
import classes from './floor.module.css';

/** What somebody takes along to the next place. */
function withWords({ prepared }: FloorBundle, { id, option }: PlacedPerson): string {
  const props = findOption(prepared, id, option)?.props ?? [];
  return props.length === 0 ? '' : `, with ${propWords(props)}`;
}

/** Who goes where next and with what; everybody else stays. To be read, nothing is tapped in it. */
export function ResetMoves({ round }: { readonly round: number }) {
  const { floor, bundle, names } = useFloorClass();
  const moves = listMoves(planOf(floor.state, bundle.plan), round);
  return (
    <>
      <h2>
        {moves.length === 0
          ? 'Everybody stays at their place.'
          : `${moves.length === 1 ? 'One person moves' : `${moves.length} people move`}; the others stay.`}
      </h2>
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
    </>
  );
}
