'use client';

import { Button } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import classes from './floor.module.css';
import { part } from './part';

/**
 * The class itself comes first: the line, who is here, the stop. What is opened by a tap, and what is
 * drawn, comes right after, and is on the device before anybody needs it (`layBy`). A tablet that
 * has been here before has all of it without a network as well.
 */

/** The place of a part until it is there, as high as it will be, px. */
const coming = (height: number) =>
  function Coming() {
    return <div className={classes.coming} style={{ height }} aria-hidden />;
  };

// Each of them once: what is laid by is then exactly what is shown.
const door = part(() => import('./DoorPanel').then((one) => one.DoorPanel));
const hold = part(() => import('./HoldPanel').then((one) => one.HoldPanel));
const person = part(() => import('./PersonSheet').then((one) => one.PersonSheet));
const pacer = part(() => import('./PacerPanel').then((one) => one.PacerPanel));
const checks = part(() => import('./ChecksPanel').then((one) => one.ChecksPanel));
const pictures = part(() => import('./RoundPictures').then((one) => one.RoundPictures));
const drawings = part(() => import('./NowDrawings').then((one) => one.NowDrawings));
const moves = part(() => import('./Moves').then((one) => one.Moves));
const resetMoves = part(() => import('./ResetMoves').then((one) => one.ResetMoves));
const more = part(() => import('./MoreMenu').then((one) => one.MoreMenu));

/** Everything that a tap may ask for. */
export function layBy(): void {
  for (const load of [
    door,
    hold,
    person,
    pictures,
    drawings,
    moves,
    resetMoves,
    checks,
    pacer,
    more,
  ]) {
    void load();
  }
}

// What is tapped is shown once it hears taps; what is only looked at is drawn by the server meanwhile.
export const DoorPanel = dynamic(door, {
  ssr: false,
  loading: coming(320),
});
export const HoldPanel = dynamic(hold, {
  ssr: false,
  loading: coming(320),
});
export const PersonSheet = dynamic(person, {
  ssr: false,
  // Where it will lie: a tap is seen to have been taken.
  loading: () => <div className={classes.comingSheet} aria-hidden />,
});
export const PacerPanel = dynamic(pacer, {
  ssr: false,
  loading: coming(200),
});
export const ChecksPanel = dynamic(checks, {
  ssr: false,
  loading: coming(200),
});
export const RoundPictures = dynamic(pictures, {
  loading: coming(280),
});
export const ResetMoves = dynamic(resetMoves, {
  loading: coming(160),
});
export const Moves = dynamic(moves, { loading: () => null });
export const NowDrawings = dynamic(drawings, {
  loading: coming(210),
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
    loading: coming(320),
  },
);
export const NewAtDoor = dynamic(
  part(() => import('./NewAtDoor').then((one) => one.NewAtDoor)),
  {
    ssr: false,
    loading: coming(64),
  },
);
