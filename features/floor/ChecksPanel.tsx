'use client';

import { Button, NumberInput, SegmentedControl } from '@mantine/core';
import { useEffect, useId, useLayoutEffect, useState, type FocusEvent } from 'react';
import type { FloorBundle, FloorCheck } from '@/server/running/floorBundle';
import { askedSides, keptSide, sideAfter, type AskedSide } from '@/core/catalog/askedSides';
import type { LengthUnits } from '@/core/units/length';
import { readingFrom, readingIn } from '@/core/units/reading';
import type { Seen } from '@/core/running/replay';
import type { BaseId } from '@/core/catalog/checks';
import { feetDownNow } from '@/core/running/follow';
import { isOutOfHold, saidTonight } from '@/core/running/holdOut';
import type { HoldWish } from './view';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import type { Floor } from './useFloor';

interface ChecksPanelProps {
  readonly onHold: (wish: HoldWish) => void;
}

const passKinds = ['pass', 'pass-of-last', 'same-day'];

/** Tonight's checks: a clock for those that are held, a number or a word for the others. */
export function ChecksPanel({ onHold }: ChecksPanelProps) {
  const { floor, bundle, names, here, isTeacher } = useFloorClass();
  // The prepared class knows the base as well: on what a check is taken.
  const { checks } = bundle.prepared;
  const { seen } = floor.state;
  const [unkept] = useState<Typed>(() => new Map());
  // Before the rows of the line go: they are still known then.
  useLayoutEffect(() => () => unkept.forEach((keepIt) => keepIt()), [unkept]);
  const said = saidTonight(floor.state, bundle.plan.wishes, isTeacher);
  const feetDown = feetDownNow(floor.state, bundle.plan);
  // Whoever has said that something is sore, or keeps the feet down, is asked for nothing that meets it.
  const isOut = (id: string, spec: FloorCheck, base: BaseId) => {
    const person = bundle.prepared.people.find((one) => one.id === id);
    if (person === undefined) return true;
    return isOutOfHold(person, spec, spec.byBase ? base : null, said, feetDown.includes(id));
  };
  const asked = checks.flatMap(({ check, base, people }) => {
    const on = base ?? baseFor(bundle);
    const spec = bundle.checks.find((one) => one.check === check);
    if (spec === undefined) return [];
    const mine = people.flatMap(({ id }) =>
      here.includes(id) && !isOut(id, spec, on) ? [id] : [],
    );
    return mine.length === 0 ? [] : [{ check, on, spec, mine }];
  });
  if (asked.length === 0) return <p>No check is planned: the minutes are for the shapes.</p>;
  return (
    <div className={classes.checks}>
      {asked.map(({ check, on, spec, mine }) => {
        if (spec.kind === 'hold') {
          const done = floor.state.holds.filter((hold) => hold.check === check && hold.stopped);
          return (
            <article key={check + on} className={classes.checkCard}>
              <CheckHead
                spec={spec}
                title={spec.byBase ? `${spec.label}, on the ${on}` : spec.label}
              />
              <p className={classes.quiet}>{mine.map((id) => names.get(id)).join(', ')}</p>
              <Button size="lg" onClick={() => onHold({ check, people: mine, base: on })}>
                {done.length > 0 ? `Once more (${done.length} done)` : 'To the clock'}
              </Button>
            </article>
          );
        }
        return (
          <article key={check + on} className={classes.checkCard}>
            <CheckHead
              spec={spec}
              title={spec.byBase ? `${spec.label}, on the ${on}` : spec.label}
            />
            {mine.map((id) => (
              <SeenRow
                key={id}
                floor={floor}
                spec={spec}
                person={id}
                name={names.get(id) ?? id}
                seen={seen.filter(
                  (one) =>
                    one.check === check && one.person === id && (!spec.byBase || one.base === on),
                )}
                base={on}
                unkept={unkept}
              />
            ))}
          </article>
        );
      })}
    </div>
  );
}

function baseFor({ plan }: FloorBundle) {
  const [family] = plan.families;
  if (family === 'forearm-stand') return 'forearms' as const;
  return family === 'headstand' ? ('head' as const) : ('hands' as const);
}

/** What is asked for, and how it is taken: the legend of what is counted stands beside it. */
function CheckHead({ spec, title }: { readonly spec: FloorCheck; readonly title: string }) {
  const { words, method, levels = [] } = spec;
  return (
    <>
      <h2>{title}</h2>
      {words !== undefined && (
        <p className={classes.quiet}>
          Bar: {words.bar}
          {spec.hasSides ? ', each side' : ''}.
        </p>
      )}
      {(method !== undefined || levels.length > 0) && (
        <details className={classes.taken}>
          <summary>How it is taken</summary>
          {method !== undefined && <p>{method}</p>}
          {levels.length > 0 && (
            <ol start={0}>
              {levels.map((level) => (
                <li key={level}>{level}</li>
              ))}
            </ol>
          )}
        </details>
      )}
    </>
  );
}

const keptSides = ['left', 'right', null] as const;

interface SeenRowProps {
  readonly floor: Floor;
  readonly spec: FloorCheck;
  readonly person: string;
  readonly name: string;
  /** Of this person tonight, oldest first. */
  readonly seen: readonly Seen[];
  readonly base: 'hands' | 'forearms' | 'head';
  readonly unkept: Typed;
}

/** Lengths are kept in centimetres, whatever they are typed in. */
const typedIn = (spec: FloorCheck): LengthUnits => spec.typedIn ?? 'cm';

/** As many as a thumb finds in a row. */
const mostSteps = 10;

/** What is chosen from by one tap, from 0 on: levels and marks; nothing where it is a measure or a count. */
const stepsOf = ({ kind, most }: FloorCheck): number[] =>
  (kind === 'level' || kind === 'rating') && most <= mostSteps
    ? Array.from({ length: most + 1 }, (_, step) => step)
    : [];

const sayStep = ({ levels }: FloorCheck, name: string, step: number): string =>
  levels?.[step] === undefined ? `${name}: ${step}` : `${name}: ${step}, ${levels[step]}`;

const isPassed = ({ kind }: FloorCheck) => passKinds.includes(kind);

/** `left 70°, right 72°`; `yes`. */
function sayLast(spec: FloorCheck, seen: readonly Seen[]): string {
  const say = ({ value }: Seen) =>
    isPassed(spec)
      ? value === 1
        ? 'yes'
        : 'no'
      : `${readingIn(value, typedIn(spec))}${spec.words?.suffix ?? ''}`;
  if (!spec.hasSides) return seen.slice(-1).map(say).join('');
  return keptSides
    .flatMap((side) => {
      const last = seen.filter((one) => one.side === side).at(-1);
      return last === undefined ? [] : [`${side ?? 'both'} ${say(last)}`];
    })
    .join(', ');
}

/** What is typed and not yet kept, by row: kept as well when the line is left. */
type Typed = Map<string, () => void>;

/**
 * A number is kept by its button or by the enter key, and also when the hand goes on to something
 * else: what was typed between two people is not lost. A row that goes by itself, because somebody
 * is no longer asked, takes what stands in it along.
 */
function useTyped(
  keep: (value: number, event?: { readonly timeStamp: number }) => void,
  most: number,
  unkept: Typed,
) {
  const [value, setValue] = useState<number | ''>('');
  const row = useId();
  const isTooMuch = value !== '' && value > most;
  const isReady = value !== '' && Number.isFinite(value) && !isTooMuch;
  const keepIt = (event?: { readonly timeStamp: number }) => {
    if (!isReady) return;
    setValue('');
    keep(value, event);
  };
  useEffect(() => {
    unkept.set(row, keepIt);
    return () => void unkept.delete(row);
  });
  const onLeave = (event: FocusEvent) => {
    const { currentTarget, relatedTarget, timeStamp } = event;
    // A tap beside it, as on the side that is meant, is not yet a leaving.
    if (relatedTarget !== null && !currentTarget.contains(relatedTarget)) keepIt({ timeStamp });
  };
  return { value, setValue, isTooMuch, isReady, keepIt, onLeave };
}

function SeenRow({ floor, spec, person, name, seen, base, unkept }: SeenRowProps) {
  const [side, setSide] = useState<AskedSide>('left');
  const record = (what: number, event?: { readonly timeStamp: number }) => {
    void floor.say(
      {
        kind: 'seen',
        person,
        check: spec.check,
        value: what,
        base: spec.byBase ? base : null,
        side: spec.hasSides ? keptSide(side) : null,
        faults: [],
      },
      event,
    );
    setSide(sideAfter(side));
  };
  const last = sayLast(spec, seen);
  const suffix = spec.words?.suffix ?? '';
  const isPass = isPassed(spec);
  const most = readingIn(spec.most, typedIn(spec));
  const { value, setValue, isTooMuch, isReady, keepIt, onLeave } = useTyped(
    (typed, event) => record(readingFrom(typed, typedIn(spec)), event),
    most,
    unkept,
  );
  const steps = stepsOf(spec);
  return (
    <div
      className={classes.seen}
      data-sides={spec.hasSides}
      data-steps={steps.length > 0}
      onBlur={onLeave}
    >
      <span>
        {name}
        {last !== '' && <span className={classes.quiet}> {last}</span>}
      </span>
      {spec.hasSides && (
        <SegmentedControl
          size="md"
          aria-label={`Side, ${name}`}
          value={side}
          data={[...askedSides(spec.kind)]}
          onChange={(next) => setSide(next as AskedSide)}
        />
      )}
      {isPass ? (
        <>
          <Button size="md" onClick={(event) => record(1, event)} aria-label={`${name} yes`}>
            yes
          </Button>
          <Button
            size="md"
            variant="default"
            onClick={(event) => record(0, event)}
            aria-label={`${name} no`}
          >
            no
          </Button>
        </>
      ) : steps.length > 0 ? (
        <div className={classes.steps} role="group" aria-label={`${spec.label}, ${name}`}>
          {steps.map((step) => (
            <button
              key={step}
              type="button"
              title={spec.levels?.[step]}
              aria-label={sayStep(spec, name, step)}
              onClick={(event) => record(step, event)}
            >
              {step}
            </button>
          ))}
        </div>
      ) : (
        <>
          <NumberInput
            size="md"
            w={90 + 9 * suffix.length}
            suffix={suffix}
            aria-label={`${spec.label}, ${name}`}
            min={0}
            max={most}
            allowDecimal={spec.kind !== 'reps'}
            enterKeyHint="done"
            error={isTooMuch ? `at most ${most}${suffix}` : undefined}
            value={value}
            onChange={(next) => setValue(next === '' ? '' : Number(next))}
            onKeyDown={(event) => event.key === 'Enter' && keepIt(event)}
          />
          <Button size="md" disabled={!isReady} onClick={keepIt} aria-label={`Keep ${name}`}>
            keep
          </Button>
        </>
      )}
    </div>
  );
}
