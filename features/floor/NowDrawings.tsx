'use client';

import type { MoveId } from '@/core/atlas/moves';
import { MoveView } from '@/design/atlas/MoveView';
import { StripView } from '@/design/atlas/StripView';
import type { FloorBundle } from '@/server/running/floorBundle';
import classes from './floor.module.css';

type Line = FloorBundle['plan']['timeline'][number];

interface NowDrawingsProps {
  readonly now: { readonly line: Line; readonly move: MoveId } | null;
  readonly next: { readonly line: Line; readonly move: MoveId } | null;
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
            move={now.move}
            label={now.line.label}
            heightPx={nowHeightPx}
          />
        </div>
      )}
      {next !== null && (
        <div className={classes.drawnNext}>
          <p>then: {next.line.label}</p>
          <StripView move={next.move} label={`Then: ${next.line.label}`} heightPx={80} />
        </div>
      )}
    </div>
  );
}
