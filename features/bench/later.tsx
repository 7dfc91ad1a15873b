'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';

// Below what is dragged, and larger than it: it comes when the figure stands.
export const LoadLadder = dynamic(
  patiently(() => import('./LoadLadder').then((one) => one.LoadLadder)),
  {
    ssr: false,
    loading: () => <Skeleton height={300} aria-hidden />,
  },
);
