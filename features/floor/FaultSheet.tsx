'use client';

import { Modal } from '@mantine/core';
import type { FaultId } from '@/core/catalog/checks';
import classes from './floor.module.css';

interface FaultSheetProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly faults: Readonly<Record<string, string>>;
  /** Those that void the check, offered first. */
  readonly first: readonly FaultId[];
  readonly onFault: (fault: FaultId) => void;
  readonly onClose: () => void;
}

export function FaultSheet({ title, isOpen, faults, first, onFault, onClose }: FaultSheetProps) {
  const known = Object.keys(faults) as FaultId[];
  const rest = known.filter((fault) => !first.includes(fault));
  const row = (list: readonly FaultId[]) => (
    <div className={classes.chips}>
      {list.map((fault) => (
        <button key={fault} type="button" className={classes.chip} onClick={() => onFault(fault)}>
          {faults[fault]}
        </button>
      ))}
    </div>
  );
  return (
    <Modal opened={isOpen} onClose={onClose} title={title} size="lg" centered>
      {first.length > 0 && (
        <>
          <p className={classes.quiet}>Does not count with</p>
          {row(first.filter((fault) => known.includes(fault)))}
          <p className={classes.quiet}>Also seen</p>
        </>
      )}
      {row(rest)}
    </Modal>
  );
}
