'use client';

import { Dialog } from '@/design/Dialog';
import { DecisionForm, type DecisionFormProps } from './DecisionForm';

interface DecisionDialogProps {
  readonly title: string;
  readonly onClose: () => void;
  /** Absent: nothing is decided now. */
  readonly about: Omit<DecisionFormProps, 'onDone'> | null;
}

/** A decision about one stage, over the page. */
export function DecisionDialog({ title, onClose, about }: DecisionDialogProps) {
  return (
    <Dialog opened={about !== null} onClose={onClose} title={title} size="lg">
      {about !== null && <DecisionForm {...about} onDone={onClose} />}
    </Dialog>
  );
}
