'use client';

import dynamic from 'next/dynamic';

// The form knows every check and every fault there is: it comes when somebody records.
export const RecordForm = dynamic(() => import('./RecordForm').then((one) => one.RecordForm), {
  ssr: false,
});
