'use client';

import { Button, Skeleton } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import classes from './floor.module.css';
import { part } from './part';

/**
 * The class itself comes first: the line, who is here, the stop. What is opened by a tap, and what is
 * drawn, comes right after, and is on the device before anybody needs it (`layBy`). A tablet that
 * has been here before has all of it without a network as well.
 */

// Each of them once: what is laid by is then exactly what is shown.
const hold = part(() => import('./HoldPanel').then((one) => one.HoldPanel));
const person = part(() => import('./PersonSheet').then((one) => one.PersonSheet));
const pacer = part(() => import('./PacerPanel').then((one) => one.PacerPanel));
const checks = part(() => import('./ChecksPanel').then((one) => one.ChecksPanel));
const pictures = part(() => import('./RoundPictures').then((one) => one.RoundPictures));
const drawings = part(() => import('./NowDrawings').then((one) => one.NowDrawings));
const more = part(() => import('./MoreMenu').then((one) => one.MoreMenu));

/** Everything that a tap may ask for. */
export function layBy(): void {
  for (const load of [hold, person, pictures, drawings, checks, pacer, more]) {
    void load();
  }
}

export const HoldPanel = dynamic(hold, {
  ssr: false,
  loading: () => <Skeleton height={320} aria-hidden />,
});
export const PersonSheet = dynamic(person, {
  ssr: false,
  // Where it will lie: a tap is seen to have been taken.
  loading: () => <Skeleton className={classes.coming} aria-hidden />,
});
export const PacerPanel = dynamic(pacer, {
  ssr: false,
  loading: () => <Skeleton height={200} aria-hidden />,
});
export const ChecksPanel = dynamic(checks, {
  loading: () => <Skeleton height={200} aria-hidden />,
});
export const RoundPictures = dynamic(pictures, {
  loading: () => <Skeleton height={280} aria-hidden />,
});
export const NowDrawings = dynamic(drawings, {
  loading: () => <Skeleton height={210} mt={10} aria-hidden />,
});
export const MoreMenu = dynamic(more, {
  ssr: false,
  loading: () => (
    <Button size="lg" variant="default" aria-label="More" disabled>
      <IconDots size={24} />
    </Button>
  ),
});

// Charts and forms are larger than the class itself, and opened on some evenings only.
export const LoadPanel = dynamic(
  part(() => import('./LoadPanel').then((one) => one.LoadPanel)),
  {
    ssr: false,
    loading: () => <Skeleton height={320} aria-hidden />,
  },
);
export const NewAtDoor = dynamic(
  part(() => import('./NewAtDoor').then((one) => one.NewAtDoor)),
  {
    ssr: false,
    loading: () => <Skeleton height={64} aria-hidden />,
  },
);
