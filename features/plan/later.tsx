'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';

// The curves' library is as large as the rest of the page: it comes when somebody asks why.
export const Curves = dynamic(
  patiently(() => import('./Curves').then((one) => one.Curves)),
  {
    ssr: false,
    loading: () => <Skeleton height={260} aria-hidden />,
  },
);

const why = patiently(() => import('./WhyPanel').then((one) => one.WhyPanel));

const changes = patiently(() => import('./PlanChanges').then((one) => one.PlanChanges));

/** What writes a plan as a text. */
export const markdown = patiently(() =>
  import('@/core/files/planMarkdown').then((one) => one.writeMarkdown),
);

/** What a tap opens is there before the tap. */
export const layBy = (): void => {
  for (const part of [why, markdown, changes]) part().catch(() => undefined);
};

/** Nothing is changed before somebody says a word. */
export const PlanChanges = dynamic(changes, { ssr: false, loading: () => null });

export const WhyPanel = dynamic(why, {
  ssr: false,
  loading: () => <Skeleton height={420} aria-hidden />,
});
