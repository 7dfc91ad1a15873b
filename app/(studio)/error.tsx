'use client';

import { Broken } from '@/design/Broken';

export default function StudioBroke({ reset }: { readonly reset: () => void }) {
  return (
    <Broken
      words="Nothing was lost that had been kept. Try again; if it stays, restart the server."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      reset={reset}
    />
  );
}
