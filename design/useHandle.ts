'use client';

import { useDrag } from '@mantine/hooks';
import { useRef, type KeyboardEvent, type RefCallback } from 'react';

/** What a handle does that is drawn by mouse or finger, or moved by the arrow keys. */
export interface HandleMoves<Held> {
  /** Taken hold of: what it is measured from, as it is at that moment. */
  readonly take: (element: Element) => Held;
  /** Drawn so far, CSS pixels to the right and down. */
  readonly move: (held: Held, dxPx: number, dyPx: number) => void;
  readonly drop: (held: Held, dxPx: number, dyPx: number) => void;
  /** The system took the gesture away. */
  readonly cancel: (held: Held) => void;
  /** An arrow key: one step to the right or up, or back; wide with the shift key. */
  readonly step: (right: -1 | 0 | 1, up: -1 | 0 | 1, isWide: boolean) => void;
}

const arrows: Readonly<Record<string, readonly [-1 | 0 | 1, -1 | 0 | 1]>> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

/** The one drag handle: its properties belong on the element that is taken hold of. */
export function useHandle<Held>(moves: HandleMoves<Held>): {
  readonly ref: RefCallback<Element>;
  readonly onKeyDown: (event: KeyboardEvent) => void;
} {
  const held = useRef<{ readonly value: Held } | null>(null);
  const { ref } = useDrag(({ first, last, canceled, movement: [dx, dy], event }) => {
    // Pressed: the listener is the handle's own, whatever of it was hit.
    if (first) held.current = { value: moves.take(event.currentTarget as Element) };
    const now = held.current;
    if (now === null) return;
    if (!last) {
      moves.move(now.value, dx, dy);
      return;
    }
    held.current = null;
    if (canceled) moves.cancel(now.value);
    else moves.drop(now.value, dx, dy);
  });
  return {
    ref: ref as RefCallback<Element>,
    onKeyDown: (event) => {
      const way = arrows[event.key];
      if (way === undefined) return;
      event.preventDefault();
      moves.step(...way, event.shiftKey);
    },
  };
}
