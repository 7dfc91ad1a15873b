'use client';

import { createContext, useContext, useState, type ReactNode } from 'react';
import { RecordDialog, type ToRecord } from './RecordDialog';

type Ask = (asked: ToRecord) => void;

const Desk = createContext<Ask | null>(null);

/** Where a check is asked to be recorded; `null`: whoever asks opens it themselves. */
export const useRecordDesk = () => useContext(Desk);

/**
 * Records for a list that changes with every record: who was listed when it was opened stays in the
 * row, also where the list, or the whole line it stood in, is another one by then.
 */
export function RecordDesk({ children }: { readonly children: ReactNode }) {
  const [asked, setAsked] = useState<(ToRecord & { readonly turn: number }) | null>(null);
  const [isOpen, setOpen] = useState(false);
  const ask: Ask = (next) => {
    setAsked((before) => ({ ...next, turn: (before?.turn ?? 0) + 1 }));
    setOpen(true);
  };
  return (
    <Desk value={ask}>
      {children}
      {asked !== null && (
        <RecordDialog key={asked.turn} {...asked} isOpen={isOpen} onClose={() => setOpen(false)} />
      )}
    </Desk>
  );
}
