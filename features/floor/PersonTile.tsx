'use client';

import { useRef, type ReactNode } from 'react';
import classes from './floor.module.css';

interface PersonTileProps {
  readonly name: string;
  readonly line: string;
  readonly letter?: string | null;
  readonly isOn?: boolean;
  readonly isStopped?: boolean;
  /** Closed to them: no tap changes it. */
  readonly isOut?: boolean;
  readonly marks?: readonly string[];
  readonly children?: ReactNode;
  readonly onTap: (event: { readonly timeStamp: number }) => void;
  readonly onLong?: () => void;
}

const longMs = 550;

/** Somebody as a large button. A long press, or Shift with a key or click, asks for more. */
export function PersonTile(props: PersonTileProps) {
  const { name, line, letter, isOn = true, isStopped, isOut, marks = [], onTap, onLong } = props;
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  const wasLong = useRef(false);
  const pressed = useRef<number | null>(null);
  const lift = () => {
    if (timer.current !== null) clearTimeout(timer.current);
    timer.current = null;
  };
  return (
    <button
      type="button"
      className={classes.tile}
      data-on={isOn}
      data-stopped={isStopped === true}
      data-out={isOut === true}
      aria-disabled={isOut === true}
      onPointerDown={(event) => {
        wasLong.current = false;
        // The moment the finger lands, not the one it leaves.
        pressed.current = event.timeStamp;
        if (onLong === undefined) return;
        timer.current = setTimeout(() => {
          wasLong.current = true;
          onLong();
        }, longMs);
      }}
      onPointerUp={lift}
      onPointerLeave={lift}
      onPointerCancel={lift}
      onContextMenu={(event) => event.preventDefault()}
      onClick={(event) => {
        const at = pressed.current ?? event.timeStamp;
        pressed.current = null;
        if (wasLong.current || isOut) return;
        if (event.shiftKey && onLong !== undefined) onLong();
        else onTap({ timeStamp: at });
      }}
    >
      <span className={classes.tileName}>
        {typeof letter === 'string' && <span className={classes.letter}>{letter}</span>}
        {name}
      </span>
      <span className={classes.tileLine}>{line}</span>
      {marks.length > 0 && <span className={classes.tileMarks}>{marks.join(', ')}</span>}
    </button>
  );
}
