'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';

// Charts are as large as all the rest of the page, and stand below what is looked at first: they
// come when it stands, and something of their size holds their place.
const waiting = (heightPx: number) =>
  function Waiting() {
    return <Skeleton height={heightPx} aria-hidden />;
  };

export const CheckCharts = dynamic(() => import('./CheckCharts').then((one) => one.CheckCharts), {
  ssr: false,
  loading: waiting(420),
});
export const FloorDays = dynamic(
  () => import('@/features/record/FloorDays').then((one) => one.FloorDays),
  { ssr: false, loading: waiting(220) },
);

export const FromHome = dynamic(
  () => import('@/features/home/FromHome').then((one) => one.FromHome),
  { ssr: false, loading: waiting(180) },
);

// Folded away until they are asked for.
export const BodyForm = dynamic(() => import('./BodyForm').then((one) => one.BodyForm), {
  ssr: false,
});
export const CareForm = dynamic(() => import('./CareForm').then((one) => one.CareForm), {
  ssr: false,
});
export const WordsPanel = dynamic(() => import('./WordsPanel').then((one) => one.WordsPanel), {
  ssr: false,
});

// Dialogs: nobody has asked yet.
export const PersonDialogs = dynamic(
  () => import('./PersonDialogs').then((one) => one.PersonDialogs),
  { ssr: false },
);
export const DecisionDialog = dynamic(
  () => import('./DecisionDialog').then((one) => one.DecisionDialog),
  { ssr: false },
);
