'use client';

import { Slider } from '@mantine/core';
import { useElementSize, useViewportSize } from '@mantine/hooks';
import { memo, useState } from 'react';
import type { Body } from '@/core/body/body';
import type { StillReading } from '@/core/plumb/still';
import type { LengthUnits } from '@/core/units/length';
import { MarkHandle } from './MarkHandle';
import { Overlay } from './Overlay';
import type { LoadedPicture } from './picture';
import type { PlumbEvent } from './plumbMachine';
import { handleKey, listHandles, placeOf, type Sheet } from './sheet';
import classes from './plumb.module.css';

interface PictureStageProps {
  readonly picture: LoadedPicture;
  readonly sheet: Sheet;
  readonly body: Body;
  readonly reading: StillReading | null;
  readonly units: LengthUnits;
  readonly tell: (event: PlumbEvent) => void;
  /** What else stands above and below the picture, pixels of the screen. */
  readonly aroundPx?: number;
  /** Under which the lines are found by what hands them out as a file. */
  readonly overlayId?: string;
}

/** What usually stands above and below the picture, pixels of the screen. */
const usualAroundPx = 292;
/** Picture pixels across that the loupe shows. */
const loupeAcross = 90;

/** The picture with its lines, and every mark to take hold of. */
export const PictureStage = memo(function PictureStage({
  picture,
  sheet,
  body,
  reading,
  units,
  tell,
  aroundPx = usualAroundPx,
  overlayId,
}: PictureStageProps) {
  const { ref, width } = useElementSize();
  const viewport = useViewportSize();
  const [zoom, setZoom] = useState(1);
  const [held, setHeld] = useState<string | null>(null);
  const tallest = Math.max(320, viewport.height - aroundPx);
  const fits = Math.min(width || 600, (tallest * picture.width) / picture.height);
  const shownPx = Math.max(1, fits * zoom);
  /** Picture pixels in one of the screen. */
  const perPx = picture.width / shownPx;
  const handles = listHandles(sheet);
  const close = handles.find((id) => handleKey(id) === held);
  const at = close === undefined ? null : placeOf(sheet, close);
  return (
    <div>
      <div ref={ref} className={classes.scroll}>
        <svg
          viewBox={`0 0 ${picture.width} ${picture.height}`}
          width={shownPx}
          height={(shownPx * picture.height) / picture.width}
          role="group"
          aria-label="The picture with its marks"
        >
          <image href={picture.url} width={picture.width} height={picture.height} />
          <Overlay
            overlayId={overlayId}
            image={picture}
            sheet={sheet}
            body={body}
            reading={reading}
            units={units}
            perPx={perPx}
          />
          {handles.map((id) => (
            <MarkHandle
              key={handleKey(id)}
              id={id}
              at={placeOf(sheet, id)!}
              perPx={perPx}
              tell={tell}
              onHold={setHeld}
            />
          ))}
        </svg>
        {at !== null && (
          <svg
            className={classes.loupe}
            data-right={at[0] < picture.width / 2}
            viewBox={`${at[0] - loupeAcross / 2} ${at[1] - loupeAcross / 2} ${loupeAcross} ${loupeAcross}`}
            aria-hidden="true"
          >
            <image href={picture.url} width={picture.width} height={picture.height} />
            <path
              d={`M${at[0] - 20},${at[1]}h16m8,0h16M${at[0]},${at[1] - 20}v16m0,8v16`}
              className={classes.cross}
            />
          </svg>
        )}
      </div>
      <Zoom zoom={zoom} onZoom={setZoom} />
    </div>
  );
});

interface ZoomProps {
  readonly zoom: number;
  readonly onZoom: (zoom: number) => void;
}

/** Stays as it is while a mark moves. */
const Zoom = memo(function Zoom({ zoom, onZoom }: ZoomProps) {
  return (
    <div className={classes.zoom}>
      <span aria-hidden="true">Zoom</span>
      <Slider
        thumbLabel="Zoom"
        label={(value) => `${value.toFixed(1)} ×`}
        min={1}
        max={4}
        step={0.1}
        value={zoom}
        onChange={onZoom}
      />
    </div>
  );
});
