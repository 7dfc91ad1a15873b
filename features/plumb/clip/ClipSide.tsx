'use client';

import { Button, Group } from '@mantine/core';
import Papa from 'papaparse';
import { memo } from 'react';
import { faultTable } from '@/core/catalog/checks';
import type { ClipReading } from '@/core/plumb/clip/clip';
import { writeVtt } from '@/core/plumb/clip/course';
import type { ClipInput } from '@/core/plumb/clip/frames';
import type { WholeClip } from '@/core/plumb/clip/whole';
import { offersOfClip } from '@/core/plumb/feeds';
import { clipMeasureIds, clipMeasures } from '@/core/plumb/measureTable';
import { sayError, sayValue } from '@/core/plumb/words';
import { firstUp } from '@/core/units/words';
import { saveFile } from '@/design/saveFile';
import { OfferList } from '../OfferList';
import type { PlumbView } from '../read';
import classes from '../plumb.module.css';

interface ClipSideProps {
  readonly view: PlumbView;
  readonly input: ClipInput;
  readonly reading: ClipReading;
  readonly holds: WholeClip['holds'];
  readonly size: { readonly width: number; readonly height: number };
  readonly isPainted: boolean;
}

/** What a clip says, what of it may be kept, and what goes out as a file. */
export const ClipSide = memo(function ClipSide({
  view,
  input,
  reading,
  holds,
  size,
  isPainted,
}: ClipSideProps) {
  const { measures, faults, notes, events } = reading;
  const offers = offersOfClip(reading, {
    base: input.base,
    hasWall: input.wall !== undefined,
    holds,
  });
  return (
    <>
      <section aria-label="Measures">
        {faults.length > 0 && (
          <p className={classes.problem}>
            It looks as if: {faults.map(({ fault }) => faultTable[fault].label).join(', ')}. Your
            eye decides.
          </p>
        )}
        <dl className={classes.measures}>
          {clipMeasureIds.map((id) => {
            const found = measures[id];
            if (found === undefined) return null;
            return (
              <div key={id}>
                <dt>{firstUp(clipMeasures[id].label)}</dt>
                <dd>
                  <strong>{sayValue(found, view.units)}</strong>
                  <details className={classes.why}>
                    <summary>{sayError(found, view.units) || 'counted'}</summary>
                    <span>{clipMeasures[id].why}</span>
                  </details>
                </dd>
              </div>
            );
          })}
        </dl>
        {notes.map((note) => (
          <p key={note} className={classes.note}>
            {note}
          </p>
        ))}
      </section>
      <OfferList view={view} offers={offers} by="clip" faults={faults} isPainted={isPainted} />
      <Group gap="xs">
        <Button
          size="xs"
          variant="default"
          onClick={() => saveFile('levitar-events.vtt', 'text/vtt', writeVtt(events))}
        >
          Events as subtitles
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() => saveFile('levitar-clip-measures.csv', 'text/csv', clipCsv(reading))}
        >
          Measures as CSV
        </Button>
        <Button
          size="xs"
          variant="default"
          onClick={() =>
            saveFile(
              'levitar-clip-marks.json',
              'application/json',
              `${JSON.stringify(toFile(input, size), null, 2)}\n`,
            )
          }
        >
          Marks as a file
        </Button>
      </Group>
    </>
  );
});

/** Measures as a table of numbers, in SI units. */
const clipCsv = ({ measures }: Pick<ClipReading, 'measures'>): string =>
  Papa.unparse(
    clipMeasureIds.flatMap((id) => {
      const found = measures[id];
      return found === undefined ? [] : [{ measure: id, label: clipMeasures[id].label, ...found }];
    }),
  );

/** The marks of every frame, as the command `clip` takes them. */
function toFile(
  { isOverKnuckle: _, ...input }: ClipInput,
  { width, height }: ClipSideProps['size'],
) {
  return { view: 'side', image: { width, height }, ...input };
}
