'use client';

import { ActionIcon } from '@mantine/core';
import { IconPin, IconX } from '@tabler/icons-react';
import type { DrillBook, DrillKey } from '@/core/catalog/drills';
import classes from './plan.module.css';

/** Drills that were taken in or left out by hand, with the way back. */
export function DrillPins({
  drills,
  pins,
  onDrop,
}: {
  readonly drills: DrillBook;
  readonly pins: readonly { readonly drill: DrillKey; readonly use: boolean }[];
  readonly onDrop: (drill: DrillKey) => void;
}) {
  if (pins.length === 0) return null;
  return (
    <ul className={classes.pinList}>
      {pins.map(({ drill, use }) => (
        <li key={drill}>
          <IconPin size={14} aria-hidden />
          {drills[drill]?.label ?? drill}: {use ? 'in' : 'left out'}
          <ActionIcon
            variant="subtle"
            size={24}
            aria-label={`No longer ${use ? 'in' : 'left out'}: ${drills[drill]?.label ?? drill}`}
            onClick={() => onDrop(drill)}
          >
            <IconX size={14} />
          </ActionIcon>
        </li>
      ))}
    </ul>
  );
}
