'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';

// The curves' library is as large as the rest of the page: it comes when somebody asks why.
export const Curves = dynamic(() => import('./Curves').then((one) => one.Curves), {
  ssr: false,
  loading: () => <Skeleton height={260} aria-hidden />,
});
