import { UnstyledButton } from '@mantine/core';
import { IconChevronDown } from '@tabler/icons-react';
import { LazyMenu } from '@/design/LazyMenu';
import { furtherPages, isHere, places } from './places';
import classes from './shell.module.css';

/** What the studio always has, in one menu; it is called by where one is. */
export function StudioMenu({ path }: { readonly path: string }) {
  const always = [...places, ...furtherPages].filter(({ when }) => when === 'always');
  const here = always.find(({ href }) => isHere(href, path));
  return (
    <LazyMenu
      width={200}
      entries={() =>
        always.map(({ href, label }) => ({ kind: 'go', href, label, isHere: isHere(href, path) }))
      }
      target={(props) => (
        <UnstyledButton
          {...props}
          className={classes.place}
          data-here={here !== undefined || undefined}
          aria-label={
            here === undefined ? 'Places of the studio' : `Places of the studio: ${here.label}`
          }
        >
          {here?.label ?? 'People, ladders, room'} <IconChevronDown size={15} aria-hidden="true" />
        </UnstyledButton>
      )}
    />
  );
}
