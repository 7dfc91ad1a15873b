'use client';

import { Button, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import type { FaultId } from '@/core/catalog/checks';
import { specOf } from '@/core/catalog/pieces';
import type { PlannedOption } from '@/core/compose/option';
import { findOption } from '@/core/compose/readBack';
import { baseOfLadder, type PlacedPerson } from '@/core/running/follow';
import type { TrySupport } from '@/core/running/tap';
import { isFrom } from '@/core/running/taps';
import { counted } from '@/core/units/words';
import { useFloorClass } from './context';
import { nextWords, tapped, timedOf, waits, type TryClock } from './tryClock';
import { aimWords, plainTry, sayTry, sayUpAndDown } from './tryWords';
import classes from './floor.module.css';

interface TriesProps {
  readonly placed: PlacedPerson;
  /** The round that runs, from 1; null between rounds. */
  readonly round: number | null;
}

/** What was seen of somebody's tries: a tap for each thing, and one for the try. */
export function Tries({ placed, round }: TriesProps) {
  const { floor, bundle } = useFloorClass();
  const option = findOption(bundle.prepared, placed.id, placed.option);
  const stage = option?.stage ?? null;
  const inBundle = stage === null ? undefined : bundle.stages[stage];
  // The last try may be another stage's: said as what it was.
  const askedOf = (one: string | null) => (one === null ? undefined : bundle.stages[one]?.tries);
  const asked = askedOf(stage) ?? plainTry;
  const [what, setWhat] = useState(asked.kind);
  const [wayUp, setWayUp] = useState(option?.wayUp ?? null);
  const [leg, setLeg] = useState<'left' | 'right' | 'none'>('none');
  const [blocks, setBlocks] = useState<'kept' | 'lost' | 'none'>('none');
  const [landing, setLanding] = useState<'soft' | 'heavy' | 'none'>('none');
  const [isAssisted, setAssisted] = useState(placed.needsHand);
  const [support, setSupport] = useState<TrySupport>(() => supportOf(option));
  const [faults, setFaults] = useState<readonly FaultId[]>([]);
  const [clock, setClock] = useState<TryClock>(waits);
  if (option?.isAttempt !== true) return null;
  const family = inBundle?.family;
  const mayShow = inBundle?.faults ?? [];
  const hasLeg =
    asked.isLed && !asked.ways.some(({ id, isTogether }) => id === wayUp && isTogether);
  const mine = floor.state.tries.filter(({ person }) => person === placed.id);
  const count = (is: (one: (typeof mine)[number]) => boolean) => mine.filter(is).length;
  const last = mine.at(-1);
  // What another device noted is that device's to take back.
  const isOwn = last !== undefined && floor.device !== null && isFrom(floor.device, last.id);
  const record = (reached: boolean, event: { readonly timeStamp: number }) => {
    void floor.say(
      {
        kind: 'try',
        person: placed.id,
        what,
        stage,
        base: family === undefined ? null : baseOfLadder[family],
        round,
        leg: hasLeg && leg !== 'none' ? leg : null,
        reached,
        aim: asked.aim,
        blocksKept: blocks === 'none' ? null : blocks === 'kept',
        landing: landing === 'none' ? null : landing,
        isAssisted,
        wayUp,
        support,
        faults: [...faults],
        ...timedOf(clock),
      },
      event,
    );
    // What was seen of this one says nothing of the next.
    setBlocks('none');
    setLanding('none');
    setFaults([]);
    setClock(waits);
  };
  return (
    <section aria-label="Tries" className={classes.tries}>
      {asked.isLed && (
        <div className={classes.tryRow}>
          <Choice
            label="Hop or kick"
            value={what}
            words={{ hop: 'hop', kick: 'kick' }}
            onChoose={setWhat}
          />
          {hasLeg && (
            <Choice
              label="Which leg leads"
              value={leg}
              words={{ none: 'leg?', left: 'left leg', right: 'right leg' }}
              onChoose={setLeg}
            />
          )}
        </div>
      )}
      {asked.ways.length > 0 && (
        <Taps label="Way up" choices={asked.ways} isOn={(one) => one === wayUp} onTap={setWayUp} />
      )}
      {asked.isLed && (
        <div className={classes.tryRow}>
          <Choice
            label="Blocks"
            value={blocks}
            words={{ none: 'blocks?', kept: 'kept', lost: 'dropped' }}
            onChoose={setBlocks}
          />
        </div>
      )}
      <div className={classes.tryRow}>
        <Choice
          label="Landing"
          value={landing}
          words={{ none: 'landing?', soft: 'soft', heavy: 'heavy' }}
          onChoose={setLanding}
        />
      </div>
      <div className={classes.tryClock}>
        <button
          type="button"
          className={classes.plain}
          onClick={({ timeStamp }) => setClock(tapped(clock, timeStamp))}
        >
          {nextWords[clock.step]}
        </button>
        <span aria-live="polite">{sayUpAndDown(timedOf(clock))}</span>
        {clock.step !== 'waits' && (
          <Button size="compact-md" variant="subtle" onClick={() => setClock(waits)}>
            Without a time
          </Button>
        )}
      </div>
      <div className={classes.tryRow}>
        <Choice
          label="Arms hold on to"
          value={support}
          words={{ strap: 'strap', block: 'block', free: 'free' }}
          onChoose={setSupport}
        />
      </div>
      {mayShow.length > 0 && (
        <Taps
          label="What was seen"
          choices={mayShow.map((id) => ({ id, label: bundle.faults[id] ?? id }))}
          isOn={(one) => faults.includes(one)}
          onTap={(one) =>
            setFaults(
              faults.includes(one) ? faults.filter((other) => other !== one) : [...faults, one],
            )
          }
        />
      )}
      <label className={classes.check}>
        <input
          type="checkbox"
          checked={isAssisted}
          onChange={({ currentTarget: { checked } }) => setAssisted(checked)}
        />
        with somebody’s hands
      </label>
      <div className={`${classes.pair} ${classes.tryPair}`}>
        <button type="button" className={classes.action} onClick={(event) => record(true, event)}>
          {aimWords[asked.aim].tap}
        </button>
        <button type="button" className={classes.plain} onClick={(event) => record(false, event)}>
          Not yet
        </button>
      </div>
      {last !== undefined && (
        <p className={classes.lastTry}>
          Noted: {sayTry(last, askedOf(last.stage) ?? asked)}
          {isOwn && (
            <Button
              size="compact-md"
              variant="subtle"
              onClick={() => void floor.say({ kind: 'undo', tap: last.id })}
            >
              Take it back
            </Button>
          )}
        </p>
      )}
      <p aria-live="polite" className={classes.tally}>
        {counted(mine.length, 'try', 'tries')}, {count(({ reached }) => reached)}{' '}
        {aimWords[asked.aim].said}
        {asked.isLed &&
          ` · left ${count((one) => one.leg === 'left')}, right ${count((one) => one.leg === 'right')}`}
        {count(({ landing: how }) => how === 'heavy') > 0 &&
          ` · ${count(({ landing: how }) => how === 'heavy')} heavy`}
      </p>
    </section>
  );
}

/** What the set-up gives the arms to hold on to. */
function supportOf(option: PlannedOption | undefined): TrySupport {
  if (option?.variant === 'strap') return 'strap';
  const has = (kind: string) => option?.props.some((one) => specOf(one).kind === kind) === true;
  return has('block') ? 'block' : has('strap') ? 'strap' : 'free';
}

/** One of a few, under a thumb. */
function Choice<Value extends string>({
  label,
  value,
  words,
  onChoose,
}: {
  readonly label: string;
  readonly value: Value;
  readonly words: Readonly<Partial<Record<Value, string>>>;
  readonly onChoose: (value: Value) => void;
}) {
  return (
    <SegmentedControl
      size="lg"
      aria-label={label}
      value={value}
      data={(Object.keys(words) as Value[]).map((one) => ({
        value: one,
        label: words[one] ?? one,
      }))}
      onChange={(chosen) => onChoose(chosen as Value)}
    />
  );
}

/** Things that are tapped, each by itself, with room for a word. */
function Taps<Id extends string>({
  label,
  choices,
  isOn,
  onTap,
}: {
  readonly label: string;
  readonly choices: readonly { readonly id: Id; readonly label: string }[];
  readonly isOn: (id: Id) => boolean;
  readonly onTap: (id: Id) => void;
}) {
  return (
    <div className={classes.tryFaults} role="group" aria-label={label}>
      {choices.map((one) => (
        <button
          key={one.id}
          type="button"
          aria-pressed={isOn(one.id)}
          onClick={() => onTap(one.id)}
        >
          {one.label}
        </button>
      ))}
    </div>
  );
}
