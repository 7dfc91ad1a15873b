'use client';

import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';

// The form knows every check and every fault there is: it comes when somebody records.
export const RecordForm = dynamic(
  patiently(() => import('./RecordForm').then((one) => one.RecordForm)),
  {
    ssr: false,
  },
);
