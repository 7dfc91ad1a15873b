import type { ReactNode } from 'react';
import { oneInkPatterns, type PaperInk } from '@/core/drawing/palette';
import classes from './shell.module.css';

interface PaperProps {
  readonly ink: PaperInk;
  readonly children: ReactNode;
}

/** What is printed of a page, with what the printer has; on a screen nothing changes. */
export function Paper({ ink, children }: PaperProps) {
  return (
    <div className={classes.paper} data-paper={ink}>
      {ink === 'one' && (
        <svg className={classes.tones} aria-hidden>
          <defs dangerouslySetInnerHTML={{ __html: oneInkPatterns }} />
        </svg>
      )}
      {children}
    </div>
  );
}
