'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';

// Below what is dragged, and larger than it: it comes when the figure stands.
export const LoadLadder = dynamic(() => import('./LoadLadder').then((one) => one.LoadLadder), {
  ssr: false,
  loading: () => <Skeleton height={300} aria-hidden />,
});
