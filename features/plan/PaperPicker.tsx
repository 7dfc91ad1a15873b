'use client';

import { Group, SegmentedControl } from '@mantine/core';
import { useState } from 'react';
import { PrintButton } from '@/design/PrintButton';

/** The paper the sheets are laid out for, and the way to the printer. */
export function PaperPicker() {
  const [paper, setPaper] = useState<'A4' | 'letter'>('A4');
  return (
    <Group gap="sm">
      <style>{`@media print { @page { size: ${paper} portrait; margin: 12mm; } }`}</style>
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
