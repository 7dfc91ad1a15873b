'use client';

import { IconX } from '@tabler/icons-react';
import { useId, useLayoutEffect, useRef, type ReactNode } from 'react';
import classes from './onTop.module.css';

interface OnTopProps {
  readonly title: string;
  readonly isWide?: boolean;
  readonly onClose: () => void;
  readonly children: ReactNode;
}

/**
 * A sheet over the class: the browser's own dialog, which keeps the focus and gives it back by itself.
 * A stop is one, and nothing may have to be fetched before a stop: it comes with the class.
 * Escape, the cross and a tap beside it close it.
 */
export function OnTop({ title, isWide = false, onClose, children }: OnTopProps) {
  const sheet = useRef<HTMLDialogElement>(null);
  const name = useId();
  useLayoutEffect(() => {
    const shown = sheet.current;
    shown?.showModal();
    // Closed, not only gone: the focus goes back to where it was.
    return () => shown?.close();
  }, []);
  return (
    <dialog
      ref={sheet}
      className={classes.dialog}
      data-wide={isWide || undefined}
      aria-labelledby={name}
      // By Escape, or the way back of a phone: the browser has closed it, and whoever opened it is told.
      onClose={(event) => !event.currentTarget.open && onClose()}
      // What is inside fills the sheet: only a tap beside it is on the dialog itself.
      onClick={(event) => event.target === event.currentTarget && onClose()}
    >
      <div className={classes.sheet}>
        <div className={classes.head}>
          <h2 id={name}>{title}</h2>
          <button type="button" className={classes.cross} aria-label="Close" onClick={onClose}>
            <IconX size={26} aria-hidden />
          </button>
        </div>
        {children}
      </div>
    </dialog>
  );
}
