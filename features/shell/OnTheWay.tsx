'use client';

import { useLinkStatus } from 'next/link';
import classes from './shell.module.css';

/**
 * Within a link: a line that runs while the page it leads to is on its way. Pages take a tenth of a
 * second; on a slow network, or with many at once, one sees that the tap was taken.
 */
export function OnTheWay() {
  const { pending } = useLinkStatus();
  return pending ? <span className={classes.onTheWay} data-on-the-way aria-hidden="true" /> : null;
}
