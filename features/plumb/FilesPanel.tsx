'use client';

import { Button, Group } from '@mantine/core';
import Papa from 'papaparse';
import { InputProblem } from '@/core/problem';
import { readCoco, writeCoco } from '@/core/plumb/coco';
import { getMeasure, stillMeasureIds } from '@/core/plumb/measureTable';
import type { StillReading } from '@/core/plumb/still';
import { FileChoice } from '@/design/FileChoice';
import { showProblem } from '@/design/notices';
import { saveFile } from '@/design/saveFile';
import type { LoadedPicture } from './picture';
import type { PlumbEvent } from './plumbMachine';
import { takeMarks, type Sheet } from './sheet';

interface FilesPanelProps {
  readonly picture: LoadedPicture;
  readonly sheet: Sheet;
  readonly reading: StillReading;
  readonly tell: (event: PlumbEvent) => void;
  /** The drawing of the lines on this page. */
  readonly overlayId: string;
}

/** Measures as a table of numbers, in SI units. */
export const measuresCsv = ({ measures }: Pick<StillReading, 'measures'>): string =>
  Papa.unparse(
    stillMeasureIds.flatMap((id) => {
      const found = measures[id];
      return found === undefined ? [] : [{ measure: id, label: getMeasure(id).label, ...found }];
    }),
  );

/** The marks as COCO keypoints, the measures as a table, the drawing without the picture. */
export function FilesPanel({ picture, sheet, reading, tell, overlayId }: FilesPanelProps) {
  const { width, height } = picture;
  const marks =
    sheet.view === 'side'
      ? { near: sheet.marks.near, far: sheet.marks.far }
      : { left: sheet.marks.left, right: sheet.marks.right };
  const take = async (file: File) => {
    try {
      const image = readCoco(JSON.parse(await file.text()), sheet.view);
      tell({ kind: 'set', change: takeMarks(sheet, image) });
    } catch (error) {
      showProblem(
        error instanceof InputProblem ? error.message : 'This file is no JSON that can be read.',
      );
    }
  };
  const saveOverlay = () => {
    const drawing = document.getElementById(overlayId);
    if (drawing === null) return;
    saveFile('levitar-lines.svg', 'image/svg+xml', standalone(drawing));
  };
  const savePicture = async () => {
    const drawing = document.getElementById(overlayId);
    if (drawing === null) return;
    const png = await drawOver(picture, standalone(drawing));
    if (png === null) showProblem('This picture is too large for this browser to be written.');
    else saveFile('levitar-picture.png', 'image/png', png);
  };
  return (
    <Group gap="xs" mt="md">
      <Button
        size="xs"
        variant="default"
        onClick={() =>
          saveFile(
            'levitar-marks.json',
            'application/json',
            `${JSON.stringify(writeCoco({ width, height, marks }), null, 2)}\n`,
          )
        }
      >
        Marks as a file
      </Button>
      <FileChoice onFile={(file) => void take(file)} accept="application/json,.json">
        {({ onClick }) => (
          <Button size="xs" variant="default" onClick={onClick}>
            Marks from a file
          </Button>
        )}
      </FileChoice>
      <Button
        size="xs"
        variant="default"
        onClick={() => saveFile('levitar-measures.csv', 'text/csv', measuresCsv(reading))}
      >
        Measures as CSV
      </Button>
      <Button size="xs" variant="default" onClick={saveOverlay}>
        Lines as SVG
      </Button>
      <Button size="xs" variant="default" onClick={() => void savePicture()}>
        Picture with lines
      </Button>
    </Group>
  );
}

async function loadImage(address: string): Promise<HTMLImageElement> {
  const image = new Image();
  image.src = address;
  await image.decode();
  return image;
}

/** The picture with its lines over it, as a PNG without metadata. */
async function drawOver(
  { url, width, height }: LoadedPicture,
  lines: string,
): Promise<Blob | null> {
  const canvas = document.createElement('canvas');
  [canvas.width, canvas.height] = [width, height];
  const context = canvas.getContext('2d');
  if (context === null) return null;
  context.drawImage(await loadImage(url), 0, 0, width, height);
  const over = await loadImage(`data:image/svg+xml;utf8,${encodeURIComponent(lines)}`);
  context.drawImage(over, 0, 0, width, height);
  return new Promise((resolve) => {
    canvas.toBlob(resolve, 'image/png');
  });
}

/** What of the page's styles a drawing carries along. */
const carried = [
  'fill',
  'stroke',
  'stroke-width',
  'stroke-opacity',
  'stroke-dasharray',
  'stroke-linejoin',
  'stroke-linecap',
  'paint-order',
  'opacity',
  'font-size',
  'font-weight',
  'text-anchor',
] as const;

/** A drawing as a file of its own: it knows none of the page's styles, so each part carries them. */
export function standalone(drawing: Element): string {
  const copy = drawing.cloneNode(true) as Element;
  const [from, to] = [drawing, copy].map((one) => [one, ...one.querySelectorAll('*')]);
  from!.forEach((element, index) => {
    const style = getComputedStyle(element);
    const part = to![index]!;
    part.removeAttribute('class');
    for (const name of carried) {
      const value = style.getPropertyValue(name);
      if (value !== '') part.setAttribute(name, value);
    }
  });
  return new XMLSerializer().serializeToString(copy);
}
