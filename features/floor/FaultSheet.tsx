'use client';

import type { FaultId } from '@/core/catalog/checks';
import { OnTop } from './OnTop';
import classes from './floor.module.css';

interface FaultSheetProps {
  readonly title: string;
  readonly faults: Readonly<Record<string, string>>;
  /** Those that void the check, offered first. */
  readonly first: readonly FaultId[];
  readonly onFault: (fault: FaultId) => void;
  readonly onClose: () => void;
}

export function FaultSheet({ title, faults, first, onFault, onClose }: FaultSheetProps) {
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
    <OnTop title={title} onClose={onClose}>
      {first.length > 0 && (
        <>
          <p className={classes.quiet}>Does not count with</p>
          {row(first.filter((fault) => known.includes(fault)))}
          <p className={classes.quiet}>Also seen</p>
        </>
      )}
      {row(rest)}
    </OnTop>
  );
}
