'use client';

import { NumberInput, type NumberInputProps } from '@mantine/core';
import { useState } from 'react';

interface NumberFieldProps extends Omit<NumberInputProps, 'value' | 'onChange' | 'defaultValue'> {
  /** `null`: there is none yet. */
  readonly value: number | null;
  /** A figure was typed or counted to; what cannot be is left to whoever takes it. */
  readonly onNumber: (value: number) => void;
  /** Left empty; absent: what stood there stands. */
  readonly onEmpty?: () => void;
  /** The figure counts when the field is left or with Enter, not while it is typed. */
  readonly whenLeft?: true;
}

/** What stands in the field while somebody is in it. */
interface Typed {
  readonly text: string | number;
  /** The value it was typed over, and the one it became, where it is one. */
  readonly was: number | null;
  readonly sent: number | null;
}

/**
 * A figure that is kept elsewhere. An emptied field is a figure on its way: it stays empty while
 * somebody is in it, changes nothing, and shows what stands when it is left.
 */
export function NumberField({
  value,
  onNumber,
  onEmpty,
  whenLeft,
  onFocusCapture,
  onBlur,
  onKeyDown,
  ...field
}: NumberFieldProps) {
  const [typed, setTyped] = useState<Typed | null>(null);
  const [isIn, setIn] = useState(false);
  // Another value than the one typed over came from elsewhere: that one is shown.
  const isHeld = isIn && typed !== null && (value === typed.was || value === typed.sent);
  const leave = () => {
    if (typed === null) return;
    if (typed.text === '') onEmpty?.();
    else if (whenLeft && typed.sent !== null && typed.sent !== value) onNumber(typed.sent);
  };
  return (
    <NumberInput
      {...field}
      value={isHeld ? typed.text : (value ?? '')}
      onChange={(text) => {
        const sent = typeof text === 'number' ? text : null;
        setTyped({ text, was: value, sent });
        if (sent !== null && sent !== value && !(whenLeft && isIn)) onNumber(sent);
      }}
      // Not on the way up: the library says it a moment later, when something may be typed already.
      onFocusCapture={(event) => {
        setTyped(null);
        setIn(true);
        onFocusCapture?.(event);
      }}
      onBlur={(event) => {
        leave();
        setIn(false);
        onBlur?.(event);
      }}
      onKeyDown={(event) => {
        if (whenLeft && event.key === 'Enter') event.currentTarget.blur();
        onKeyDown?.(event);
      }}
    />
  );
}
