'use client';

import { Broken } from '@/design/Broken';

export default function PlanBroke({ reset }: { readonly reset: () => void }) {
  return (
    <Broken
      words="The plan that was kept is still kept, and Floor and paper go by it."
      elsewhere={{ href: '/', label: 'To Tonight' }}
      reset={reset}
    />
  );
}
