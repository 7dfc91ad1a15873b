'use client';

import { Button } from '@mantine/core';
import { useFloorClass } from './context';
import { PersonSheet } from './later';
import { OnTop } from './OnTop';
import type { PlaceInClass } from './place';
import { StopSheet } from './StopSheet';
import type { FloorView } from './view';

interface FloorSheetsProps {
  readonly view: FloorView;
  readonly place: PlaceInClass;
}

/** What lies on top: a person, a stop, the question whether the class ends. */
export function FloorSheets({ view: { sheet }, place }: FloorSheetsProps) {
  const { floor, names, tell } = useFloorClass();
  const close = () => tell({ kind: 'close-sheet' });
  switch (sheet?.kind) {
    case undefined:
      return null;
    case 'person': {
      const { person } = sheet;
      const placed = place.plan.rounds[place.placedIn - 1]?.people.find(({ id }) => id === person);
      if (placed === undefined) return null;
      return (
        <PersonSheet
          key={person}
          name={names.get(person) ?? person}
          placed={placed}
          round={place.round}
          onStop={() => tell({ kind: 'sheet', sheet: { kind: 'stop', person } })}
          onClock={() => tell({ kind: 'open-hold', wish: { check: null, people: [person] } })}
          onClose={close}
        />
      );
    }
    case 'stop':
      return <StopSheet person={sheet.person} onClose={close} />;
    case 'end':
      return (
        <OnTop onClose={close} title="End the class?">
          <p>Taps that come later are kept all the same. You can take the end back.</p>
          <Button
            size="lg"
            onClick={(event) => {
              void floor.say({ kind: 'end' }, event);
              close();
            }}
          >
            End it
          </Button>
        </OnTop>
      );
  }
}
