'use client';

import { Button, NumberInput } from '@mantine/core';
import { useState } from 'react';
import type { FloorBundle, FloorCheck } from '@/server/running/floorBundle';
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
  const { floor, bundle, names, here } = useFloorClass();
  // The prepared class knows the base as well: on what a check is taken.
  const { checks } = bundle.prepared;
  const seen = floor.state.seen;
  if (checks.length === 0) return <p>No check is planned: the minutes are for the shapes.</p>;
  return (
    <div className={classes.checks}>
      {checks.map(({ check, base, label, people }) => {
        const on = base ?? baseFor(bundle);
        const spec = bundle.checks.find((one) => one.check === check);
        const mine = people.map(({ id }) => id).filter((id) => here.includes(id));
        if (spec === undefined || mine.length === 0) return null;
        if (spec.kind === 'hold') {
          const done = floor.state.holds.filter((hold) => hold.check === check && hold.stopped);
          return (
            <article key={check + on} className={classes.checkCard}>
              <h3>{spec.byBase ? `${label}, on the ${on}` : label}</h3>
              <p className={classes.quiet}>{mine.map((id) => names.get(id)).join(', ')}</p>
              <Button size="lg" onClick={() => onHold({ check, people: mine, base: on })}>
                {done.length > 0 ? `Once more (${done.length} done)` : 'To the clock'}
              </Button>
            </article>
          );
        }
        return (
          <article key={check + on} className={classes.checkCard}>
            <h3>{spec.byBase ? `${label}, on the ${on}` : label}</h3>
            {mine.map((id) => (
              <SeenRow
                key={id}
                floor={floor}
                spec={spec}
                person={id}
                name={names.get(id) ?? id}
                last={
                  seen
                    .filter(
                      (one) =>
                        one.check === check &&
                        one.person === id &&
                        (!spec.byBase || one.base === on),
                    )
                    .at(-1)?.value
                }
                base={on}
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

interface SeenRowProps {
  readonly floor: Floor;
  readonly spec: FloorCheck;
  readonly person: string;
  readonly name: string;
  readonly last: number | undefined;
  readonly base: 'hands' | 'forearms' | 'head';
}

function SeenRow({ floor, spec, person, name, last, base }: SeenRowProps) {
  const [value, setValue] = useState<number | ''>('');
  const [side, setSide] = useState<'left' | 'right'>('left');
  const record = (what: number, event: { readonly timeStamp: number }) => {
    void floor.say(
      {
        kind: 'seen',
        person,
        check: spec.check,
        value: what,
        base: spec.byBase ? base : null,
        side: spec.hasSides ? side : null,
        faults: [],
      },
      event,
    );
    setValue('');
    if (spec.hasSides) setSide(side === 'left' ? 'right' : 'left');
  };
  const isPass = passKinds.includes(spec.kind);
  return (
    <div className={classes.seen}>
      <span>
        {name}
        {last !== undefined && (
          <span className={classes.quiet}> {isPass ? (last === 1 ? 'yes' : 'no') : last}</span>
        )}
      </span>
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
      ) : (
        <>
          <NumberInput
            size="md"
            w={90}
            aria-label={`${spec.label}, ${name}`}
            min={0}
            max={spec.most}
            allowDecimal={spec.kind !== 'reps'}
            value={value}
            onChange={(next) => setValue(next === '' ? '' : Number(next))}
          />
          <Button
            size="md"
            disabled={value === '' || !Number.isFinite(value) || value > spec.most}
            onClick={(event) => value !== '' && record(value, event)}
            aria-label={`Keep ${name}`}
          >
            keep
          </Button>
        </>
      )}
    </div>
  );
}
