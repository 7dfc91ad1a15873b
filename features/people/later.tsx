'use client';

import { Skeleton } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { useEffect, useRef, useState, type ComponentType, type ReactNode } from 'react';
import { flushSync } from 'react-dom';
import type { PeopleTableProps } from './PeopleTable';

// Two fields of a form are as large as the page they stand on.
export const AddPerson = dynamic(
  patiently(() => import('./AddPerson').then((one) => one.AddPerson)),
  {
    ssr: false,
    loading: () => <Skeleton height={36} width={621} aria-hidden />,
  },
);

const loadTable = patiently(() => import('./PeopleTable').then((one) => one.PeopleTable));

/** Until it is looked again whether somebody has let go, milliseconds. */
const againMs = 100;

/**
 * The table that searches and sorts, once the page stands; until then whoever looks reads the plain
 * one, drawn by the server without a line of script. It takes the plain one's place between two
 * touches, never under a finger: a link that is another one when it is let go of leads nowhere.
 */
export function PeopleTable({ plain, ...rest }: PeopleTableProps & { readonly plain: ReactNode }) {
  const host = useRef<HTMLDivElement>(null);
  const [coming, setComing] = useState<{ readonly Table: ComponentType<PeopleTableProps> }>();
  useEffect(() => {
    let waiting: number | undefined;
    let isGone = false;
    const swap = (Table: ComponentType<PeopleTableProps>) => {
      const held = host.current;
      if (isGone || held === null) return;
      if (held.matches(':active')) {
        waiting = window.setTimeout(swap, againMs, Table);
        return;
      }
      const link = held.contains(document.activeElement)
        ? document.activeElement?.getAttribute('href')
        : undefined;
      const top = held.querySelector('table')?.parentElement?.scrollTop ?? 0;
      // At once: nothing is pressed between the look and the change.
      flushSync(() => setComing({ Table }));
      const scroller = held.querySelector('table')?.parentElement;
      if (scroller) scroller.scrollTop = top;
      if (link)
        held.querySelector<HTMLElement>(`a[href="${link}"]`)?.focus({ preventScroll: true });
    };
    loadTable().then(swap, (missing: unknown) =>
      // What draws this area says that a part is missing.
      setComing(() => {
        throw missing;
      }),
    );
    return () => {
      isGone = true;
      window.clearTimeout(waiting);
    };
  }, []);
  return <div ref={host}>{coming ? <coming.Table {...rest} /> : plain}</div>;
}
