'use client';

import { Broken } from '@/design/Broken';

export default function RecordBroke({ reset }: { readonly reset: () => void }) {
  return (
    <Broken
      words="The record itself is untouched: this is the picture of it alone."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      reset={reset}
    />
  );
}
