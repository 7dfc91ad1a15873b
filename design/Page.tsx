import type { ReactNode } from 'react';
import { cautionLine } from '@/core/catalog/cautionLine';
import classes from './page.module.css';

/** The caution line of every screen that leads to a body and of every printed card. */
export function CautionLine() {
  return <p className={classes.caution}>{cautionLine}</p>;
}

export function Page({ children }: { readonly children: ReactNode }) {
  return <div className={classes.page}>{children}</div>;
}
