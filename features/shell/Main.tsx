'use client';

import { usePathname } from 'next/navigation';
import { useEffect, useRef, type ReactNode } from 'react';
import classes from './shell.module.css';

/**
 * What a page is about. After going from one to another the focus is here, where reading goes on,
 * and not on a link that is gone; a field that takes it by itself keeps it.
 */
export function Main({ children }: { readonly children: ReactNode }) {
  const path = usePathname();
  const before = useRef(path);
  const main = useRef<HTMLElement>(null);
  useEffect(() => {
    if (before.current === path) return;
    before.current = path;
    if (main.current?.contains(document.activeElement) === true) return;
    main.current?.focus({ preventScroll: true });
  }, [path]);
  return (
    <main id="main" ref={main} tabIndex={-1} className={classes.main}>
      {children}
    </main>
  );
}
