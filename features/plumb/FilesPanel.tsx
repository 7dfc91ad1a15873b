'use client';

import { Button, FileButton, Group } from '@mantine/core';
import Papa from 'papaparse';
import { InputProblem } from '@/core/problem';
import { readCoco, writeCoco } from '@/core/plumb/coco';
import { getMeasure, stillMeasureIds } from '@/core/plumb/measureTable';
import type { StillReading } from '@/core/plumb/still';
import { showProblem } from '@/design/notices';
import type { LoadedPicture } from './picture';
import { takeMarks, type PlumbEvent, type Sheet } from './plumbMachine';

interface FilesPanelProps {
  readonly picture: LoadedPicture;
  readonly sheet: Sheet;
  readonly reading: StillReading;
  readonly tell: (event: PlumbEvent) => void;
}

function save(name: string, type: string, text: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(new Blob([text], { type }));
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
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
export function FilesPanel({ picture, sheet, reading, tell }: FilesPanelProps) {
  const { width, height } = picture;
  const marks =
    sheet.view === 'side'
      ? { near: sheet.marks.near, far: sheet.marks.far }
      : { left: sheet.marks.left, right: sheet.marks.right };
  const take = async (file: File | null) => {
    if (file === null) return;
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
    const drawing = document.getElementById('plumb-overlay');
    if (drawing === null) return;
    const text = new XMLSerializer().serializeToString(drawing);
    save('levitar-lines.svg', 'image/svg+xml', withColours(text));
  };
  return (
    <Group gap="xs" mt="md">
      <Button
        size="xs"
        variant="default"
        onClick={() =>
          save(
            'levitar-marks.json',
            'application/json',
            `${JSON.stringify(writeCoco({ width, height, marks }), null, 2)}\n`,
          )
        }
      >
        Marks as a file
      </Button>
      <FileButton onChange={take} accept="application/json,.json">
        {({ onClick }) => (
          <Button size="xs" variant="default" onClick={onClick}>
            Marks from a file
          </Button>
        )}
      </FileButton>
      <Button
        size="xs"
        variant="default"
        onClick={() => save('levitar-measures.csv', 'text/csv', measuresCsv(reading))}
      >
        Measures as CSV
      </Button>
      <Button size="xs" variant="default" onClick={saveOverlay}>
        Lines as SVG
      </Button>
    </Group>
  );
}

/** A file knows none of the page's colours. */
function withColours(text: string): string {
  const style = getComputedStyle(document.documentElement);
  return text.replace(/var\((--lv-[a-zA-Z]+)\)/g, (_, name: string) =>
    style.getPropertyValue(name).trim(),
  );
}
