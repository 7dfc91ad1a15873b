'use client';

import { Button, Drawer, SegmentedControl } from '@mantine/core';
import { IconHandStop } from '@tabler/icons-react';
import { useState } from 'react';
import type { FaultId } from '@/core/catalog/checks';
import { getPiece, isOwnPiece } from '@/core/catalog/pieces';
import type { PlannedOption } from '@/core/compose/option';
import type { TrySupport } from '@/core/running/tap';
import { propWords } from '@/core/compose/stations';
import { findOption } from '@/core/compose/readBack';
import { baseOfLadder, doorOf, type PlacedPerson } from '@/core/running/follow';
import { sayingRefused } from '@/core/compose/sittingOut';
import { firstUp } from '@/core/units/words';
import { doorKey, hasSign, type FloorState } from '@/core/running/replay';
import type { FloorBundle } from '@/server/running/floorBundle';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { figureWords } from '@/features/evening/figureWords';

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

export const keyOfLabel =
  ({ checks, questions = [] }: FloorBundle) =>
  (label: string) =>
    questions.find((one) => one.label === label)?.key ??
    checks.find((one) => one.label === label)?.check ??
    label;

/** How something is asked; `undefined` on an assistant's device, and in classes begun earlier. */
export const questionFor = ({ questions = [] }: FloorBundle, label: string) =>
  questions.find((one) => one.label === label);

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
        <Tries placed={placed} round={round} />
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

function Tries({ placed, round }: Pick<PersonSheetProps, 'placed' | 'round'>) {
  const { floor, bundle } = useFloorClass();
  const option = findOption(bundle.prepared, placed.id, placed.option);
  const stage = option?.stage ?? null;
  const [what, setWhat] = useState<'hop' | 'kick'>(
    stage !== null && bundle.stages[stage]?.isHop ? 'hop' : 'kick',
  );
  const [leg, setLeg] = useState<'left' | 'right'>('left');
  const [blocks, setBlocks] = useState<'kept' | 'lost' | 'none'>('none');
  const [landing, setLanding] = useState<'soft' | 'heavy' | 'none'>('none');
  const [isAssisted, setAssisted] = useState(placed.needsHand);
  const [support, setSupport] = useState<TrySupport>(() => supportOf(option));
  const [faults, setFaults] = useState<readonly FaultId[]>([]);
  if (option?.isAttempt !== true) return null;
  const family = stage === null ? undefined : bundle.stages[stage]?.family;
  const mayShow = (stage === null ? undefined : bundle.stages[stage]?.faults) ?? [];
  const mine = floor.state.tries.filter(({ person }) => person === placed.id);
  const count = (is: (one: (typeof mine)[number]) => boolean) => mine.filter(is).length;
  const last = mine.at(-1);
  const record = (reached: boolean, event: { readonly timeStamp: number }) => {
    void floor.say(
      {
        kind: 'try',
        person: placed.id,
        what,
        stage,
        base: family === undefined ? null : baseOfLadder[family],
        round,
        leg,
        reached,
        blocksKept: blocks === 'none' ? null : blocks === 'kept',
        landing: landing === 'none' ? null : landing,
        isAssisted,
        wayUp: option?.wayUp ?? null,
        support,
        faults: [...faults],
      },
      event,
    );
    // What was seen of this one says nothing of the next.
    setBlocks('none');
    setLanding('none');
    setFaults([]);
  };
  return (
    <section aria-label="Tries" className={classes.tries}>
      <div className={classes.tryRow}>
        <SegmentedControl
          size="lg"
          aria-label="Hop or kick"
          value={what}
          data={['hop', 'kick']}
          onChange={(value) => setWhat(value as 'hop' | 'kick')}
        />
        <SegmentedControl
          size="lg"
          aria-label="Which leg leads"
          value={leg}
          data={[
            { value: 'left', label: 'left leg' },
            { value: 'right', label: 'right leg' },
          ]}
          onChange={(value) => setLeg(value as 'left' | 'right')}
        />
      </div>
      <div className={classes.tryRow}>
        <SegmentedControl
          size="lg"
          aria-label="Blocks"
          value={blocks}
          data={[
            { value: 'none', label: 'blocks?' },
            { value: 'kept', label: 'kept' },
            { value: 'lost', label: 'dropped' },
          ]}
          onChange={(value) => setBlocks(value as typeof blocks)}
        />
      </div>
      <div className={classes.tryRow}>
        <SegmentedControl
          size="lg"
          aria-label="Landing"
          value={landing}
          data={[
            { value: 'none', label: 'landing?' },
            { value: 'soft', label: 'soft' },
            { value: 'heavy', label: 'heavy' },
          ]}
          onChange={(value) => setLanding(value as typeof landing)}
        />
      </div>
      <div className={classes.tryRow}>
        <SegmentedControl
          size="lg"
          aria-label="Arms hold on to"
          value={support}
          data={[
            { value: 'strap', label: 'strap' },
            { value: 'block', label: 'block' },
            { value: 'free', label: 'free' },
          ]}
          onChange={(value) => setSupport(value as TrySupport)}
        />
      </div>
      {mayShow.length > 0 && (
        <div className={classes.tryFaults} role="group" aria-label="What was seen">
          {mayShow.map((fault) => (
            <button
              key={fault}
              type="button"
              aria-pressed={faults.includes(fault)}
              onClick={() =>
                setFaults(
                  faults.includes(fault)
                    ? faults.filter((one) => one !== fault)
                    : [...faults, fault],
                )
              }
            >
              {bundle.faults[fault] ?? fault}
            </button>
          ))}
        </div>
      )}
      <label className={classes.check}>
        <input
          type="checkbox"
          checked={isAssisted}
          onChange={({ currentTarget: { checked } }) => setAssisted(checked)}
        />
        with somebody’s hands
      </label>
      <div className={classes.pair}>
        <button type="button" className={classes.action} onClick={(event) => record(true, event)}>
          Reached the wall
        </button>
        <button type="button" className={classes.plain} onClick={(event) => record(false, event)}>
          Not yet
        </button>
      </div>
      {last !== undefined && (
        <p className={classes.lastTry}>
          Noted: {sayTry(last)}
          <Button size="compact-md" variant="subtle" onClick={floor.undo}>
            Take it back
          </Button>
        </p>
      )}
      <p aria-live="polite" className={classes.tally}>
        {mine.length === 1 ? '1 try' : `${mine.length} tries`}, {count(({ reached }) => reached)}{' '}
        reached · left {count((one) => one.leg === 'left')}, right{' '}
        {count((one) => one.leg === 'right')}
        {count(({ landing: how }) => how === 'heavy') > 0 &&
          ` · ${count(({ landing: how }) => how === 'heavy')} heavy`}
      </p>
    </section>
  );
}

/** What the set-up gives the arms to hold on to. */
function supportOf(option: PlannedOption | undefined): TrySupport {
  if (option?.variant === 'strap') return 'strap';
  const has = (kind: string) =>
    option?.props.some(({ piece }) => !isOwnPiece(piece) && getPiece(piece).kind === kind) === true;
  return has('block') ? 'block' : has('strap') ? 'strap' : 'free';
}

/** What was just noted of a try, so that a slip of the finger is seen. */
const sayTry = (one: FloorState['tries'][number]): string =>
  [
    one.what,
    one.leg === null ? '' : `${one.leg} leg`,
    one.reached ? 'reached' : 'not yet',
    one.blocksKept === null ? '' : one.blocksKept ? 'blocks kept' : 'blocks dropped',
    one.landing === null ? '' : `landed ${one.landing === 'soft' ? 'softly' : 'heavily'}`,
    one.isAssisted ? 'with hands' : '',
    (one.faults ?? []).length === 0 ? '' : `${one.faults!.length} seen`,
  ]
    .filter((words) => words !== '')
    .join(', ');
