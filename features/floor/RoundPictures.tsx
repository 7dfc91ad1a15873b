'use client';

import type { PlanFile } from '@/core/files/planFile';
import { RoomView } from '@/features/evening/RoomView';
import { StationRow } from '@/features/evening/StationRow';
import type { FloorBundle } from '@/server/running/floorBundle';
import classes from './floor.module.css';

interface RoundPicturesProps {
  readonly bundle: FloorBundle;
  /** As it stands now, with what was planned anew. */
  readonly plan: PlanFile;
  /** 0 is the first. */
  readonly round: number;
  readonly onPerson: (person: string) => void;
}

const planWidthPx = 400;

/** The room from above, and the set-ups at their own size. */
export function RoundPictures({ bundle, plan, round, onPerson }: RoundPicturesProps) {
  return (
    <>
      <div className={classes.above}>
        <RoomView
          plan={plan}
          round={round}
          prepared={bundle.prepared}
          members={bundle.members}
          units={bundle.units}
          widthPx={planWidthPx}
          textPx={13}
          withNames={false}
        />
      </div>
      <div className={classes.figures}>
        <StationRow
          plan={plan}
          round={round}
          context={bundle}
          pxPerM={44}
          onChoose={onPerson}
          wraps
        />
      </div>
    </>
  );
}
