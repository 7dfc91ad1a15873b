'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef, type ReactNode } from 'react';
import classes from './shell.module.css';

/** Where one was last: the running class has a frame of its own, and the focus follows there too. */
let before: string | null = null;

/**
 * What a page is about. After going from one to another the focus is here, where reading goes on,
 * and not on a link that is gone; a field that takes it by itself keeps it.
 */
export function Main({ children }: { readonly children: ReactNode }) {
  const path = usePathname();
  const main = useRef<HTMLElement>(null);
  useEffect(() => {
    const isArrival = before === null || before === path;
    before = path;
    if (isArrival) return;
    if (main.current?.contains(document.activeElement) === true) return;
    main.current?.focus({ preventScroll: true });
  }, [path]);
  return (
    <main id="main" ref={main} tabIndex={-1} className={classes.main}>
      {children}
    </main>
  );
}
