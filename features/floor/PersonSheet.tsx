'use client';

import { Button, Drawer, SegmentedControl } from '@mantine/core';
import { IconHandStop } from '@tabler/icons-react';
import { propWords } from '@/core/pieces/rows';
import { findOption } from '@/core/compose/readBack';
import { doorOf, type PlacedPerson } from '@/core/running/follow';
import { sayingRefused } from '@/core/compose/sayingRefused';
import { firstUp } from '@/core/units/words';
import { doorKey, hasSign, type FloorState } from '@/core/running/replay';
import type { FloorBundle } from '@/server/running/floorBundle';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { figureWords } from '@/features/evening/figureWords';
import { keyOfLabel, questionFor } from './questions';
import { Tries } from './Tries';

interface PersonSheetProps {
  readonly name: string;
  readonly placed: PlacedPerson;
  /** The round that runs, from 1; null between rounds. */
  readonly round: number | null;
  readonly onStop: () => void;
  /** Time in the shape, for this person alone. */
  readonly onClock: () => void;
  readonly onClose: () => void;
}

const consentWords = {
  yes: 'Hands-on help: yes',
  ask: 'Hands-on help: ask each time',
  no: 'Hands-on help: no',
} as const;

/** One person at their place: what they do, what was tried, a stop within reach. */
export function PersonSheet(props: PersonSheetProps) {
  const { floor, bundle, isTeacher } = useFloorClass();
  const { name, placed, round, onStop, onClock, onClose } = props;
  const { state } = floor;
  const option = findOption(bundle.prepared, placed.id, placed.option);
  const consent = bundle.members.find(({ id }) => id === placed.id)?.consent ?? 'ask';
  const door = doorOf(placed, state, keyOfLabel(bundle));
  const own = bundle.prepared.people.find(({ id }) => id === placed.id);
  const refused = own === undefined ? null : sayingRefused(own, [placed.label]);
  const first = option?.checkFirst ?? [];
  const { say: usual = [], sayWith, watch = [] } = bundle.stages[option?.stage ?? ''] ?? {};
  const say = (option?.variant === undefined ? undefined : sayWith?.[option.variant]) ?? usual;
  const props_ = option === undefined ? '' : propWords(option.props);
  return (
    <Drawer
      opened
      onClose={onClose}
      position="right"
      size={430}
      title={
        <span className={classes.sheetTitle}>
          {placed.letter !== null && <span className={classes.letter}>{placed.letter}</span>}
          {name}
        </span>
      }
    >
      <p className={classes.sheetLabel}>
        {door === 'instead' ? (placed.otherwise ?? placed.label) : placed.label}
      </p>
      {placed.dose !== undefined && <p>{firstUp(placed.dose)}.</p>}
      {option !== undefined && figureWords(option, bundle.units) !== '' && (
        <p>{figureWords(option, bundle.units)}</p>
      )}
      {props_ !== '' && <p>{props_}</p>}
      {say.length > 0 && (
        <p>
          <strong>Say:</strong> {say.join(' ')}
        </p>
      )}
      {watch.length > 0 && (
        <p>
          <strong>Watch for:</strong> {watch.join(', ')}.
        </p>
      )}
      {placed.needsHand && (
        <p>
          With help: {option?.assist ?? 'steady'}. {placed.asksFirst && <strong>Ask first.</strong>}
        </p>
      )}
      <p className={classes.quiet}>{consentWords[consent]}</p>
      {isTeacher && option?.watch !== undefined && (
        <p>
          <strong>With care:</strong> {option.watch.join('; ')}.
        </p>
      )}
      {isTeacher && refused !== null && <p className={classes.quiet}>{firstUp(refused)}.</p>}
      {isTeacher && <Door placed={placed} />}
      {hasSign(state, placed.id) ? (
        <p className={classes.ask}>Rest. Everything upside down is closed for tonight.</p>
      ) : door === 'ask' ? (
        <p className={classes.ask}>
          {isAskedInHold(bundle, placed, state)
            ? 'Begin below, and ask in the middle of it'
            : 'Locked until it is confirmed at the door'}
          {placed.otherwise === undefined ? '' : `; until then: ${placed.otherwise.toLowerCase()}`}.
        </p>
      ) : (
        <Tries key={placed.option ?? ''} placed={placed} round={round} />
      )}
      {first.length > 0 && (
        <ul className={classes.first} aria-label="Before weight goes on">
          {first.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      )}
      {door !== 'ask' && (
        <Button size="lg" variant="default" fullWidth onClick={onClock}>
          A clock for {name}
        </Button>
      )}
      {placed.needsHand && round !== null && consent !== 'no' && (
        <Button
          size="lg"
          variant="default"
          fullWidth
          mt="sm"
          onClick={(event) => void floor.say({ kind: 'assist', person: placed.id, round }, event)}
        >
          Helped (
          {state.assists.filter((one) => one.person === placed.id && one.round === round).length})
        </Button>
      )}
      {isTeacher && (
        <Button
          component="a"
          href={`/plumb?person=${placed.id}${option?.shape !== undefined && 'family' in option.shape ? `&shape=${option.shape.family}` : ''}`}
          target="_blank"
          rel="noopener"
          size="lg"
          variant="default"
          fullWidth
          mt="sm"
        >
          Lines from a picture
        </Button>
      )}
      <button type="button" className={classes.stop} onClick={onStop}>
        <IconHandStop size={24} /> Stop {name}
      </button>
    </Drawer>
  );
}

/** Nothing is left to ask on arriving: what is open is asked in the shape itself. */
function isAskedInHold(
  bundle: FloorBundle,
  { id, confirmAtDoor }: PlacedPerson,
  { door }: Pick<FloorState, 'door'>,
): boolean {
  const keyOf = keyOfLabel(bundle);
  const left = confirmAtDoor.filter((label) => !door.has(doorKey(id, keyOf(label))));
  return left.every((label) => questionFor(bundle, label)?.askedIn === 'the-hold');
}

function Door({ placed }: Pick<PersonSheetProps, 'placed'>) {
  const { floor, bundle } = useFloorClass();
  const keyOf = keyOfLabel(bundle);
  return placed.confirmAtDoor.map((label) => {
    const check = keyOf(label);
    const answer = floor.state.door.get(doorKey(placed.id, check));
    return (
      <div key={label} className={classes.door}>
        <span>{questionFor(bundle, label)?.question ?? `${label} today?`}</span>
        <SegmentedControl
          size="lg"
          aria-label={`${label} today`}
          value={answer === undefined ? '' : answer ? 'yes' : 'no'}
          data={[
            { value: 'yes', label: 'Fine' },
            { value: 'no', label: 'Not today' },
          ]}
          onChange={(value) =>
            void floor.say({ kind: 'door', person: placed.id, check, isFine: value === 'yes' })
          }
        />
      </div>
    );
  });
}
