'use client';

import { Broken } from '@/design/Broken';

export default function BenchBroke({ reset }: { readonly reset: () => void }) {
  return (
    <Broken
      words="Set-ups that were kept are still kept."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      reset={reset}
    />
  );
}
