'use client';

import type { Drawn } from '@/core/compose/drawnIn';
import { moveOfDrawn } from '@/core/compose/moveOfLine';
import { MoveView } from '@/design/atlas/MoveView';
import { DrawnStrip } from '@/design/atlas/DrawnStrip';
import type { FloorBundle } from '@/server/running/floorBundle';
import classes from './floor.module.css';

type Line = FloorBundle['plan']['timeline'][number];

interface NowDrawingsProps {
  readonly now: { readonly line: Line; readonly drawn: Drawn } | null;
  readonly next: { readonly line: Line; readonly drawn: Drawn } | null;
}

/** It is drawn as large as there is room; this is what its lines are made for. */
const nowHeightPx = 300;

/** What is done now, large and moving; what comes after it, small. */
export function NowDrawings({ now, next }: NowDrawingsProps) {
  return (
    <div className={classes.drawings}>
      {now !== null && (
        <div className={classes.drawnNow}>
          <MoveView
            key={now.line.id}
            move={moveOfDrawn(now.drawn)}
            label={now.line.label}
            heightPx={nowHeightPx}
          />
        </div>
      )}
      {next !== null && (
        <div className={classes.drawnNext}>
          <p>then: {next.line.label}</p>
          <DrawnStrip drawn={next.drawn} label={`Then: ${next.line.label}`} heightPx={80} />
        </div>
      )}
    </div>
  );
}
