'use client';

import { Button, NativeSelect, SegmentedControl, VisuallyHidden } from '@mantine/core';
import { IconPlayerPlay, IconPlayerStopFilled, IconWind } from '@tabler/icons-react';
import { useState } from 'react';
import type { BaseId, FaultId, CheckKey } from '@/core/catalog/checks';
import { listPace } from '@/core/running/pacer';
import { needsWord, type Hold } from '@/core/running/replay';
import type { FloorBundle, FloorCheck } from '@/server/running/floorBundle';
import { BreathNow } from './BreathNow';
import { FaultSheet } from './FaultSheet';
import { PersonTile } from './PersonTile';
import { insteadOf, quietestOf } from '@/core/compose/sittingOut';
import { feetDownNow } from '@/core/running/follow';
import { isOutOfHold, isOutTonight, saidTonight } from '@/core/running/holdOut';
import { useFloorClass } from './context';
import type { HoldWish } from './view';
import classes from './floor.module.css';
import { wakeSound } from '@/design/sound';
import { useNow } from '@/design/useNow';
import { clockWords } from './words';

interface HoldPanelProps {
  readonly wish: HoldWish;
  /** A hold that runs or has just been stopped. */
  readonly hold: Hold | null;
  /** This hold is to be on the screen, also once it has stopped. */
  readonly onShow: (hold: string) => void;
  readonly onAgain: (wish: HoldWish) => void;
  readonly onClose: () => void;
}

/** One clock for everybody: tap who comes down; who is up when it stops held at least that long. */
export function HoldPanel(props: HoldPanelProps) {
  const { hold } = props;
  if (hold === null) return <HoldSetup {...props} />;
  return hold.stopped === null ? (
    <HoldRunning {...props} hold={hold} />
  ) : (
    <HoldResult {...props} hold={hold} />
  );
}

const otherSide = (side: 'left' | 'right') => (side === 'left' ? 'right' : 'left');

function HoldSetup({ wish, onShow, onClose }: HoldPanelProps) {
  const { floor, bundle, names, here, isTeacher } = useFloorClass();
  const holds = bundle.checks.filter(({ kind }) => kind === 'hold');
  const [check, setCheck] = useState<CheckKey | null>(wish.check);
  const [side, setSide] = useState<'left' | 'right'>(wish.side ?? 'left');
  const [base, setBase] = useState<BaseId>(wish.base ?? usualBase(bundle));
  const [wanted, setPeople] = useState<ReadonlySet<string>>(
    () => new Set(wish.people.filter((id) => here.includes(id))),
  );
  const spec = holds.find((one) => one.check === check);
  const feetDown = new Set(feetDownNow(floor.state, bundle.plan));
  const said = saidTonight(floor.state, bundle.plan.wishes, isTeacher);
  const out = new Map(
    bundle.prepared.people.flatMap((person) =>
      isOutOfHold(person, spec ?? null, spec?.byBase ? base : null, said, feetDown.has(person.id))
        ? [
            [
              person.id,
              // Where it is not known why, the quietest is never wrong.
              isTeacher && !isOutTonight(person.id, spec?.regions, said)
                ? insteadOf(person)
                : quietestOf(person),
            ] as const,
          ]
        : [],
    ),
  );
  const people = new Set([...wanted].filter((id) => !out.has(id)));
  const toggle = (id: string) =>
    setPeople((before) => {
      const next = new Set(before);
      if (!next.delete(id)) next.add(id);
      return next;
    });
  return (
    <section className={classes.hold} aria-label="A hold for the group">
      <VisuallyHidden component="h1">A hold for the group</VisuallyHidden>
      <div className={classes.holdHead}>
        <NativeSelect
          size="lg"
          aria-label="What is held"
          value={check ?? ''}
          data={[
            ...holds.map((one) => ({ value: one.check, label: one.label })),
            { value: '', label: 'Time in the shape' },
          ]}
          onChange={({ currentTarget: { value } }) =>
            setCheck(holds.find((one) => one.check === value)?.check ?? null)
          }
        />
        {spec?.hasSides && (
          <SegmentedControl
            size="lg"
            aria-label="Side"
            value={side}
            data={['left', 'right']}
            onChange={(value) => setSide(value as 'left' | 'right')}
          />
        )}
        {spec?.byBase && (
          <SegmentedControl
            size="lg"
            aria-label="On"
            value={base}
            data={['hands', 'forearms', 'head']}
            onChange={(value) => setBase(value as BaseId)}
          />
        )}
        <Button size="lg" variant="default" onClick={onClose}>
          Not now
        </Button>
      </div>
      {spec !== undefined && (
        <p className={classes.quiet}>
          {[spec.words === undefined ? '' : `Bar: ${spec.words.bar}.`, spec.method ?? ''].join(' ')}
        </p>
      )}
      <Button
        className={classes.big}
        leftSection={<IconPlayerPlay size={28} />}
        disabled={people.size === 0}
        onClick={async (event) => {
          const hold = crypto.randomUUID().slice(0, 13);
          const made = await floor.say(
            {
              kind: 'hold-start',
              hold,
              check,
              base: spec?.byBase ? base : null,
              side: spec?.hasSides ? side : null,
              people: here.filter((id) => people.has(id)),
            },
            event,
          );
          if (made !== null) onShow(hold);
        }}
      >
        Start the clock for {people.size}
      </Button>
      <div className={classes.tiles}>
        {here.map((id) => {
          const instead = out.get(id);
          return (
            <PersonTile
              key={id}
              name={names.get(id) ?? id}
              isOn={people.has(id)}
              isOut={instead !== undefined}
              line={
                instead === undefined
                  ? people.has(id)
                    ? 'takes part'
                    : 'sits out'
                  : `instead: ${instead}`
              }
              onTap={() => toggle(id)}
            />
          );
        })}
      </div>
    </section>
  );
}

function usualBase({ plan }: FloorBundle): BaseId {
  const [family] = plan.families;
  if (family === 'forearm-stand') return 'forearms';
  return family === 'headstand' ? 'head' : 'hands';
}

/** Longer than anybody is held: the pace of a hold has no end of its own. */
const longestBreaths = 240;

type WithHold = HoldPanelProps & { readonly hold: Hold };

const labelOf = (checks: readonly FloorCheck[], { check, side, base }: Hold) =>
  [
    checks.find((one) => one.check === check)?.label ?? 'Time in the shape',
    side,
    base === null ? null : `on the ${base}`,
  ]
    .filter((word) => word !== null)
    .join(', ');

function HoldRunning({ hold, onShow }: WithHold) {
  const { floor, bundle, names } = useFloorClass();
  const now = useNow(100);
  const [faultsOf, setFaultsOf] = useState<string | null>(null);
  const { say, nowLine, boot } = floor;
  // On the page that started it, its own clock; after a reload or on another device, the class's.
  const seconds =
    hold.start.at.boot === boot
      ? (now - hold.start.at.monoMs) / 1000
      : (nowLine(now) - hold.startedMs) / 1000;
  const up = hold.people.filter(({ down }) => down === null);
  const [isPaced, setPaced] = useState(false);
  const breaths = Math.floor(Math.max(0, seconds) / bundle.breathSeconds);
  return (
    <section className={classes.hold} aria-label={`Hold: ${labelOf(bundle.checks, hold)}`}>
      <div className={classes.holdHead}>
        <h1>{labelOf(bundle.checks, hold)}</h1>
        <output className={classes.clock} aria-label="Seconds">
          {clockWords(Math.max(0, seconds))}
        </output>
        <Button
          size="lg"
          variant={isPaced ? 'light' : 'default'}
          aria-pressed={isPaced}
          leftSection={<IconWind size={22} />}
          onClick={() => {
            wakeSound();
            setPaced(!isPaced);
          }}
        >
          Breathe
        </Button>
        <Button
          className={classes.big}
          leftSection={<IconPlayerStopFilled size={28} />}
          onClick={(event) => {
            void say({ kind: 'hold-stop', hold: hold.id }, event);
            onShow(hold.id);
          }}
        >
          Stop the clock
        </Button>
      </div>
      <p className={classes.quiet}>
        {breaths === 1 ? '1 breath' : `${breaths} breaths`} · {up.length} of {hold.people.length}{' '}
        still up. Tap who comes down; the flag notes a fault.
      </p>
      {isPaced && (
        <BreathNow
          startedAt={now - seconds * 1000}
          steps={listPace({ kind: 'breaths', breaths: longestBreaths }, bundle.breathSeconds)}
          breathSeconds={bundle.breathSeconds}
          isHeard
          isOpenEnded
          onOver={() => setPaced(false)}
        />
      )}
      <div className={classes.tiles}>
        {hold.people.map(({ person, down, faults }) => (
          <PersonTile
            key={person}
            name={names.get(person) ?? person}
            isOn={down === null}
            line={down === null ? 'up' : clockWords(down.seconds)}
            marks={faults.map((fault) => bundle.faults[fault] ?? 'noted')}
            onTap={(event) =>
              down === null
                ? void say({ kind: 'hold-down', hold: hold.id, person }, event)
                : setFaultsOf(person)
            }
            onFault={() => setFaultsOf(person)}
          />
        ))}
      </div>
      {faultsOf !== null && (
        <HoldFaults hold={hold} person={faultsOf} onClose={() => setFaultsOf(null)} />
      )}
    </section>
  );
}

interface HoldFaultsProps extends Pick<WithHold, 'hold'> {
  readonly person: string;
  readonly onClose: () => void;
}

function HoldFaults({ hold, person, onClose }: HoldFaultsProps) {
  const { floor, bundle, names } = useFloorClass();
  const spec = bundle.checks.find((one) => one.check === hold.check);
  return (
    <FaultSheet
      title={names.get(person) ?? person}
      faults={bundle.faults}
      first={spec?.voidedBy ?? []}
      onFault={(fault: FaultId) => {
        void floor.say({ kind: 'hold-fault', hold: hold.id, person, fault });
        onClose();
      }}
      onClose={onClose}
    />
  );
}

function HoldResult({ hold, onAgain, onClose }: WithHold) {
  const { floor, bundle, names } = useFloorClass();
  const [faultsOf, setFaultsOf] = useState<string | null>(null);
  const spec = bundle.checks.find((one) => one.check === hold.check);
  const people = hold.people.map(({ person }) => person);
  const isOpen = needsWord(hold);
  const { stopped } = hold;
  return (
    <section className={classes.hold} aria-label={`Held: ${labelOf(bundle.checks, hold)}`}>
      <div className={classes.holdHead}>
        <h1>{labelOf(bundle.checks, hold)}</h1>
        {hold.side !== null && (
          <Button
            size="lg"
            onClick={() =>
              onAgain({
                check: hold.check,
                people,
                side: otherSide(hold.side!),
                ...(hold.base === null ? {} : { base: hold.base }),
              })
            }
          >
            Now the {otherSide(hold.side)} side
          </Button>
        )}
        <Button size="lg" variant={hold.side === null ? 'filled' : 'default'} onClick={onClose}>
          Done
        </Button>
      </div>
      {isOpen && stopped && (
        <div className={classes.ask} role="alert">
          <p>
            The clocks disagree about this hold: between {clockWords(stopped.lowSeconds)} and{' '}
            {clockWords(stopped.highSeconds)}. The page was loaded again, the device slept, or its
            clock was set. Keep the times as they stand here?
          </p>
          <Button
            size="lg"
            onClick={() => void floor.say({ kind: 'hold-settle', hold: hold.id, keep: true })}
          >
            Keep them
          </Button>
          <Button
            size="lg"
            variant="default"
            onClick={() => void floor.say({ kind: 'hold-settle', hold: hold.id, keep: false })}
          >
            Leave them out
          </Button>
        </div>
      )}
      {hold.settled === false && <p>These times are left out of the record.</p>}
      <p className={classes.quiet}>≥ held at least so long: still up when the clock was stopped.</p>
      <div className={classes.tiles}>
        {hold.people.map(({ person, down, faults }) => (
          <PersonTile
            key={person}
            name={names.get(person) ?? person}
            isOn={down === null}
            line={`${down === null ? '≥ ' : ''}${clockWords((down ?? stopped)!.seconds)}`}
            marks={faults.map((fault) => bundle.faults[fault] ?? 'noted')}
            onTap={() => setFaultsOf(person)}
            onFault={() => setFaultsOf(person)}
          />
        ))}
      </div>
      {spec && (
        <p className={classes.quiet}>
          Bar: {spec.bar} s. Tap somebody to add a fault that you saw.
        </p>
      )}
      {faultsOf !== null && (
        <HoldFaults hold={hold} person={faultsOf} onClose={() => setFaultsOf(null)} />
      )}
    </section>
  );
}
