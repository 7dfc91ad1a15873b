'use client';

import { Button, Group } from '@mantine/core';
import { IconArrowBackUp, IconCamera, IconPhoto } from '@tabler/icons-react';
import { memo } from 'react';
import { FileChoice } from '@/design/FileChoice';

interface PictureButtonsProps {
  readonly canUndo: boolean;
  readonly onFile: (file: File) => void;
  /** Somebody looks for a picture: what reads it is fetched meanwhile. */
  readonly onSoon: () => void;
  readonly onPractise: () => void;
  readonly onUndo: () => void;
}

/** Where a picture comes from, and the step back. They stay as they are while a mark moves. */
export const PictureButtons = memo(function PictureButtons({
  canUndo,
  onFile,
  onSoon,
  onPractise,
  onUndo,
}: PictureButtonsProps) {
  const soon = (open: () => void) => () => {
    onSoon();
    open();
  };
  return (
    <Group gap="sm" mb="sm">
      <FileChoice onFile={onFile} accept="image/*">
        {({ onClick }) => (
          <Button leftSection={<IconPhoto size={18} />} onClick={soon(onClick)}>
            Choose a picture
          </Button>
        )}
      </FileChoice>
      <FileChoice onFile={onFile} accept="image/*" capture="environment">
        {({ onClick }) => (
          <Button variant="default" leftSection={<IconCamera size={18} />} onClick={soon(onClick)}>
            Take one
          </Button>
        )}
      </FileChoice>
      <Button variant="default" onClick={soon(onPractise)}>
        A practice picture
      </Button>
      <Button
        variant="default"
        disabled={!canUndo}
        leftSection={<IconArrowBackUp size={18} />}
        onClick={onUndo}
      >
        Undo
      </Button>
    </Group>
  );
});
