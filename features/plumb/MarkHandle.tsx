'use client';

import type { Pixel } from '@/core/plumb/marks';
import { useHandle } from '@/design/useHandle';
import type { HandleId, PlumbEvent } from './plumbMachine';
import classes from './plumb.module.css';

interface MarkHandleProps {
  readonly id: HandleId;
  readonly at: Pixel;
  /** Picture pixels in one of the screen. */
  readonly perPx: number;
  readonly tell: (event: PlumbEvent) => void;
  readonly onHold: (isHeld: boolean) => void;
}

const names: Readonly<Record<string, string>> = { pelvisFront: 'front of the pelvis' };
const endWords = { floor: 'floor line', wall: 'wall line', scale: 'scale' } as const;
/** With the shift key, picture pixels. */
const wideStep = 10;

export const handleWords = (id: HandleId): string =>
  id.kind === 'mark'
    ? `${id.whose} ${names[id.name] ?? id.name}`
    : `${endWords[id.kind]}, ${id.end === 0 ? 'first' : 'second'} end`;

/** One mark: drawn, moved by the arrow keys, taken away by Delete. */
export function MarkHandle({ id, at, perPx, tell, onHold }: MarkHandleProps) {
  const [x, y] = at;
  const shifted = ([fromX, fromY]: Pixel, dx: number, dy: number): Pixel => [
    Math.round(fromX + dx * perPx),
    Math.round(fromY + dy * perPx),
  ];
  const { ref, onKeyDown } = useHandle<Pixel>({
    take: () => {
      onHold(true);
      return at;
    },
    move: (from, dx, dy) => tell({ kind: 'move', id, to: shifted(from, dx, dy) }),
    drop: () => {
      onHold(false);
      tell({ kind: 'drop' });
    },
    cancel: () => {
      onHold(false);
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
      data-pale={id.kind === 'mark' && id.whose === 'far'}
      onFocus={() => onHold(true)}
      onBlur={() => onHold(false)}
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
}
