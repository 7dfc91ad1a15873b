'use client';

import { answered } from '@/design/answered';
import { sayClock } from '@/design/clock';
import { sayMoment } from '@/design/days';
import { Button, Group } from '@mantine/core';
import { useState, useTransition } from 'react';
import { createPairingAction, dropDeviceAction } from './actions';
import type { Pairing } from '@/server/network/devices';
import { sayDay } from '@/core/units/day';
import { showProblems } from '@/design/notices';
import classes from './settings.module.css';

interface DevicesPanelProps {
  readonly devices: readonly {
    readonly id: number;
    readonly name: string;
    readonly role: 'teacher' | 'assistant';
    readonly addedOn: string;
    readonly seenMs: number | null;
  }[];
  readonly isOpen: boolean;
}

export function DevicesPanel({ devices, isOpen }: DevicesPanelProps) {
  const [pairing, setPairing] = useState<Pairing | null>(null);
  const [isBusy, start] = useTransition();
  const ask = (role: 'teacher' | 'assistant') =>
    start(async () => {
      const outcome = await answered(createPairingAction(role));
      if (outcome.ok) setPairing(outcome.value);
      else showProblems(outcome.problems);
    });
  const drop = (id: number) =>
    start(async () => {
      const outcome = await answered(dropDeviceAction(id));
      if (!outcome.ok) showProblems(outcome.problems);
    });
  return (
    <>
      <Group>
        <Button loading={isBusy} disabled={!isOpen} onClick={() => ask('assistant')}>
          A code for an assistant
        </Button>
        <Button
          loading={isBusy}
          disabled={!isOpen}
          variant="default"
          onClick={() => ask('teacher')}
        >
          A code for a tablet of my own
        </Button>
      </Group>
      {pairing !== null && (
        <div className={classes.pairing} role="status">
          {pairing.picture !== null && (
            // A picture made on the spot, from this very page: nothing to optimise.
            // eslint-disable-next-line @next/next/no-img-element
            <img src={pairing.picture} alt="The address with the code, to be scanned" />
          )}
          <div>
            <p className={classes.code}>
              {pairing.code.slice(0, 4)} {pairing.code.slice(4)}
            </p>
            <p>until {sayClock(pairing.expiresMs)}, for one device</p>
          </div>
        </div>
      )}
      {devices.length > 0 && (
        <ul className={classes.devices}>
          {devices.map(({ id, name, role, addedOn, seenMs }) => (
            <li key={id}>
              <span>
                {name}, {role}
                <span className={classes.quiet}>
                  {' '}
                  since {sayDay(addedOn)}
                  {seenMs !== null && `, last heard ${sayMoment(seenMs)}`}
                </span>
              </span>
              <Button
                variant="default"
                loading={isBusy}
                onClick={() => drop(id)}
                aria-label={`Put ${name} out`}
              >
                Put out
              </Button>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}
