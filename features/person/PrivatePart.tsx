'use client';

import { Button } from '@mantine/core';
import { IconEye, IconEyeOff } from '@tabler/icons-react';
import { useSyncExternalStore, useState, type ReactNode } from 'react';
import classes from './person.module.css';

const noChange = () => () => undefined;

/** Body, consent and cautions: folded away from anyone looking over the shoulder. */
export function PrivatePart({ children }: { readonly children: ReactNode }) {
  // Whoever follows a link to what stands here has already said that they want to see it.
  const isAsked = useSyncExternalStore(
    noChange,
    () => ['#body', '#closed'].includes(window.location.hash),
    () => false,
  );
  const [chosen, setChosen] = useState<boolean | null>(null);
  const isShown = chosen ?? isAsked;
  return (
    <section className={classes.section} aria-label="Private" id="body">
      <Button
        variant={isShown ? 'subtle' : 'default'}
        fullWidth
        aria-expanded={isShown}
        leftSection={isShown ? <IconEyeOff size={18} /> : <IconEye size={18} />}
        onClick={() => setChosen(!isShown)}
      >
        {isShown ? 'Fold body and cautions away' : 'Show body and cautions'}
      </Button>
      {isShown && <div className={classes.private}>{children}</div>}
    </section>
  );
}
