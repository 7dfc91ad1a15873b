'use client';

import { Popover, Skeleton, UnstyledButton } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '../patiently';
import { useState, type ReactNode } from 'react';
import type { Drawn } from '@/core/compose/drawnIn';
import classes from './atlas.module.css';

/** Drawings come when somebody wants to see one, not with the page. */
const DrawnStrip = dynamic(
  patiently(() => import('./DrawnStrip').then((module) => module.DrawnStrip)),
  {
    ssr: false,
    loading: () => <Skeleton height={96} width={300} aria-hidden />,
  },
);

interface ShowMoveProps {
  readonly drawn: Drawn;
  readonly label: string;
  /** How it is done, in words; empty: its name says it. */
  readonly how: string;
  readonly className?: string | undefined;
  readonly children: ReactNode;
}

/** A name or a picture that shows, tapped, the movement behind it as a strip with its words. */
export function ShowMove({ drawn, label, how, className, children }: ShowMoveProps) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Popover opened={isOpen} onChange={setOpen} position="bottom-start" shadow="md" withArrow>
      <Popover.Target>
        <UnstyledButton
          className={className}
          onClick={() => setOpen(!isOpen)}
          onKeyDown={({ key }) => key === 'Escape' && setOpen(false)}
        >
          {children}
        </UnstyledButton>
      </Popover.Target>
      <Popover.Dropdown className={classes.shown}>
        <DrawnStrip drawn={drawn} label={label} heightPx={96} />
        {how !== '' && <p>{how}</p>}
      </Popover.Dropdown>
    </Popover>
  );
}
