'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';

// Charts and forms are larger than the class itself, and opened on some evenings only. They are laid
// by with everything else when the tablet first opens the app, so they come without a network as well.
export const LoadPanel = dynamic(() => import('./LoadPanel').then((one) => one.LoadPanel), {
  ssr: false,
  loading: () => <Skeleton height={320} aria-hidden />,
});
export const NewAtDoor = dynamic(() => import('./NewAtDoor').then((one) => one.NewAtDoor), {
  ssr: false,
  loading: () => <Skeleton height={64} aria-hidden />,
});
