import { UnstyledButton } from '@mantine/core';
import { useRef, useState } from 'react';
import type { LadderId, StageKey } from '@/core/catalog/stage';
import type { PlacingProps } from './PlacingStep';
import { RungHead } from './RungHead';
import type { PlacingPerson } from './read';
import classes from './beginning.module.css';

/** Who is asked about, on which ladder; `person: null`: nobody, everything is folded. */
interface Asked {
  readonly family: LadderId;
  readonly person: number | null;
}

/**
 * On a phone: a line a person, and the shapes as tiles below whoever is asked about. One tap, and
 * it is the next one's turn.
 */
export function PlacingTiles({ view, family, said, open, say }: PlacingProps) {
  const rungs = view.rungs[family];
  const isOpen = ({ id }: PlacingPerson) => said[id]?.[family] === undefined;
  const firstOpen = (people: readonly PlacingPerson[]) => people.find(isOpen)?.id ?? null;
  const rows = useRef(new Map<number, HTMLButtonElement>());
  const [chosen, setChosen] = useState<Asked | null>(null);
  // Another ladder begins with the first who is still to be placed on it.
  const asked = chosen?.family === family ? chosen.person : firstOpen(view.people);
  const ask = (person: number | null) => setChosen({ family, person });
  const answer = (person: PlacingPerson, at: number, stage: StageKey | null) => {
    // On to the next who is to go; nobody, where this was a second thought.
    const others = [...view.people.slice(at + 1), ...view.people.slice(0, at)];
    const next = isOpen(person) ? firstOpen(others) : null;
    ask(next);
    // What was tapped is gone in a moment: the focus stays with the list.
    rows.current.get(next ?? person.id)?.focus({ preventScroll: true });
    say(person, stage);
  };
  const words = (person: PlacingPerson) => {
    const stage = said[person.id]?.[family];
    if (stage === undefined) return 'to go';
    if (stage === null) return 'never seen';
    return rungs.find((rung) => rung.stage === stage)?.label ?? 'seen in another shape';
  };
  return (
    <section aria-label="Who was seen doing what">
      <p role="status">{open === 0 ? 'Everybody is placed' : `${open} to go`}</p>
      <ul className={classes.askedList}>
        {view.people.map((person, at) => (
          <li key={person.id}>
            <UnstyledButton
              ref={(row: HTMLButtonElement | null) => {
                if (row !== null) rows.current.set(person.id, row);
              }}
              className={classes.asked}
              aria-expanded={asked === person.id}
              onClick={() => ask(asked === person.id ? null : person.id)}
            >
              <strong>{person.name}</strong>
              <span>{words(person)}</span>
            </UnstyledButton>
            {asked === person.id && (
              <div className={classes.tiles} role="group" aria-label={person.name}>
                {[{ stage: null, label: 'never seen', picture: null, pieces: [] }, ...rungs].map(
                  ({ stage, label, picture, pieces }) => (
                    <UnstyledButton
                      key={stage ?? 'never'}
                      className={classes.tile}
                      aria-label={`${person.name}: ${label}`}
                      aria-pressed={said[person.id]?.[family] === stage}
                      disabled={stage !== null && person.closed.includes(stage)}
                      onClick={() => answer(person, at, stage)}
                    >
                      <RungHead label={label} picture={picture} pieces={pieces} />
                    </UnstyledButton>
                  ),
                )}
              </div>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}
