'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';

// Charts are as large as all the rest of the page, and stand below what is looked at first: they
// come when it stands, and something of their size holds their place.
const waiting = (heightPx: number) =>
  function Waiting() {
    return <Skeleton height={heightPx} aria-hidden />;
  };

export const CheckCharts = dynamic(
  patiently(() => import('./CheckCharts').then((one) => one.CheckCharts)),
  {
    ssr: false,
    loading: waiting(420),
  },
);
export const FloorDays = dynamic(
  patiently(() => import('@/features/record/FloorDays').then((one) => one.FloorDays)),
  { ssr: false, loading: waiting(220) },
);

export const FromHome = dynamic(
  patiently(() => import('@/features/home/FromHome').then((one) => one.FromHome)),
  { ssr: false, loading: waiting(180) },
);

// The list of rungs to choose from; where somebody stands is said above it on paper as well.
export const RungSelect = dynamic(
  patiently(() => import('./RungSelect').then((one) => one.RungSelect)),
  {
    ssr: false,
    loading: waiting(36),
  },
);

// Below everything else on the page.
export const DecisionList = dynamic(
  patiently(() => import('./DecisionList').then((one) => one.DecisionList)),
  { ssr: false, loading: waiting(120) },
);
export const MeetingList = dynamic(
  patiently(() => import('./MeetingList').then((one) => one.MeetingList)),
  {
    ssr: false,
    loading: waiting(200),
  },
);

// Folded away until they are asked for.
export const BodyForm = dynamic(
  patiently(() => import('./BodyForm').then((one) => one.BodyForm)),
  {
    ssr: false,
  },
);
export const CareForm = dynamic(
  patiently(() => import('./CareForm').then((one) => one.CareForm)),
  {
    ssr: false,
  },
);
export const WordsPanel = dynamic(
  patiently(() => import('./WordsPanel').then((one) => one.WordsPanel)),
  {
    ssr: false,
  },
);

// Dialogs: nobody has asked yet.
export const PersonDialogs = dynamic(
  patiently(() => import('./PersonDialogs').then((one) => one.PersonDialogs)),
  { ssr: false },
);
export const DecisionDialog = dynamic(
  patiently(() => import('./DecisionDialog').then((one) => one.DecisionDialog)),
  { ssr: false },
);
