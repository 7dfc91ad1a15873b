'use client';

import { Modal, type ModalProps } from '@mantine/core';
import { useMounted } from '@mantine/hooks';

/**
 * A dialog that may be opened from the first, as one is that was fetched when it was asked for. It opens
 * once it stands: only then does it know where the focus was, and where it goes back to.
 */
export function Dialog({ opened, ...props }: ModalProps) {
  const isHere = useMounted();
  return <Modal {...props} opened={isHere && opened} />;
}
