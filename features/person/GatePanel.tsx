'use client';

import { Button } from '@mantine/core';
import { IconPencilPlus } from '@tabler/icons-react';
import { useState } from 'react';
import type { GateRow } from '@/server/judging/gateRows';
import { StatusMark, statusWords } from '@/design/marks/StatusMark';
import { Said } from '@/design/units';
import { RecordForm } from '@/features/check/laterForm';
import classes from './person.module.css';

interface GatePanelProps {
  readonly personId: number;
  readonly rows: readonly GateRow[];
  readonly today: string;
  readonly breathSeconds: number;
}

/** What the stage asks for, line by line; each line opens to record what was just seen. */
export function GatePanel({ personId, rows, today, breathSeconds }: GatePanelProps) {
  const [openKey, setOpenKey] = useState<string | null>(null);
  return (
    <ul className={classes.gate} aria-label="What opens this stage">
      {rows.map((row) => {
        const isOpen = openKey === row.key;
        return (
          <li key={row.key} className={classes.gateRow}>
            <div className={classes.gateLine}>
              <StatusMark status={row.status} />
              <div className={classes.gateText}>
                <span className={classes.gateLabel}>{row.label}</span>{' '}
                <span className={classes.gateStatus}>
                  {row.isAtDoor ? 'at the door' : statusWords[row.status]}
                </span>
                <div className={classes.gateFigures}>
                  <Said>{row.figures}</Said>
                </div>
              </div>
              {row.check !== null && (
                <Button
                  variant={isOpen ? 'light' : 'default'}
                  size="sm"
                  leftSection={<IconPencilPlus size={17} />}
                  aria-expanded={isOpen}
                  aria-label={`Record ${row.label}`}
                  onClick={() => setOpenKey(isOpen ? null : row.key)}
                >
                  Record
                </Button>
              )}
            </div>
            {isOpen && (
              <RecordForm
                personId={personId}
                row={row}
                today={today}
                breathSeconds={breathSeconds}
              />
            )}
          </li>
        );
      })}
    </ul>
  );
}
