'use client';

import { Button, Group, NativeSelect, SegmentedControl } from '@mantine/core';
import { NumberField } from '@/design/NumberField';
import { memo } from 'react';
import type { KnownLength } from '@/core/plumb/knownLengths';
import { plumbBases, scaleSegments, type PlumbBase, type ScaleSegment } from '@/core/plumb/marks';
import type { ShapeId } from '@/core/shapes/postures';
import type { LengthUnits } from '@/core/units/length';
import { getShape, shapeIds } from '@/core/shapes/registry';
import type { PlumbEvent } from './plumbMachine';
import { missingMarks, placeFor } from './addMark';
import { focusHandle, handleWords } from './MarkHandle';
import { handleKey, lookAt, type ImageSize, type Sheet, type SheetScale, type View } from './sheet';
import classes from './plumb.module.css';

interface ChoicesProps {
  readonly sheet: Sheet;
  readonly image: ImageSize;
  readonly hasMarks: boolean;
  /** Marks are being found: what is laid by hand meanwhile would lie under them. */
  readonly isReading: boolean;
  /** Finds the marks by itself; a clip is read when it is opened. */
  readonly onRead?: () => void | Promise<void>;
  /** Only from the side, and as one of a row. */
  readonly isClip?: boolean;
  /** Puts marks where they usually are. */
  readonly onPlace: () => void;
  readonly units: LengthUnits;
  /** What gives a scale. */
  readonly lengths: readonly KnownLength[];
  readonly tell: (event: PlumbEvent) => void;
}

const unitM: Readonly<Record<LengthUnits, number>> = { cm: 0.01, in: 0.0254 };

const baseWords: Readonly<Record<PlumbBase, string>> = {
  hands: 'hands',
  forearms: 'forearms',
  head: 'head',
  feet: 'feet, or lying',
};

const segmentWords: Readonly<Record<ScaleSegment, string>> = {
  trunk: 'this person’s trunk',
  forearm: 'this person’s forearm',
  thigh: 'this person’s thigh',
  shank: 'this person’s shank',
};

/** The same length, as far as anybody types one. */
const isLike = (a: number, b: number) => Math.abs(a - b) < 5e-4;

/** Two points across the lower middle of the picture, to be drawn to something known. */
const usualLine = ({
  width,
  height,
}: ImageSize): readonly [readonly [number, number], readonly [number, number]] => [
  [Math.round(width * 0.3), Math.round(height * 0.94)],
  [Math.round(width * 0.7), Math.round(height * 0.94)],
];

function toScale(value: string, image: ImageSize): SheetScale {
  if (value === 'points') return { kind: 'points', line: usualLine(image), metres: 1 };
  const segment = scaleSegments.find((one) => one === value);
  return segment === undefined ? { kind: 'none' } : { kind: 'segment', segment };
}

/** What is looked at, from where, and what gives the scale. */
export const Choices = memo(function Choices({
  sheet,
  image,
  hasMarks,
  isReading,
  onRead,
  isClip = false,
  onPlace,
  units,
  lengths,
  tell,
}: ChoicesProps) {
  const set = (change: Partial<Sheet>) => tell({ kind: 'set', change });
  const { scale } = sheet;
  const floorY = Math.round(image.height * 0.9);
  const missing = missingMarks(sheet);
  return (
    <section className={classes.choices} aria-label="What is looked at">
      {!isClip && (
        <SegmentedControl
          aria-label="Seen from"
          fullWidth
          value={sheet.view}
          data={[
            { value: 'side', label: 'Side' },
            { value: 'front', label: 'Front' },
            { value: 'back', label: 'Back' },
          ]}
          onChange={(value) => set({ view: value as View })}
        />
      )}
      <Group grow align="flex-end">
        <NativeSelect
          label="Weight on"
          value={sheet.base}
          data={plumbBases.map((value) => ({ value, label: baseWords[value] }))}
          onChange={({ currentTarget: { value } }) => set({ base: value as PlumbBase })}
        />
        {sheet.view === 'side' && (
          <NativeSelect
            label="Fingers point"
            value={sheet.facing}
            data={[
              { value: 'right', label: 'to the right' },
              { value: 'left', label: 'to the left' },
            ]}
            onChange={({ currentTarget: { value } }) => set({ facing: value as Sheet['facing'] })}
          />
        )}
      </Group>
      {sheet.view === 'side' && (
        <NativeSelect
          label="Shape"
          value={sheet.shape ?? ''}
          data={[
            { value: '', label: 'not said, or none of these' },
            ...shapeIds.map((id) => ({ value: id, label: getShape(id).label })),
          ]}
          onChange={({ currentTarget: { value } }) =>
            set(value === '' ? { shape: null } : lookAt(value as ShapeId))
          }
        />
      )}
      <Group grow>
        {onRead !== undefined && (
          <Button onClick={onRead} loading={isReading} variant={hasMarks ? 'default' : 'filled'}>
            Read the marks
          </Button>
        )}
        <Button onClick={onPlace} disabled={isClip && isReading} variant="default">
          {hasMarks ? 'Anew by hand' : 'Put the marks on'}
        </Button>
      </Group>
      {hasMarks && missing.length > 0 && (
        <NativeSelect
          label="Add a mark"
          value=""
          disabled={isReading}
          data={[
            { value: '', label: 'ribs, a knuckle, what is missing …' },
            ...missing.map((id) => ({ value: handleKey(id), label: handleWords(id) })),
          ]}
          onChange={({ currentTarget: { value } }) => {
            const id = missing.find((one) => handleKey(one) === value);
            if (id === undefined) return;
            tell({ kind: 'move', id, to: placeFor(id, sheet, image) });
            tell({ kind: 'drop' });
            focusHandle(value);
          }}
        />
      )}
      <NativeSelect
        label="Scale from"
        value={scale.kind === 'segment' ? scale.segment : scale.kind}
        data={[
          { value: 'none', label: 'nothing: degrees only' },
          { value: 'points', label: 'two points' },
          ...scaleSegments.map((value) => ({ value, label: segmentWords[value] })),
        ]}
        onChange={({ currentTarget: { value } }) => set({ scale: toScale(value, image) })}
      />
      {scale.kind === 'points' && (
        <NativeSelect
          label="Between them"
          value={String(lengths.findIndex(({ metres }) => isLike(metres, scale.metres)))}
          data={[
            { value: '-1', label: 'something measured' },
            ...lengths.map(({ words }, index) => ({ value: String(index), label: words })),
          ]}
          onChange={({ currentTarget: { value } }) => {
            const known = lengths[Number(value)];
            if (known !== undefined) set({ scale: { ...scale, metres: known.metres } });
          }}
        />
      )}
      {scale.kind === 'points' && (
        <NumberField
          label="They are apart"
          suffix={` ${units}`}
          min={1}
          max={units === 'cm' ? 1000 : 400}
          value={Math.round((scale.metres / unitM[units]) * 10) / 10}
          onNumber={(value) => {
            const metres = value * unitM[units];
            if (metres > 0) set({ scale: { ...scale, metres } });
          }}
        />
      )}
      <Group gap="xs">
        <Button
          size="xs"
          variant="default"
          onClick={() =>
            set({
              floor:
                sheet.floor === null
                  ? [
                      [Math.round(image.width * 0.06), floorY],
                      [Math.round(image.width * 0.94), floorY],
                    ]
                  : null,
            })
          }
        >
          {sheet.floor === null ? 'Mark the floor' : 'No floor'}
        </Button>
        {sheet.view === 'side' && (
          <Button
            size="xs"
            variant="default"
            onClick={() => {
              const x = Math.round(image.width * (sheet.facing === 'right' ? 0.85 : 0.15));
              set({
                wall:
                  sheet.wall === null
                    ? [
                        [x, floorY],
                        [x, Math.round(image.height * 0.12)],
                      ]
                    : null,
              });
            }}
          >
            {sheet.wall === null ? 'Mark the wall' : 'No wall'}
          </Button>
        )}
      </Group>
    </section>
  );
});
