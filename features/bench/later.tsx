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

// Beside the words of how it is taken: they stand at once.
export const LengthPicture = dynamic(
  patiently(() => import('@/features/measure/LengthPicture').then((one) => one.LengthPicture)),
  {
    ssr: false,
    loading: () => <Skeleton width={132} height={132} style={{ flexShrink: 0 }} aria-hidden />,
  },
);
