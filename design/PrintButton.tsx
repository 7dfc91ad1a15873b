'use client';

import { Button } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';

export function PrintButton() {
  return (
    <Button leftSection={<IconPrinter size={18} />} onClick={() => window.print()}>
      Print
    </Button>
  );
}
