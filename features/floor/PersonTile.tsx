'use client';

import { IconFlag } from '@tabler/icons-react';
import { useId, useRef } from 'react';
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
  readonly onTap: (event: { readonly timeStamp: number }) => void;
  /** Opens what can be noted of them. */
  readonly onFault?: () => void;
}

/** Somebody as a large button; what is seen besides has a small one of its own in the corner. */
export function PersonTile(props: PersonTileProps) {
  const { name, line, letter, isOn = true, isStopped, isOut, marks = [], onTap, onFault } = props;
  const pressed = useRef<number | null>(null);
  const nameId = useId();
  return (
    <div className={classes.tileBox}>
      <button
        type="button"
        className={classes.tile}
        data-on={isOn}
        data-stopped={isStopped === true}
        data-out={isOut === true}
        aria-disabled={isOut === true}
        onPointerDown={(event) => {
          // The moment the finger lands, not the one it leaves.
          pressed.current = event.timeStamp;
        }}
        onContextMenu={(event) => event.preventDefault()}
        onClick={(event) => {
          const at = pressed.current ?? event.timeStamp;
          pressed.current = null;
          if (isOut) return;
          if (event.shiftKey && onFault !== undefined) onFault();
          else onTap({ timeStamp: at });
        }}
      >
        <span className={classes.tileName} id={nameId}>
          {typeof letter === 'string' && <span className={classes.letter}>{letter}</span>}
          {name}
        </span>
        <span className={classes.tileLine}>{line}</span>
        {marks.length > 0 && <span className={classes.tileMarks}>{marks.join(', ')}</span>}
      </button>
      {onFault !== undefined && !isOut && (
        <button
          type="button"
          className={classes.tileFault}
          aria-label="Note a fault"
          aria-describedby={nameId}
          title="Note a fault"
          onClick={onFault}
        >
          <IconFlag size={22} />
        </button>
      )}
    </div>
  );
}
