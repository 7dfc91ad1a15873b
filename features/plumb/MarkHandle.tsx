'use client';

import { memo } from 'react';
import type { MarkName, Pixel } from '@/core/plumb/marks';
import { useHandle } from '@/design/useHandle';
import type { PlumbEvent } from './plumbMachine';
import { handleKey, type HandleId } from './sheet';
import classes from './plumb.module.css';

interface MarkHandleProps {
  readonly id: HandleId;
  readonly at: Pixel;
  /** Picture pixels in one of the screen. */
  readonly perPx: number;
  readonly tell: (event: PlumbEvent) => void;
  /** Told the key of this one, or that nothing is held any more. */
  readonly onHold: (key: string | null) => void;
}

const names: Readonly<Partial<Record<MarkName, string>>> = {
  rib: 'lowest rib',
  pelvisFront: 'front of the pelvis',
};
const endWords = { floor: 'floor line', wall: 'wall line', scale: 'scale' } as const;
/** With the shift key, picture pixels. */
const wideStep = 10;

export const handleWords = (id: HandleId): string =>
  id.kind === 'mark'
    ? `${id.whose} ${names[id.name] ?? id.name}`
    : `${endWords[id.kind]}, ${id.end === 0 ? 'first' : 'second'} end`;

/** A mark that was just put on is under the keys at once. */
export function focusHandle(key: string): void {
  requestAnimationFrame(() =>
    document.querySelector<SVGGElement>(`[data-handle="${key}"]`)?.focus(),
  );
}

/** As it was: one mark moves, and the others are left alone. */
const isSame = (before: MarkHandleProps, now: MarkHandleProps) =>
  handleKey(before.id) === handleKey(now.id) &&
  before.at[0] === now.at[0] &&
  before.at[1] === now.at[1] &&
  before.perPx === now.perPx &&
  before.tell === now.tell &&
  before.onHold === now.onHold;

/** One mark: drawn, moved by the arrow keys, taken away by Delete. */
export const MarkHandle = memo(function MarkHandle(props: MarkHandleProps) {
  const { id, at, perPx, tell, onHold } = props;
  const [x, y] = at;
  const shifted = ([fromX, fromY]: Pixel, dx: number, dy: number): Pixel => [
    Math.round(fromX + dx * perPx),
    Math.round(fromY + dy * perPx),
  ];
  const { ref, onKeyDown } = useHandle<Pixel>({
    take: () => {
      onHold(handleKey(id));
      return at;
    },
    move: (from, dx, dy) => tell({ kind: 'move', id, to: shifted(from, dx, dy) }),
    drop: () => {
      onHold(null);
      tell({ kind: 'drop' });
    },
    cancel: () => {
      onHold(null);
      tell({ kind: 'cancel' });
    },
    step: (right, up, isWide) => {
      const by = isWide ? wideStep : 1;
      tell({ kind: 'move', id, to: [x + right * by, y - up * by] });
      tell({ kind: 'drop' });
    },
  });
  const size = (px: number) => px * perPx;
  return (
    <g
      ref={ref}
      role="button"
      tabIndex={0}
      aria-label={`${handleWords(id)}: ${Math.round(x)}, ${Math.round(y)}`}
      className={classes.handle}
      data-kind={id.kind}
      data-handle={handleKey(id)}
      data-pale={id.kind === 'mark' && id.whose === 'far'}
      onFocus={() => onHold(handleKey(id))}
      onBlur={() => onHold(null)}
      onKeyDown={(event) => {
        onKeyDown(event);
        if (event.key === 'Delete' || event.key === 'Backspace') {
          event.preventDefault();
          tell({ kind: 'remove', id });
        }
      }}
    >
      <circle cx={x} cy={y} r={size(16)} className={classes.grip} />
      <circle cx={x} cy={y} r={size(6.5)} className={classes.ring} strokeWidth={size(2.5)} />
      <circle cx={x} cy={y} r={size(1.4)} className={classes.dot} />
    </g>
  );
}, isSame);
