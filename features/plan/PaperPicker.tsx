'use client';

import { Chip, Group, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { PrintButton } from '@/design/PrintButton';

/** The sheets of a class, in the order they lie. */
const sheetTable = {
  order: { label: 'order' },
  teacher: { label: 'for me alone' },
  layout: { label: 'to lay out' },
  rooms: { label: 'room' },
  helper: { label: 'assistant' },
  strip: { label: 'as drawings' },
  cards: { label: 'cards' },
} as const;
export type SheetKey = keyof typeof sheetTable;
const sheetKeys = Object.keys(sheetTable) as SheetKey[];

/** What most want; the drawings are for whoever puts them on the floor. */
const usual = sheetKeys.filter((key) => key !== 'strip');

/** The paper, which sheets of it, and the way to the printer. */
export function PaperPicker() {
  const [paper, setPaper] = useState<'A4' | 'letter'>('A4');
  const [chosen, setChosen] = useState<string[]>(usual);
  const left = sheetKeys.filter((key) => !chosen.includes(key));
  const hidden = left.map((key) => `[data-sheet='${key}'] { display: none; }`).join(' ');
  return (
    <Group gap="sm">
      <style>{`@media print { @page { size: ${paper} portrait; margin: 10mm 12mm; } } ${hidden}`}</style>
      <Chip.Group multiple value={chosen} onChange={setChosen}>
        <Group gap={6} role="group" aria-label="Sheets">
          {sheetKeys.map((key) => (
            <Chip key={key} value={key} size="xs">
              {sheetTable[key].label}
            </Chip>
          ))}
        </Group>
      </Chip.Group>
      <SegmentedControl
        aria-label="Paper"
        value={paper}
        data={[
          { value: 'A4', label: 'A4' },
          { value: 'letter', label: 'Letter' },
        ]}
        onChange={(value) => setPaper(value as 'A4' | 'letter')}
      />
      <PrintButton />
    </Group>
  );
}
