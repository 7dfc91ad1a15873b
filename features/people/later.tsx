'use client';

import { Skeleton } from '@mantine/core';
import { useMounted } from '@mantine/hooks';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { lazy, Suspense, type ReactNode } from 'react';
import type { PeopleTableProps } from './PeopleTable';

// Two fields of a form are as large as the page they stand on.
export const AddPerson = dynamic(
  patiently(() => import('./AddPerson').then((one) => one.AddPerson)),
  {
    ssr: false,
    loading: () => <Skeleton height={36} width={621} aria-hidden />,
  },
);

const Table = lazy(
  patiently(() => import('./PeopleTable').then((one) => ({ default: one.PeopleTable }))),
);

/**
 * The table that searches and sorts, once the page stands; until then whoever looks reads the plain
 * one, drawn by the server without a line of script.
 */
export function PeopleTable({ plain, ...rest }: PeopleTableProps & { readonly plain: ReactNode }) {
  const isHere = useMounted();
  return isHere ? (
    <Suspense fallback={plain}>
      <Table {...rest} />
    </Suspense>
  ) : (
    plain
  );
}
