'use client';

import { memo } from 'react';
import type { Body } from '@/core/body/body';
import type { PracticeWish } from '@/core/plumb/practice';
import type { StillReading } from '@/core/plumb/still';
import { FilesPanel } from './FilesPanel';
import { KeepPanel } from './KeepPanel';
import type { LoadedPicture } from './picture';
import type { PlumbEvent } from './plumbMachine';
import type { Sheet } from './sheet';
import { Painted } from './PracticeCamera';
import type { PlumbView } from './read';

interface BesideProps {
  readonly view: PlumbView;
  readonly body: Body;
  readonly picture: LoadedPicture;
  /** What the picture was painted as; `null`: it is of somebody. */
  readonly painted: PracticeWish | null;
  readonly sheet: Sheet;
  readonly reading: StillReading;
  readonly tell: (event: PlumbEvent) => void;
  /** The drawing of the lines on this page. */
  readonly overlayId: string;
}

/** What follows from a reading and is nobody's measure yet: it need not keep up with a hand. */
export const Beside = memo(function Beside({
  view,
  body,
  picture,
  painted,
  sheet,
  reading,
  tell,
  overlayId,
}: BesideProps) {
  return (
    <>
      {painted !== null && (
        <Painted body={body} wish={painted} reading={reading} units={view.units} />
      )}
      {painted === null && <KeepPanel view={view} picture={picture} sheet={sheet} />}
      <FilesPanel
        picture={picture}
        sheet={sheet}
        reading={reading}
        tell={tell}
        overlayId={overlayId}
      />
    </>
  );
});
