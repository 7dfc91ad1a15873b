'use client';

import { FileButton } from '@mantine/core';
import { useRef, type ReactNode } from 'react';

interface FileChoiceProps {
  readonly accept: string;
  readonly onFile: (file: File) => void;
  /** Asks a phone for its camera on the back. */
  readonly capture?: 'environment';
  readonly children: (props: { readonly onClick: () => void }) => ReactNode;
}

/**
 * Lets a file be chosen, the same one again as well: whoever has mended a file on their disk chooses
 * it by the same name, and a browser says nothing of a choice that has not changed.
 */
export function FileChoice({ accept, onFile, capture, children }: FileChoiceProps) {
  const reset = useRef<(() => void) | null>(null);
  return (
    <FileButton
      resetRef={reset}
      accept={accept}
      {...(capture === undefined ? {} : { capture })}
      onChange={(file) => {
        reset.current?.();
        if (file !== null) onFile(file);
      }}
    >
      {children}
    </FileButton>
  );
}
