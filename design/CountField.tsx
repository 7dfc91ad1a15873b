'use client';

import { useState, type KeyboardEvent } from 'react';
import classes from './countField.module.css';

interface CountFieldProps {
  readonly label: string;
  readonly count: number;
  readonly most: number;
  readonly title?: string;
  /** Stands before the figure. */
  readonly mark?: string;
  readonly onKeep: (count: number) => void;
}

/**
 * How many: kept when the field is left or with Enter, never while it is typed (a 1 on the way to 12
 * is no count). Escape gives back what stood there; the arrows count by one. A plain field, since a
 * page that counts a whole cupboard has fifty of them.
 */
export function CountField({ label, count, most, title, mark, onKeep }: CountFieldProps) {
  const [typed, setTyped] = useState<string | null>(null);
  const keep = (next: number) => {
    setTyped(null);
    const within = Math.max(0, Math.min(most, next));
    if (within !== count) onKeep(within);
  };
  const finish = () => {
    if (typed !== null && /^\d+$/.test(typed)) keep(Number(typed));
    // Emptied, or no number: what stood there stands.
    else setTyped(null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (event.key === 'Enter') finish();
    if (event.key === 'Escape') setTyped(null);
    if (by === undefined) return;
    event.preventDefault();
    keep((typed !== null && /^\d+$/.test(typed) ? Number(typed) : count) + by);
  };
  return (
    <span className={classes.field}>
      {mark !== undefined && <span aria-hidden="true">{mark}</span>}
      <input
        inputMode="numeric"
        autoComplete="off"
        maxLength={4}
        aria-label={label}
        title={title}
        value={typed ?? count}
        onFocus={({ currentTarget }) => currentTarget.select()}
        onChange={({ currentTarget: { value } }) => setTyped(value.trim())}
        onBlur={finish}
        onKeyDown={onKeyDown}
      />
    </span>
  );
}
