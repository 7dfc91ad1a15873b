'use client';

import { Button } from '@mantine/core';
import { useState } from 'react';
import { tapId } from '@/core/running/taps';
import { OnTop } from './OnTop';
import { PersonTile } from './PersonTile';
import { useFloorClass } from './context';
import classes from './floor.module.css';
import { placeChoices, signChoices } from './words';

interface StopSheetProps {
  /** Already known whom. */
  readonly person: string | null;
  readonly onClose: () => void;
}

/** A stop: who, and it is recorded. What it was comes after, and may be left out. */
export function StopSheet({ person, onClose }: StopSheetProps) {
  const { floor, names, here } = useFloorClass();
  const [who, setWho] = useState<string | null>(null);
  const [sign, setSign] = useState<string | null>(null);
  const [halted, setHalted] = useState<string | null>(null);
  const chosen = who ?? person;
  const halt = async (id: string, event: { readonly timeStamp: number }) => {
    setWho(id);
    const made = await floor.say({ kind: 'halt', person: id }, event);
    if (made !== null) setHalted(tapId(made));
  };
  const name = chosen === null ? '' : (names.get(chosen) ?? chosen);
  if (sign !== null) {
    return (
      <OnTop onClose={onClose} title={`${name}: ${sign}`}>
        <div className={classes.help} role="alert">
          <p>Get help by the rules of the place.</p>
          <p>
            Everything upside down and every load on the neck is closed for {name}, tonight and
            until a clinician’s word is noted.
          </p>
        </div>
        <Button size="lg" onClick={onClose}>
          Back to the class
        </Button>
      </OnTop>
    );
  }
  if (chosen === null || (person === null && who === null)) {
    return (
      <OnTop onClose={onClose} title="Stop: who?" isWide>
        <div className={classes.tiles}>
          {here.map((id) => (
            <PersonTile
              key={id}
              name={names.get(id) ?? id}
              line="stop"
              onTap={(event) => void halt(id, event)}
            />
          ))}
        </div>
      </OnTop>
    );
  }
  return (
    <OnTop onClose={onClose} title={`${name} stops`}>
      {halted === null && who === null ? (
        <button
          type="button"
          className={classes.stop}
          onClick={(event) => void halt(chosen, event)}
        >
          Stop {name} now
        </button>
      ) : (
        <p>The try is over and noted. If you know what it was:</p>
      )}
      <p className={classes.quiet}>A sign that closes everything upside down</p>
      <div className={classes.chips}>
        {signChoices.map(({ value, label }) => (
          <button
            key={value}
            type="button"
            className={classes.chipStop}
            onClick={(event) => {
              void floor.say({ kind: 'sign', person: chosen, sign: value }, event);
              setSign(label);
            }}
          >
            {label}
          </button>
        ))}
      </div>
      <p className={classes.quiet}>Sore or painful: what loads it closes for tonight</p>
      <div className={classes.chips}>
        {placeChoices.map(({ value, label }) => (
          <button
            key={value}
            type="button"
            className={classes.chip}
            onClick={(event) => {
              void floor.say({ kind: 'sore', person: chosen, place: value }, event);
              onClose();
            }}
          >
            {label}
          </button>
        ))}
      </div>
      <Button size="lg" variant="default" mt="md" onClick={onClose}>
        Nothing of that
      </Button>
    </OnTop>
  );
}
